# frozen_string_literal: true

module TileLoom
  module View
    # The ground as a map for the screen, drawn at a size in pixels of 1/96 inch, so that paper sizes look as they
    # print. Far out, the map is drawn as if on a larger paper and seen from afar, without names, so that it stays
    # readable.
    class ScreenMap
      PPI = 96
      PIXEL_MM = 25.4 / PPI
      # Up to NEAR times smaller than in print, symbols keep their paper size; beyond, they shrink with the map down to
      # a fourth.
      NEAR, FAR = 2.5, 4.0

      # book: a book document; box: of ground in its reference; only: ids of the layers to draw, or nil for all; far:
      # see GroundDrawing; plain: are all features drawn as they are, without labels?
      def initialize(book:, source:, box:, width_px:, height_px:, only: nil, far: nil, plain: false)
        @book, @source, @box, @width_px, @height_px, @only = book, source, box, width_px, height_px, only
        @far, @plain = far, plain
      end

      # A Scene::Drawing.
      def drawing
        frame = Geometry::Box.at(0.0, 0.0, @width_px * PIXEL_MM * distance, @height_px * PIXEL_MM * distance)
        ground = Geometry::TurnedRectangle.of(@box)
        nodes =
          GroundDrawing.new(
            layers: @only ? @book.layers.select { |layer| @only.include?(layer.id) } : @book.layers,
            source: @source,
            view: FrameView.new(frame: frame, ground: ground, crs: @book.crs),
            tolerance_mm: 0.1 * distance,
            names: !@plain && distance <= 1,
            seen_scale: seen_scale,
            coarse_mm: @plain ? nil : PIXEL_MM * distance,
            far: @far,
            ppi: (PPI / distance).ceil,
            language: @book.language
          ).nodes
        Scene::Drawing.new(width_mm: frame.width, height_mm: frame.height, nodes: nodes)
      end

      private

      def seen_scale = @box.width * @book.crs.metres_per_unit * 1000 / (@width_px * PIXEL_MM)

      # How many times further off than a sheet it is seen.
      def distance = (seen_scale / (@book.index.scale * NEAR)).clamp(1.0, FAR)
    end
  end
end
