# frozen_string_literal: true

module TileLoom
  module Sheet
    # A map frame that shows ground: the frame's box on the page (mm), the ground rectangle that fills
    # it, the book's reference. One affine map joins them.
    class FrameView
      attr_reader :frame, :ground, :crs

      def initialize(frame:, ground:, crs:)
        @frame, @ground, @crs = frame, ground, crs
      end

      def affine = @affine ||= ground.onto(frame)

      def inverse = @inverse ||= affine.inverse

      # Flat coordinates in the book's reference → page mm, and back.
      def to_page(coordinates) = affine.map(coordinates)

      def to_ground(coordinates) = inverse.map(coordinates)

      # Reference units that one paper millimetre covers.
      def units_per_mm = ground.width / frame.width.to_f

      # Scale denominator on the map plane, to the accuracy that a scale is told in.
      def scale = (units_per_mm * crs.metres_per_unit * 1000).round(6)

      def centre_lon_lat = @centre_lon_lat ||= to_geographic.point(ground.centre_x, ground.centre_y)

      def to_geographic = Reference::Transform.between(crs, crs.geographic)

      def factors = @factors ||= Reference::Factors.at(crs, ground.centre_x, ground.centre_y)

      # True scale denominator on the ground at the sheet's centre.
      def true_scale = units_per_mm * crs.metres_per_unit * 1000 / factors.point_scale

      # Geodesic length in metres of a horizontal stretch of paper about the frame's centre.
      def ground_m(length_mm)
        x, y = frame.centre
        ends = to_ground([x - length_mm / 2.0, y, x + length_mm / 2.0, y])
        Reference::Geodesic.new(crs).distance_m(*ends)
      end

      # Paper length in mm of a horizontal stretch about the centre that measures this many metres on
      # the ground. The secant step converges to well under a micrometre in a few rounds.
      def paper_mm(metres)
        length = metres / ground_m(10.0) * 10.0
        3.times { length *= metres / ground_m(length) }
        length
      end
    end
  end
end
