# frozen_string_literal: true

module TileLoom
  module View
    # A layer of very many areas on a screen, seen from afar: what was drawn of it before, as pixels.
    class FarDrawing
      attr_reader :layer, :view

      # picture: a Raster::FarPicture in the reference of the view, whose ground is upright; detail: ground units that
      # cannot be told apart.
      def initialize(layer:, picture:, view:, detail:)
        @layer, @picture, @view, @detail = layer, picture, view, detail
      end

      def group =
        @group ||=
          Scene::Group.new(
            children: [image].compact,
            layer: layer.scene_layer,
            name: layer.id,
            opacity: layer.opacity,
            blend: layer.blend
          )

      # Rows of a legend: of all its rules, as pixels do not tell which of them drew something here.
      def entries
        return [] if group.children.empty?
        layer.rules.map { |rule| Symbology::LegendEntry.of_rule(layer, rule, rule.symbol.marker ? :point : :area) }
      end

      # It has no labels, and none keep clear of it.
      def labels? = false

      def notices = []

      attr_writer :holes

      private

      def image
        pixels, ground = @picture.part(view.ground.box, @detail)
        return nil if pixels.nil?
        box = Geometry::Box.around(view.to_page(ground.corners))
        Scene::Image.new(
          x: box.min_x,
          y: box.min_y,
          width_mm: box.width,
          height_mm: box.height,
          raster: Artwork::Pixels.new(pixels.extract_band(0, n: 3), opacity: pixels[3], quick: true)
        )
      end
    end
  end
end
