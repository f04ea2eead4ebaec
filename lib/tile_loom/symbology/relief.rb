# frozen_string_literal: true

module TileLoom
  module Symbology
    # Shading of heights by lights: the cosine between the light and the ground's normal, after the gradient of B. K. P.
    # Horn (Hill shading and the reflectance map, Proc. IEEE 69, 1981) from the eight neighbours of a pixel.
    class Relief < Values::Value
      define "relief", about: "Shading of heights by lights."
      part :lights, list(Light.type, least: 1, most: 8), default: [{}]
      part :exaggeration, number(above: 0, most: 100), default: 1, about: "Heights count as so many times as high."
      part :heights_in, choice(metres: "metres", feet: "feet"), default: "metres"

      FEET = 0.3048

      # heights: a Vips::Image of one band; slope: a Raster::Slope of its pixels. Shade of each, 1 (dark) to 255.
      def shade(heights, slope)
        east, north = slope.gradient(heights, exaggeration * ((heights_in == "feet") ? FEET : 1.0))
        length = ((east * east) + (north * north) + 1)**0.5
        total = lights.sum(&:weight)
        lights.map { |light| lit(light, east, north, length) * (light.weight / total) }.reduce(:+)
      end

      private

      def lit(light, east, north, length)
        azimuth, altitude = [light.azimuth_deg, light.altitude_deg].map { |angle| angle * Math::PI / 180 }
        flat, up = Math.cos(altitude), Math.sin(altitude)
        towards = (east * (flat * Math.sin(azimuth))) + (north * (flat * Math.cos(azimuth)))
        cosine = (towards * -1 + up) / length
        # Beside what has no height, the ground counts as level.
        cosine = cosine.relational(cosine, :equal).ifthenelse(cosine, up)
        (cosine > 0).ifthenelse(cosine, 0) * 254 + 1
      end
    end
  end
end
