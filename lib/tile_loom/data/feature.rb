# frozen_string_literal: true

module TileLoom
  module Data
    # One feature of a layer: its identity, its geometry as well-known binary in the book's reference,
    # its attributes by name. thinned: the geometry is as coarse already as whoever asked can see.
    class Feature
      attr_reader :id, :wkb, :attributes, :thinned

      def initialize(id:, wkb:, attributes:, thinned: false, sides: nil)
        @id, @wkb, @attributes, @thinned, @sides = id, wkb, attributes, thinned, sides
      end

      # [min_x, min_y, max_x, max_y] of its shape.
      def sides = @sides ||= Geometry::Wkb.extent([wkb]).to_a

      # The same with another number, shape or other attributes.
      def with(id: self.id, wkb: self.wkb, attributes: self.attributes) =
        Feature.new(id: id, wkb: wkb, attributes: attributes, thinned: thinned)

      def ==(other) = other.is_a?(Feature) && to_a == other.to_a

      def to_a = [id, wkb, attributes]
    end
  end
end
