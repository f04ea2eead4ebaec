# frozen_string_literal: true

module TileLoom
  module Symbology
    module Breaks
      # Classes of the same width from the least to the largest value.
      class EqualInterval
        extend Values::Kind

        kind "equal", "equal widths", rank: 1

        def breaks(values, count)
          low, high = values.first, values.last
          (0..count).map { |step| (step == count) ? high : low + (high - low) * step.fdiv(count) }
        end
      end
    end
  end
end
