# frozen_string_literal: true

module TileLoom
  module Bar
    # A scale in a sentence: "1 cm is 100 m", "1 inch is 2,000 feet". It says "about" where the number that it
    # tells is rounded.
    module VerbalScale
      INCHES_PER_FOOT, FEET_PER_MILE, INCHES_PER_MILE = 12, 5280, 63_360

      # A half and a quarter of a mile are told as such.
      PARTS_OF_MILE = [2, 4].freeze

      module_function

      # scale: the denominator; units: "metric" or "imperial"; decimal: thousands as Units::Number groups them.
      def of(scale, units: "metric")
        exact = scale.is_a?(Float) ? scale.round(6).to_s.to_r : Rational(scale)
        (units == "imperial") ? imperial(exact) : metric(exact)
      end

      def metric(scale)
        metres = scale / 100
        (metres >= 1000) ? sentence("1 cm", metres / 1000, "km") : sentence("1 cm", metres, "m")
      end

      def imperial(scale)
        miles = scale / INCHES_PER_MILE
        return sentence("1 inch", miles, (miles == 1) ? "mile" : "miles") if miles >= 1 || PARTS_OF_MILE.include?(1 / miles)
        feet = scale / INCHES_PER_FOOT
        sentence("1 inch", feet, (feet == 1) ? "foot" : "feet")
      end

      # Two decimals at most below a hundred, none above a thousand.
      def sentence(paper, value, unit)
        decimals = if value >= 1000 then 0
        elsif value >= 100 then 1
        else 2
        end
        rounded = value.round(decimals)
        "#{paper} is #{"about " unless rounded == value}#{Units::Number.grouped(rounded, decimals: Units::Number.places(rounded.rationalize))} #{unit}"
      end
    end
  end
end
