# frozen_string_literal: true

module TileLoom
  module Sheet
    # The whole index over the ground: the cells with their names, haloed so that they can be read.
    class KeyDrawing
      THREAD = "#8c2f39"
      # Room round the cells, as a share of the larger side.
      ROOM = 0.03

      # width_mm, height_mm: of the picture; the index fills it as far as its proportion lets it.
      def initialize(book:, source:, cells:, width_mm:, height_mm:)
        @book, @source, @cells, @width_mm, @height_mm = book, source, cells, width_mm, height_mm
      end

      # Scene::Drawing.
      def drawing
        nodes = @cells.empty? ? [] : [ground, outlines, *names]
        Scene::Drawing.new(width_mm: @width_mm, height_mm: @height_mm, nodes: nodes, title: "Key")
      end

      private

      def view
        @view ||= begin
          box = @cells.map { |cell| cell.ground.box }.reduce { |all, other| all.union(other) }
          box = box.grow([box.width, box.height].max * ROOM)
          per_mm = [box.width / @width_mm, box.height / @height_mm].max
          ground = Geometry::TurnedRectangle.new(*box.centre, @width_mm * per_mm, @height_mm * per_mm, 0.0)
          FrameView.new(frame: Geometry::Box.at(0.0, 0.0, @width_mm, @height_mm), ground: ground, crs: @book.crs)
        end
      end

      # Areas alone: lines and points would only darken so small a map.
      def ground
        areas = @book.layers.select { |layer| layer.rules.any? { |rule| rule.symbol.fill } }
        Scene::Group.new(children: GroundDrawing.new(layers: areas, source: @source, view: view, tolerance_mm: 0.2, names: false).nodes, clip: view.frame, name: "ground")
      end

      def outlines
        runs = @cells.map { |cell| view.to_page(cell.ground.corners) }
        Scene::Path.new(runs: runs, closed: true, stroke: Scene::Stroke.new(colour: THREAD, width_mm: 0.25, join: "miter"))
      end

      # Names only where they are smaller than their cells.
      def names
        face = Type::Library.face("sans-bold")
        @cells.filter_map do |cell|
          box = Geometry::Box.around(view.to_page(cell.ground.corners))
          size_pt = (box.height * 0.34 / Type::Face::MM_PER_PT).clamp(0, 14)
          width = face.width_mm(cell.name, size_pt)
          next if size_pt < 2.5 || width > box.width
          x, y = box.centre
          Scene::Text.new(x: x - width / 2, y: y + face.cap_height_mm(size_pt) / 2, string: cell.name, face: face, size_pt: size_pt, colour: THREAD,
            halo: Scene::Stroke.new(colour: "#fffdf6", width_mm: size_pt * 0.06))
        end
      end
    end
  end
end
