# frozen_string_literal: true

module TileLoom
  module Geometry
    # Shapes found by box, for when many are asked about many (GEOS's sort-tile-recursive tree).
    class ShapeTree
      # shapes: ::Geos::Geometry list.
      def initialize(shapes)
        @shapes = shapes
        @tree = shapes.any? ? ::Geos::STRtree.new(10) : nil
        shapes.each_with_index { |shape, index| @tree.insert(shape, index) }
      end

      # Those whose boxes meet the shape's.
      def query(shape) = @tree ? @tree.query(shape).sort.map { |index| @shapes[index] } : []
    end
  end
end
