# frozen_string_literal: true

module TileLoom
  module Index
    # The axes of a grid that is turned counter-clockwise: along its rows and along its columns.
    class Axes
      attr_reader :ccw_deg

      def initialize(ccw_deg)
        @ccw_deg = ccw_deg.to_f
        angle = @ccw_deg * Math::PI / 180
        @cos, @sin = (@ccw_deg % 360).zero? ? [1.0, 0.0] : [Math.cos(angle), Math.sin(angle)]
      end

      # Flat ground coordinates counted along the axes, and back.
      def along(coordinates) = Geometry::Affine.new(@cos, -@sin, @sin, @cos, 0.0, 0.0).map(coordinates)

      def ground(coordinates) = Geometry::Affine.new(@cos, @sin, -@sin, @cos, 0.0, 0.0).map(coordinates)

      # The Box of flat ground coordinates, counted along the axes.
      def box(coordinates) = Geometry::Box.around(along(coordinates))
    end
  end
end
