# frozen_string_literal: true

module TileLoom
  module Symbology
    module Breaks
      # Classes of the same number of features: quantiles of type 7 (Hyndman and Fan 1996), which most
      # statistics programs use.
      class Quantile
        extend Values::Kind

        kind "quantile", "equal counts", rank: 2

        def breaks(values, count)
          (0..count).map do |step|
            place = (values.length - 1) * step.fdiv(count)
            below = values[place.floor]
            share = place - place.floor
            share.zero? ? below : below + (values[place.floor + 1] - below) * share
          end
        end
      end
    end
  end
end
