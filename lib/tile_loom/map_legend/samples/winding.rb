# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Samples
      # A wave once up and down, as of a burn.
      class Winding < Sample
        kind "winding", "winding", rank: 6
        shape :line

        STEPS = 32

        def runs(box) = [within(box, WAVE)]

        WAVE =
          (0..STEPS).flat_map { |step| [step.fdiv(STEPS), 0.5 - 0.5 * Math.sin(2 * Math::PI * step / STEPS)] }.freeze
      end
    end
  end
end
