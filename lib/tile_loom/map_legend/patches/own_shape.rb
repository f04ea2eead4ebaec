# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Patches
      # The outlines of a drawing of the book's own, as large as the room lets it be.
      class OwnShape < Patch
        kind "own", "Own shape", rank: 3
        shape :area

        def runs(box)
          @drawing ? @drawing.outlines(*@drawing.fitted(box)) : [box.corners]
        end
      end
    end
  end
end
