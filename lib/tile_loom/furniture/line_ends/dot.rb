# frozen_string_literal: true

module TileLoom
  module Furniture
    module LineEnds
      # A filled circle about the line's end.
      class Dot < LineEnd
        kind "dot", "dot", rank: 4

        STEPS = 32

        def runs
          ring =
            (0...STEPS).flat_map do |step|
              angle = 2 * Math::PI * step / STEPS
              [0.4 * Math.cos(angle), 0.4 * Math.sin(angle)]
            end
          [[ring, true, true]]
        end
      end
    end
  end
end
