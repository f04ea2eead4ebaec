# frozen_string_literal: true

module TileLoom
  module View
    # The whole index as a picture of its own.
    class IndexDrawing
      # width_mm, height_mm: of the picture; the index fills it as far as its proportion lets it.
      def initialize(book:, source:, cells:, width_mm:, height_mm:)
        @width_mm, @height_mm = width_mm, height_mm
        @map =
          IndexMap.new(book: book, source: source, cells: cells, box: Geometry::Box.at(0.0, 0.0, width_mm, height_mm))
      end

      # Scene::Drawing.
      def drawing = Scene::Drawing.new(width_mm: @width_mm, height_mm: @height_mm, nodes: @map.nodes, title: "Key")
    end
  end
end
