# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # A line with ticks outward at every step.
      class Ticked < Border
        kind "ticked", "ticked", rank: 2

        private

        def thickness = @spec.thickness_mm || 1.5

        def body = [outline(inner), *ticks]
      end
    end
  end
end
