# frozen_string_literal: true

module TileLoom
  module Units
    # The standard series of round spacings: 1-2-5 for lengths; 1, 2, 5, 10, 15, 20, 30 of seconds,
    # minutes and degrees for angles (common practice on topographic maps), with tenths of a second below.
    module Series
      ANGLES_DEG = [
        *[1, 2, 5].product([1000, 100, 10]).map { |n, part| Rational(n, 3600 * part) }.sort,
        *[1, 2, 5, 10, 15, 20, 30].map { |n| Rational(n, 3600) },
        *[1, 2, 5, 10, 15, 20, 30].map { |n| Rational(n, 60) },
        *[1, 2, 5, 10, 15, 20, 30, 45, 90].map { |n| Rational(n) }
      ].freeze

      # The next round spacing is no more than so many times as wide.
      NEXT = 12

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

      # The largest angle of the series that is not above the value, or the smallest of all.
      def angle_at_most_deg(value) = ANGLES_DEG.reverse.find { |angle| angle <= value } || ANGLES_DEG.first

      # Numbers of the series 1, 2, 5 on both sides of a value, as Rationals; Refusal for one that is not
      # greater than zero.
      def around(value)
        raise Refusal.new("units.no_round_length", value: value) unless value.to_f.finite? && value.positive?
        power = Math.log10(value).floor
        ((power - 1)..(power + 1)).flat_map { |n| [1, 2, 5].map { |digit| digit * Rational(10)**n } }
      end

      # By which whole numbers a step is multiplied to come to other round spacings: every 2nd, 5th, 10th line,
      # whichever of them is round itself. Ascending, from 1.
      def multiples(step, angle:)
        round =
          if angle
            ANGLES_DEG
              .select { |number| number > step && (number / step).denominator == 1 }
              .map { |number| (number / step).to_i }
          else
            lengths(step)
          end
        # Of decimals of a degree there are none near by.
        round = lengths(step) if angle && (round.empty? || round.first > NEXT)
        [1, *(round.empty? ? [2, 5, 10, 20, 50, 100] : round)]
      end

      # By what a step of the series 1, 2, 5 (a Rational) is multiplied to come to the next round ones.
      def lengths(step)
        leading = step / Rational(10)**Math.log10(step).floor
        {1r => [2, 5, 10, 20, 50, 100], 2r => [5, 10, 25, 50, 100], 5r => [2, 4, 10, 20, 40, 100]}.fetch(leading, [])
      end
    end
  end
end
