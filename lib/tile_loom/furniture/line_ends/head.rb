# frozen_string_literal: true

module TileLoom
  module Furniture
    module LineEnds
      # A filled triangle.
      class Head < LineEnd
        kind "head", "filled arrowhead", rank: 1

        def self.shorter = 0.9

        def runs = [[[0, 0, -1, 0.36, -1, -0.36], true, true]]
      end
    end
  end
end
