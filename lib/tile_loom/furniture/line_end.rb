# frozen_string_literal: true

module TileLoom
  module Furniture
    # What a line ends in. A kind is a file in line_ends/: it says by how much of its size the line itself ends before
    # the tip, and draws itself at the origin, pointing along x, one long.
    class LineEnd
      extend Values::Kind

      # By how much the line is shorter for it, as a share of its size.
      def self.shorter = 0.0

      # [flat run, closed?, filled?] list.
      def runs = raise(NotImplementedError)

      # Scene nodes at a tip [x, y] of the page that the line comes to in a direction [dx, dy] of length 1.
      def nodes(tip, direction, size, stroke)
        cos, sin = direction
        runs.map do |run, closed, filled|
          placed =
            run
              .each_slice(2)
              .flat_map { |x, y| [tip[0] + (x * cos - y * sin) * size, tip[1] + (x * sin + y * cos) * size] }
          Scene::Path.new(
            runs: [placed],
            closed: closed,
            fill: filled ? Scene::Fill.new(colour: stroke.colour, opacity: stroke.opacity) : nil,
            stroke: filled ? nil : stroke.with(dash_mm: nil, join: "miter")
          )
        end
      end
    end
  end
end
