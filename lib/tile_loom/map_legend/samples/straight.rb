# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Samples
      # A level line through the middle of the room.
      class Straight < Sample
        kind "straight", "straight", rank: 4
        shape :line

        def runs(box) = [within(box, [0, 0.5, 1, 0.5])]
      end
    end
  end
end
