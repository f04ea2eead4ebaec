# frozen_string_literal: true

require "date"
require "json"

module TileLoom
  module Crs
    # The World Magnetic Model 2025: spherical harmonics to degree 12 (Chulliat et al., The US/UK World Magnetic
    # Model for 2025-2030, NOAA NCEI; the equations are those of section 1.2). Where wmm-2025.json comes from is
    # said in it.
    class MagneticModel
      FILE = File.join(__dir__, "wmm-2025.json")
      DEGREE = 12
      # The model's reference radius and the ellipsoid of WGS 84, km.
      RADIUS, SEMI_MAJOR, SQUARED_ECCENTRICITY = 6371.2, 6378.137, 0.00669437999014
      RADIANS = Math::PI / 180
      # At a pole there is no east; it is looked at from so near.
      HIGHEST_LATITUDE = 89.9999

      # Strengths in nT towards true north, east and down; declination and inclination in degrees, east and down
      # positive; declination_change in degrees a year.
      Field =
        Struct.new(
          :north,
          :east,
          :down,
          :declination_deg,
          :inclination_deg,
          :declination_change_deg,
          keyword_init: true
        )

      def self.wmm = @wmm ||= new(JSON.parse(File.read(FILE)))

      # The decimal year of a Date.
      def self.year(date) = date.year + (date.yday - 1) / (date.leap? ? 366.0 : 365.0)

      attr_reader :name, :epoch, :valid_until

      def initialize(data)
        @name, @epoch, @valid_until = data.values_at("model", "epoch", "valid_until")
        @terms = data["coefficients"]
      end

      # lon, lat: degrees on WGS 84; date: Date or decimal year; height_km above the ellipsoid. Refusal for a
      # date outside the model's five years.
      def at(lon_deg, lat_deg, date, height_km: 0.0)
        year = date.is_a?(Numeric) ? date : self.class.year(date)
        unless year.between?(epoch, valid_until)
          raise Refusal.new(
            "crs.date_outside_magnetic_model",
            from: epoch.to_i,
            to: valid_until.to_i - 1,
            model: name,
            date: date.is_a?(Numeric) ? year : date.iso8601,
            at: "/date"
          )
        end
        field(lon_deg, lat_deg.clamp(-HIGHEST_LATITUDE, HIGHEST_LATITUDE), height_km, year - epoch)
      end

      private

      def field(lon, lat, height, years)
        sphere = geocentric(lat, height)
        now, change = sums(lon, sphere, years)
        north, east, down = turn(now, lat, sphere)
        north_change, east_change, = turn(change, lat, sphere)
        level = north**2 + east**2
        Field.new(
          north: north,
          east: east,
          down: down,
          declination_deg: Math.atan2(east, north) / RADIANS,
          inclination_deg: Math.atan2(down, Math.sqrt(level)) / RADIANS,
          declination_change_deg: (north * east_change - east * north_change) / level / RADIANS
        )
      end

      # [geocentric latitude in radians, radius in km]
      def geocentric(lat, height)
        sin, cos = Math.sin(lat * RADIANS), Math.cos(lat * RADIANS)
        normal = SEMI_MAJOR / Math.sqrt(1 - SQUARED_ECCENTRICITY * sin * sin)
        across, up = (normal + height) * cos, (normal * (1 - SQUARED_ECCENTRICITY) + height) * sin
        [Math.atan2(up, across), Math.hypot(across, up)]
      end

      # North, east and down on the sphere, so many years after the epoch, and what they change in a year.
      def sums(lon, (latitude, radius), years)
        legendre, slopes = functions(latitude)
        turns = (0..DEGREE).map { |m| [Math.cos(m * lon * RADIANS), Math.sin(m * lon * RADIANS)] }
        ratios = (0..DEGREE).map { |n| (RADIUS / radius)**(n + 2) }
        cos_latitude = Math.cos(latitude)
        now, change = [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]
        @terms.each do |n, m, g, h, g_change, h_change|
          cos, sin = turns[m]
          value, slope, ratio = legendre[n][m], slopes[n][m], ratios[n]
          [
            [now, g + years * g_change, h + years * h_change],
            [change, g_change, h_change]
          ].each do |sum, g_then, h_then|
            along = g_then * cos + h_then * sin
            sum[0] -= ratio * along * slope
            sum[1] += ratio * m * (g_then * sin - h_then * cos) * value / cos_latitude
            sum[2] -= (n + 1) * ratio * along * value
          end
        end
        [now, change]
      end

      # From the sphere's down to the ellipsoid's.
      def turn((north, east, down), lat, (latitude, _))
        angle = latitude - lat * RADIANS
        [north * Math.cos(angle) - down * Math.sin(angle), east, north * Math.sin(angle) + down * Math.cos(angle)]
      end

      # Associated Legendre functions of sin(latitude) in Schmidt's semi-normalization, and their slopes by
      # latitude, by the usual recursion over the degree: a row of orders for each degree.
      def functions(latitude)
        sin, cos = Math.sin(latitude), Math.cos(latitude)
        values, slopes = [[1.0]], [[0.0]]
        (1..DEGREE).each do |n|
          values << Array.new(n + 1)
          slopes << Array.new(n + 1)
          (0..n).each do |m|
            values[n][m], slopes[n][m] =
              (m == n) ? diagonal(n, sin, cos, values, slopes) : inner(n, m, sin, cos, values, slopes)
          end
        end
        [values, slopes]
      end

      def diagonal(n, sin, cos, values, slopes)
        factor = (n == 1) ? 1.0 : Math.sqrt((2 * n - 1) / (2.0 * n))
        value, slope = values[n - 1][n - 1], slopes[n - 1][n - 1]
        [factor * cos * value, factor * (cos * slope - sin * value)]
      end

      def inner(n, m, sin, cos, values, slopes)
        before = Math.sqrt((n - 1)**2 - m**2)
        root = Math.sqrt(n**2 - m**2)
        value, slope = values[n - 1][m], slopes[n - 1][m]
        # Of an order above its degree there is none.
        last_value, last_slope = (m > n - 2) ? [0.0, 0.0] : [values[n - 2][m], slopes[n - 2][m]]
        [
          ((2 * n - 1) * sin * value - before * last_value) / root,
          ((2 * n - 1) * (cos * value + sin * slope) - before * last_slope) / root
        ]
      end
    end
  end
end
