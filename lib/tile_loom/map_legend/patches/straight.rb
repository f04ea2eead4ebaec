# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Patches
      # A level line through the middle of the room.
      class Straight < Patch
        kind "straight", "Straight", rank: 4
        shape :line

        def runs(box) = [within(box, [0, 0.5, 1, 0.5])]
      end
    end
  end
end
