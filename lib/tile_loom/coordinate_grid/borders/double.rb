# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # Two lines, the outer one heavier, with ticks between them at every step.
      class Double < Border
        kind "double", "double", rank: 3

        private

        def thickness = @spec.thickness_mm || 2.0

        def body = [outline(inner, thin), *ticks, outline(outer)]

        def thin = stroke.with(width_mm: stroke.width_mm / 2)
      end
    end
  end
end
