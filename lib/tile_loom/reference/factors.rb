# frozen_string_literal: true

module TileLoom
  module Reference
    # Local properties of a projection at a point, from PROJ (Snyder, USGS PP 1395, chapter 4).
    #   meridional_scale, parallel_scale: h and k; areal_scale: s
    #   convergence_deg: the angle from true north to grid north, clockwise positive
    class Factors
      attr_reader :meridional_scale, :parallel_scale, :areal_scale, :convergence_deg

      # x, y: in the reference's own units.
      def self.at(crs, x, y)
        lon, lat = Transform.between(crs, crs.geographic).point(x, y)
        from_geographic(crs, lon, lat)
      end

      def self.from_geographic(crs, lon_deg, lat_deg)
        crs.for_fixed_scale!
        radians = Math::PI / 180
        new(crs.proj_object.factors(Proj::Coordinate.new(lam: lon_deg * radians, phi: lat_deg * radians)))
      end

      def initialize(raw)
        @meridional_scale = raw[:meridional_scale]
        @parallel_scale = raw[:parallel_scale]
        @areal_scale = raw[:areal_scale]
        @convergence_deg = raw[:meridian_convergence] * 180 / Math::PI
        freeze
      end

      # One number for the sheet: the scale factor of a conformal projection; in any other the
      # geometric mean, which keeps the area of the sheet right.
      def point_scale = Math.sqrt(areal_scale)
    end
  end
end
