# frozen_string_literal: true

module TileLoom
  module Crs
    # Local properties of a projection at a point (Snyder, USGS PP 1395, chapter 4):
    #   meridional_scale, parallel_scale: h and k; areal_scale: s
    #   convergence_deg: the angle from true north to grid north, clockwise positive
    #
    # They are taken from the derivatives of the very transform that draws the map, on the reference's
    # own ellipsoid. (PROJ 9.1's proj_factors answers wrongly for a reference whose axes come north
    # first or count in feet.)
    class Factors
      RADIANS = Math::PI / 180
      # A stencil of five points to each side of this step: its own error and that of rounding are both
      # below 1 part in 10^10.
      STEP_DEG = 1e-3
      # Nearer to a pole the meridians have no direction of their own.
      HIGHEST_LATITUDE = 89.99

      attr_reader :meridional_scale, :parallel_scale, :areal_scale, :convergence_deg

      # A place that comes back further away than this in metres is none on the earth: beyond the edge of a world map
      # inverse formulas go on to longitudes that there are not.
      MOST_AWAY_M = 1.0

      # x, y: in the reference's own units; Refusal where they lie on no ground.
      def self.at(crs, x, y)
        crs.for_fixed_scale!
        lonlat = Transform.between(crs, crs.geographic).point(x, y)
        unless ground?(crs, x, y, lonlat)
          point = [x, y].map { |number| Units::Number.plain(number, decimals: 6) }.join(", ")
          raise Refusal.new("crs.point_outside", point: point, name: crs.name)
        end
        from_geographic(crs, *lonlat)
      end

      # Does a place (in the reference's own units) lie on ground that the reference can show?
      def self.ground?(crs, x, y, lonlat = Transform.between(crs, crs.geographic).forward([x, y]))
        return false unless lonlat.all?(&:finite?)
        back = Transform.between(crs.geographic, crs).forward(lonlat)
        back.all?(&:finite?) && Math.hypot(back[0] - x, back[1] - y) * crs.metres_per_unit <= MOST_AWAY_M
      end

      # Of a place in degrees on the reference's own datum.
      def self.from_geographic(crs, lon_deg, lat_deg)
        crs.for_fixed_scale!
        new(crs, lon_deg, lat_deg.clamp(-HIGHEST_LATITUDE, HIGHEST_LATITUDE))
      end

      def initialize(crs, lon_deg, lat_deg)
        a, e2 = crs.ellipsoid
        sin = Math.sin(lat_deg * RADIANS)
        w = Math.sqrt(1 - e2 * sin * sin)
        parallel_radius = a / w * Math.cos(lat_deg * RADIANS)
        meridian_radius = a * (1 - e2) / w**3
        x_lon, y_lon, x_lat, y_lat = derivatives(crs, lon_deg, lat_deg)
        @meridional_scale = Math.hypot(x_lat, y_lat) / meridian_radius
        @parallel_scale = Math.hypot(x_lon, y_lon) / parallel_radius
        @areal_scale = (x_lon * y_lat - x_lat * y_lon).abs / (meridian_radius * parallel_radius)
        @convergence_deg = -Math.atan2(x_lat, y_lat) / RADIANS
        freeze
      end

      # The largest and the smallest scale at the point, whatever the direction: the axes of the indicatrix (Snyder,
      # USGS PP 1395, equations 4-12 and 4-13).
      def axes
        h, k, s = meridional_scale, parallel_scale, areal_scale
        sum, difference = Math.sqrt(h**2 + k**2 + 2 * s), Math.sqrt([h**2 + k**2 - 2 * s, 0].max)
        [(sum + difference) / 2, (sum - difference) / 2]
      end

      # One number for the sheet: the scale factor of a conformal projection; in any other the
      # geometric mean, which keeps the area of the sheet right.
      def point_scale = Math.sqrt(areal_scale)

      private

      # Metres on the plane per radian: [∂x/∂λ, ∂y/∂λ, ∂x/∂φ, ∂y/∂φ].
      def derivatives(crs, lon, lat)
        offsets = [-2, -1, 1, 2].map { |n| n * STEP_DEG }
        places = offsets.flat_map { |d| [lon + d, lat] } + offsets.flat_map { |d| [lon, lat + d] }
        plane = Transform.between(crs.geographic, crs).forward(places, strict: true).each_slice(2).to_a
        [plane.first(4), plane.last(4)].flat_map do |two_before, before, after, two_after|
          [0, 1].map do |axis|
            slope =
              (two_before[axis] - 8 * before[axis] + 8 * after[axis] - two_after[axis]) / (12 * STEP_DEG * RADIANS)
            slope * crs.metres_per_unit
          end
        end
      end
    end
  end
end
