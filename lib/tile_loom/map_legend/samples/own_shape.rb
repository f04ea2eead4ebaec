# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Samples
      # The outlines of a drawing of the book's own, as large as the room lets it be.
      class OwnShape < Sample
        kind "own", "own shape", rank: 3
        shape :area

        def runs(box)
          @drawing ? @drawing.outlines(*@drawing.fitted(box)) : [box.corners]
        end
      end
    end
  end
end
