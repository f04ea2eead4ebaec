# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # The standard series of round spacings: 1-2-5 for lengths; 1, 2, 5, 10, 15, 20, 30 of seconds,
    # minutes and degrees for angles (common practice on topographic maps).
    module Series
      ANGLES_DEG = [
        *[1, 2, 5, 10, 15, 20, 30].map { |n| Rational(n, 3600) },
        *[1, 2, 5, 10, 15, 20, 30].map { |n| Rational(n, 60) },
        *[1, 2, 5, 10, 15, 20, 30, 45, 90].map { |n| Rational(n) }
      ].freeze

      module_function

      # The smallest 1-2-5 number that is not below the value.
      def at_least(value)
        around(value).find { |number| number >= value * (1 - 1e-12) }
      end

      # The largest 1-2-5 number that is not above the value.
      def at_most(value)
        around(value).reverse.find { |number| number <= value * (1 + 1e-12) }
      end

      # The 1-2-5 number nearest in proportion.
      def nearest(value) = around(value).min_by { |number| Math.log(number / value.to_f).abs }

      # The angle in degrees of the series that is nearest in proportion.
      def nearest_angle_deg(value) = ANGLES_DEG.min_by { |angle| Math.log(angle / value.to_f).abs }

      def around(value)
        power = Math.log10(value).floor
        ((power - 1)..(power + 1)).flat_map { |n| [1, 2, 5].map { |digit| digit * Rational(10)**n } }
      end
    end
  end
end
