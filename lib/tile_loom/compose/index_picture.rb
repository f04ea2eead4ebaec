# frozen_string_literal: true

module TileLoom
  module Compose
    # The whole index as a picture of its own: the areas of the ground, the cells and their names.
    class IndexPicture
      # Room round the cells, as a share of the larger side, and how far simplified lines may leave the true ones.
      ROOM, TOLERANCE_MM = 0.03, 0.2

      # width_mm, height_mm: of the picture; the index fills it as far as its proportion lets it; far:
      # see View::GroundDrawing.
      def initialize(book:, source:, cells:, width_mm:, height_mm:, far: nil)
        @far = far
        @book, @source, @cells, @width_mm, @height_mm = book, source, cells, width_mm, height_mm
      end

      # Scene::Drawing.
      def drawing =
        Scene::Drawing.new(
          width_mm: @width_mm,
          height_mm: @height_mm,
          nodes: @cells.empty? ? [] : [ground, over],
          title: "Index"
        )

      private

      def frame = Geometry::Box.at(0.0, 0.0, @width_mm, @height_mm)

      def view
        @view ||=
          begin
            box = Index::Cell.box(@cells)
            box = box.grow([box.width, box.height].max * ROOM)
            per_mm = [box.width / @width_mm, box.height / @height_mm].max
            ground = Geometry::TurnedRectangle.new(*box.centre, @width_mm * per_mm, @height_mm * per_mm, 0.0)
            View::FrameView.new(frame: frame, ground: ground, crs: @book.crs)
          end
      end

      def ground
        areas = @book.layers.select(&:areas?)
        drawn =
          View::GroundDrawing.new(
            layers: areas,
            source: @source,
            view: view,
            tolerance_mm: TOLERANCE_MM,
            names: false,
            coarse_mm: @far && View::ScreenMap::PIXEL_MM,
            far: @far
          )
        Scene::Group.new(children: drawn.nodes, clip: frame, name: "ground")
      end

      def over
        look = Frames::Cells.plain
        drawing = View::CellsDrawing.new(look: look, cells: @cells, view: view, face: Type::Library.face(look.face))
        Scene::Group.new(children: drawing.nodes + drawing.labels.map(&:first), clip: frame, name: "cells")
      end
    end
  end
end
