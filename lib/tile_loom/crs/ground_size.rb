# frozen_string_literal: true

module TileLoom
  module Crs
    # How long and how high a rectangle of the map plane is on the ground: along its two middle lines, on the
    # reference's ellipsoid.
    class GroundSize
      # A middle line is measured in so many parts, since on the plane it is none of the shortest lines on the ground.
      PARTS = 16

      # rectangle: Geometry::TurnedRectangle in units of the reference.
      def initialize(crs, rectangle)
        @crs, @rectangle = crs, rectangle
      end

      def width_m = @width_m ||= along(@rectangle.width, 0.0)

      def height_m = @height_m ||= along(0.0, @rectangle.height)

      # [width, height] in metres; Refusal where a middle line leaves what the reference shows.
      def to_a = [width_m, height_m]

      private

      def along(across, up)
        angle = @rectangle.ccw_deg * Math::PI / 180
        dx, dy = across * Math.cos(angle) - up * Math.sin(angle), across * Math.sin(angle) + up * Math.cos(angle)
        places =
          (0..PARTS).flat_map do |n|
            [@rectangle.centre_x + dx * (n / PARTS.to_f - 0.5), @rectangle.centre_y + dy * (n / PARTS.to_f - 0.5)]
          end
        Geodesic.new(@crs).length_m(places)
      end
    end
  end
end
