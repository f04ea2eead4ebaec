# frozen_string_literal: true

module TileLoom
  module Raster
    # Metres of a degree on the GRS 80 ellipsoid (Snyder, USGS PP 1395, equations 4-19 to 4-21).
    module Degrees
      A = 6_378_137.0
      E2 = 0.006_694_380_022_90

      module_function

      # [of longitude, of latitude] at a latitude in degrees.
      def metres(latitude)
        sin = Math.sin(latitude.clamp(-89.99, 89.99) * Math::PI / 180)
        cos = Math.sqrt(1 - sin * sin)
        under = 1 - E2 * sin * sin
        [A * cos / Math.sqrt(under) * Math::PI / 180, A * (1 - E2) / under**1.5 * Math::PI / 180]
      end
    end
  end
end
