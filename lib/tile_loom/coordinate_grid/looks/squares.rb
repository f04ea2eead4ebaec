# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # Small squares where lines meet, as the lines lie there.
      class Squares < Look
        kind "squares", "squares", rank: 5
        own_parts[:size_mm] = SIZE

        def nodes(mesh)
          shapes(mesh) do |node, size|
            (ux, uy), (vx, vy) = node.along
            half = size / 2
            [[-1, -1], [1, -1], [1, 1], [-1, 1]].flat_map do |u, v|
              [node.x + half * (u * ux + v * vx), node.y + half * (u * uy + v * vy)]
            end
          end
        end
      end
    end
  end
end
