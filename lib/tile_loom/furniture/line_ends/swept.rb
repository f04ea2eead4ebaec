# frozen_string_literal: true

module TileLoom
  module Furniture
    module LineEnds
      # A filled arrowhead with a notch behind.
      class Swept < LineEnd
        kind "swept", "swept arrowhead", rank: 2

        def self.shorter = 0.6

        def runs = [[[0, 0, -1, 0.42, -0.72, 0, -1, -0.42], true, true]]
      end
    end
  end
end
