# frozen_string_literal: true

module TileLoom
  module Furniture
    module LineEnds
      # Two strokes that meet at the tip.
      class Open < LineEnd
        kind "open", "open arrowhead", rank: 3

        def runs = [[[-0.8, 0.45, 0, 0, -0.8, -0.45], false, false]]
      end
    end
  end
end
