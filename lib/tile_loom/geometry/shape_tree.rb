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
      def query(shape) = indexes(shape).map { |index| @shapes[index] }

      # Their places in the list.
      def indexes(shape) = @tree ? @tree.query(shape).sort : []
    end
  end
end
