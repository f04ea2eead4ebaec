# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # Crosses where lines meet, their arms along the lines, and ticks of the same length at the frame.
      class Crosses < Look
        kind "crosses", "crosses", rank: 2
        part :arm_mm, Values::Number.new(above: 0, most: 100), default: 2, about: "Arms of crosses."

        def nodes(mesh)
          arm = @grid.arm_mm
          minor, major =
            mesh
              .nodes
              .partition { |node| !node.major?(every) }
              .map { |nodes| nodes.flat_map { |node| arms(node, arm, mesh.view.frame) } }
          ticks = edge_ticks(mesh, inside: arm)
          strokes(minor + ticks[0], major + ticks[1])
        end

        private

        def arms(node, arm, frame)
          node.along.flat_map do |dx, dy|
            Geometry::SegmentClip.polyline(
              [node.x - dx * arm, node.y - dy * arm, node.x + dx * arm, node.y + dy * arm],
              frame
            )
          end
        end
      end
    end
  end
end
