# frozen_string_literal: true

module TileLoom
  module Symbology
    module Breaks
      # Bounds at whole multiples of a step from the series 1, 2, 5, the step that comes nearest to the
      # wanted number of classes.
      class Round
        extend Values::Kind

        kind "round", "round numbers", rank: 4

        def breaks(values, count)
          low, high = values.first, values.last
          return low, high if low == high
          step = best_step(low, high, count)
          first, last = (low / step).floor, (high / step).ceil
          (first..last).map { |multiple| tidy(multiple * step) }
        end

        private

        def best_step(low, high, count)
          power = Math.log10((high - low).to_f / count).floor
          steps = (power - 1..power + 1).flat_map { |exponent| [1, 2, 5].map { |lead| lead * (10r**exponent) } }
          steps.min_by { |step| [(((high / step).ceil - (low / step).floor) - count).abs, -step] }
        end

        def tidy(number) = (number == number.to_i) ? number.to_i : number.to_f
      end
    end
  end
end
