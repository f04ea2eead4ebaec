# frozen_string_literal: true

module TileLoom
  module Index
    # The ground that a frame covers at a scale. Frame and scale drive it; nobody copies numbers.
    class CellSize
      attr_reader :frame_width_mm, :frame_height_mm, :scale, :crs, :held

      # held: "projection", the scale of the map plane; "ellipsoid", the true scale at the sheet's centre.
      def initialize(frame_width_mm:, frame_height_mm:, scale:, crs:, held: "projection")
        @frame_width_mm, @frame_height_mm, @scale, @crs, @held = frame_width_mm, frame_height_mm, scale, crs, held
      end

      # Reference units on the map plane that one paper millimetre covers at a place.
      def units_per_mm(x, y) = scale / 1000.0 / crs.metres_per_unit * factor(x, y)

      # [width, height] in reference units about a centre.
      def at(x, y)
        per_mm = units_per_mm(x, y)
        [frame_width_mm * per_mm, frame_height_mm * per_mm]
      end

      # 1 where the scale of the projection is held, else the point scale factor.
      def factor(x, y) = (held == "ellipsoid") ? Crs::Factors.at(crs, x, y).point_scale : 1.0

      # The nominal size in metres, [width, height]: frame × scale.
      def nominal_m = [frame_width_mm * scale / 1000.0, frame_height_mm * scale / 1000.0]
    end
  end
end
