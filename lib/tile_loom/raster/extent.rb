# frozen_string_literal: true

module TileLoom
  module Raster
    # Where a raster lies in another reference.
    class Extent
      # Places along each side.
      STEPS = 16

      # crs: a Crs::System of the other reference.
      def initialize(grid, crs)
        @grid, @crs = grid, crs
      end

      # Flat places of the other reference in the raster's own.
      def own(places) = (@into ||= Crs::Transform.between(@crs, system)).forward(places)

      # Flat places of the other reference in columns and rows, from the corner of the first pixel.
      def on_grid(places) = inverse.map(own(places))

      # Flat places round its edge, those that the other reference has.
      def ring
        @ring ||=
          Crs::Transform
            .between(system, @crs)
            .forward(edge)
            .each_slice(2)
            .select { |place| place.all?(&:finite?) }
            .flatten
      end

      # Has the other reference all places of its edge?
      def whole? = ring.length == edge.length

      # Geometry::Box, or nil where it has none.
      def box = ring.empty? ? nil : Geometry::Box.around(ring)

      private

      def system = @system ||= @grid.system(operations: @crs.operations)

      def inverse = @inverse ||= @grid.inverse

      def edge
        steps = (0..STEPS).map { |step| step / STEPS.to_f }
        sides =
          steps.map { |s| [s, 0] } + steps.map { |s| [1, s] } + steps.reverse.map { |s| [s, 1] } +
          steps.reverse.map { |s| [0, s] }
        @grid.affine.map(sides.flat_map { |u, v| [u * @grid.width, v * @grid.height] })
      end
    end
  end
end
