# frozen_string_literal: true

module TileLoom
  module View
    # The whole index in a box of a page: the ground's areas, the cells, and their names, haloed so that
    # they can be read.
    class IndexMap
      THREAD = "#8c2f39"
      PICKED = "#1f6f78"
      # Room round the cells, as a share of the larger side.
      ROOM = 0.03
      # How far apart simplified lines and true ones may lie on paper, in mm.
      TOLERANCE_MM = 0.2

      # box: Geometry::Box in page mm; colour: of the cells; here: the Cell that is picked out, or nil;
      # names: are they written? faces: a Type::FaceSet; round: is the scale to be a round number? ppi: see
      # GroundDrawing.
      def initialize(
        book:,
        source:,
        cells:,
        box:,
        colour: THREAD,
        here: nil,
        names: true,
        face: Type::Library.face("sans-bold"),
        round: false,
        ppi: nil
      )
        @book, @source, @cells, @box, @colour, @here, @names, @face, @round, @ppi =
          book,
          source,
          cells,
          box,
          colour,
          here,
          names,
          face,
          round,
          ppi
      end

      # Scene nodes, clipped to the box.
      def nodes =
        if @cells.empty?
          []
        else
          [ground, Scene::Group.new(children: [*here, outlines, *names, *links], clip: @box, name: "cells")]
        end

      # A FrameView of the box.
      def view
        @view ||=
          begin
            box =
              if @cells.empty?
                Geometry::Box.new(0, 0, 1, 1)
              else
                @cells.map { |cell| cell.ground.box }.reduce { |all, other| all.union(other) }
              end
            box = box.grow([box.width, box.height].max * ROOM)
            per_mm = rounded([box.width / @box.width, box.height / @box.height].max)
            FrameView.new(
              frame: @box,
              ground: Geometry::TurnedRectangle.new(*box.centre, @box.width * per_mm, @box.height * per_mm, 0.0),
              crs: @book.crs
            )
          end
      end

      # Rows of a legend for what drew something in it, in drawing order, and the layers that did.
      def entries = @cells.empty? ? [] : drawn_ground.entries

      def shown_layers = @cells.empty? ? [] : drawn_ground.layers

      private

      # Up to the next scale of two figures (1:38,412 becomes 1:39,000).
      def rounded(per_mm)
        return per_mm unless @round
        scale = per_mm * @book.crs.metres_per_unit * 1000
        step = 10.0**(Math.log10(scale).floor - 1)
        (scale / step - 1e-9).ceil * step / 1000 / @book.crs.metres_per_unit
      end

      def ground = Scene::Group.new(children: drawn_ground.nodes, clip: @box, name: "ground")

      # Areas alone: lines and points would only darken so small a map. Every sheet's locator shows the same.
      def drawn_ground
        @book.once([:index_ground, @box, view.ground, @ppi]) do
          areas = @book.layers.select { |layer| layer.raster? || layer.rules.any? { |rule| rule.symbol.area? } }
          GroundDrawing.new(
            layers: areas,
            source: @source,
            view: view,
            tolerance_mm: TOLERANCE_MM,
            names: false,
            ppi: @ppi
          ).drawn
        end
      end

      def outlines
        Scene::Path.new(
          runs: @cells.map { |cell| ring(cell) },
          closed: true,
          stroke: Scene::Stroke.new(colour: @colour, width_mm: 0.25, join: "miter")
        )
      end

      def ring(cell) = (@rings ||= {}.compare_by_identity)[cell] ||= view.to_page(cell.ground.corners)

      # The picked one differs in area and in line, not in colour alone.
      def here
        return [] unless @here
        [
          Scene::Path.new(
            runs: [ring(@here)],
            closed: true,
            fill: Scene::Fill.new(colour: PICKED, opacity: 0.55),
            stroke: Scene::Stroke.new(colour: PICKED, width_mm: 0.6, join: "miter")
          )
        ]
      end

      # Cells that a finger can meet lead to their sheets.
      def links =
        @cells.filter_map do |cell|
          ring = ring(cell)
          box = Geometry::Box.around(ring)
          next if [box.width, box.height].min < LEAST_LINK_MM || cell == @here
          Scene::Link.new(ring: ring, sheet: cell.number, words: "Sheet #{cell.name}")
        end

      LEAST_LINK_MM = 1.5

      # Names only where they are smaller than their cells.
      def names
        return [] unless @names
        @cells.filter_map do |cell|
          box = Geometry::Box.around(ring(cell))
          size_pt = (box.height * 0.34 / Type::Face::MM_PER_PT).clamp(0, 14)
          size_pt = [size_pt, size_pt * box.width * 0.9 / @face.width_mm(cell.name, size_pt)].min if size_pt.positive?
          next if size_pt < LEAST_PT
          Scene::Text.about(
            box.centre,
            string: cell.name,
            face: @face,
            size_pt: size_pt,
            colour: @colour,
            halo: Scene::Stroke.new(colour: "#fffdf6", width_mm: size_pt * 0.06)
          )
        end
      end

      LEAST_PT = 2.5
    end
  end
end
