# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # Round dots where lines meet. A field of them at a known distance stands in for a scale bar.
      class Dots < Look
        kind "dots", "dots", rank: 4
        own_parts[:size_mm] = SIZE

        STEPS = 24
        ROUND = (0...STEPS).map { |n| [Math.cos(2 * Math::PI * n / STEPS), Math.sin(2 * Math::PI * n / STEPS)] }.freeze

        def nodes(mesh) =
          shapes(mesh) { |node, size| ROUND.flat_map { |x, y| [node.x + x * size / 2, node.y + y * size / 2] } }
      end
    end
  end
end
