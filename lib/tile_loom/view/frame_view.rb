# frozen_string_literal: true

module TileLoom
  module View
    # A map frame that shows ground: the frame's box on the page (mm), the ground rectangle that fills
    # it, the book's reference. One affine map joins them.
    class FrameView
      attr_reader :frame, :ground, :crs

      def initialize(frame:, ground:, crs:)
        @frame, @ground, @crs = frame, ground, crs
      end

      # Does it show a globe?
      def globe? = false

      # What tells it from another view of the same reference: numbers.
      def place =
        [
          frame.min_x,
          frame.min_y,
          frame.width,
          frame.height,
          ground.centre_x,
          ground.centre_y,
          ground.width,
          ground.height,
          ground.rotation_deg
        ]

      def affine = @affine ||= ground.onto(frame)

      def inverse = @inverse ||= affine.inverse

      # Flat coordinates in the book's reference → page mm, and back.
      def to_page(coordinates) = affine.map(coordinates)

      def to_ground(coordinates) = inverse.map(coordinates)

      # Reference units that one paper millimetre covers.
      def units_per_mm = ground.width / frame.width.to_f

      # Scale denominator on the map plane, to the accuracy that a scale is told in.
      def scale = (units_per_mm * crs.metres_per_unit * 1000).round(6)

      def centre_lon_lat = @centre_lon_lat ||= to_geographic.point(*middle)

      def to_geographic = Crs::Transform.between(crs, crs.geographic)

      def factors = @factors ||= Crs::Factors.at(crs, *middle)

      STEPS = (0..8).map { |n| n / 8.0 }

      # The ground in the frame's middle; where that lies beyond the edge of the earth, as on a sheet in the corner of a
      # world map, the nearest of its places that do not.
      def middle
        @middle ||=
          begin
            centre = [ground.centre_x, ground.centre_y]
            Crs::Factors.ground?(crs, *centre) ? centre : (nearest_ground || centre)
          end
      end

      # That place on the page.
      def middle_of_page = @middle_of_page ||= to_page(middle)

      # Scale denominator on the ellipsoid at the frame's middle, along the page's horizontal as a scale bar has it.
      def true_scale = Measure.new(self).per_mm * 1000

      # Length on the map plane over that on the ellipsoid, along the same line.
      def bar_scale_factor = units_per_mm * crs.metres_per_unit * 1000 / true_scale

      def nearest_ground
        places =
          STEPS
            .product(STEPS)
            .sort_by { |u, v| Math.hypot(u - 0.5, v - 0.5) }
            .lazy
            .map { |u, v| to_ground(frame.place(u, v)) }
        places.find { |place| Crs::Factors.ground?(crs, *place) }
      end
      private :nearest_ground

      # Crs::GroundSize of what the frame shows.
      def ground_size = Crs::GroundSize.new(crs, ground)
    end
  end
end
