# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Samples
      # Up, down and up again.
      class Bent < Sample
        kind "bent", "bent", rank: 5
        shape :line

        def runs(box) = [within(box, [0, 1, 0.36, 0, 0.64, 1, 1, 0])]
      end
    end
  end
end
