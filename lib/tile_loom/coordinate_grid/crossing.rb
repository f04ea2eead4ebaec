# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Where a grid line crosses a side of the frame (page mm), how steeply (1 at a right angle), and in which
    # direction it goes on into the frame (a unit vector).
    Crossing =
      Struct.new(:line, :side, :x, :y, :steepness, :inward, keyword_init: true) do
        # Crossings of all lines with the sides of a frame (a Box in page mm).
        def self.all(lines, frame)
          lines.flat_map { |line| of(line, line.pieces, frame) }
        end

        # Where lines cross a frame that is larger than theirs.
        def self.beyond(lines, frame)
          lines.flat_map do |line|
            of(line, line.course.flat_map { |run| Geometry::SegmentClip.polyline(run, frame) }, frame)
          end
        end

        def self.of(line, pieces, frame)
          pieces.flat_map do |piece|
            at(line, piece[0, 2], piece[2, 2], frame) + at(line, piece[-2, 2], piece[-4, 2], frame)
          end
        end

        # A line along the frame's very edge ends in its corners, where it crosses the sides that it meets and not
        # the one that it lies on.
        def self.at(line, (x, y), inner, frame)
          dx, dy = inner[0] - x, inner[1] - y
          run = Math.hypot(dx, dy)
          return [] if run.zero?
          sides_of(x, y, frame).filter_map do |side|
            steepness = (Side.level?(side) ? dy : dx).abs / run
            if steepness > Crossing::NEAR
              new(line: line, side: side, x: x, y: y, steepness: steepness, inward: [dx / run, dy / run])
            end
          end
        end

        def self.sides_of(x, y, frame)
          {
            "top" => y - frame.min_y,
            "bottom" => y - frame.max_y,
            "left" => x - frame.min_x,
            "right" => x - frame.max_x
          }.select { |_, off| off.abs < Crossing::NEAR }.keys
        end

        # Its place along its side.
        def along = Side.level?(side) ? x : y
      end

    # mm, and as a steepness.
    Crossing::NEAR = 1e-6
  end
end
