# frozen_string_literal: true

module TileLoom
  module Furniture
    module LineEnds
      # A short stroke across the line's end, as of a dimension.
      class CrossBar < LineEnd
        kind "cross_bar", "bar across", rank: 5

        def runs = [[[0, 0.5, 0, -0.5], false, false]]
      end
    end
  end
end
