# frozen_string_literal: true

module TileLoom
  module Labelling
    # The pieces of a line in a box, each of whose places knows how far along the whole line it is.
    class Pieces
      # [length of the line, [flat coordinates, distances] of each piece]. run: flat coordinates; box: Geometry::Box.
      def self.of(run, box) = new(box).walk(run)

      def initialize(box)
        @box = box
        @found = []
      end

      def walk(run)
        min_x, min_y, max_x, max_y = @box.to_a
        x, y = run[0], run[1]
        inside = !(x < min_x || x > max_x || y < min_y || y > max_y)
        passed, index, size = 0.0, 2, run.length
        while index < size
          next_x, next_y = run[index], run[index + 1]
          length = Math.hypot(next_x - x, next_y - y)
          next_inside = !(next_x < min_x || next_x > max_x || next_y < min_y || next_y > max_y)
          if inside && next_inside
            start(x, y, passed) unless @run
            @run << next_x << next_y
            @at << passed + length
          elsif inside || next_inside ||
              !(
                (x < min_x && next_x < min_x) || (x > max_x && next_x > max_x) || (y < min_y && next_y < min_y) ||
                  (y > max_y && next_y > max_y)
              )
            cut(x, y, next_x, next_y, passed)
            finish unless next_inside
          end
          x, y, inside = next_x, next_y, next_inside
          passed += length
          index += 2
        end
        finish
        [passed, @found]
      end

      private

      # A straight part that comes in or goes out, or both.
      def cut(x1, y1, x2, y2, passed)
        in_x, in_y, out_x, out_y = Geometry::SegmentClip.segment(x1, y1, x2, y2, @box)
        return unless in_x
        start(in_x, in_y, passed + Math.hypot(in_x - x1, in_y - y1)) unless @run
        @run << out_x << out_y
        @at << passed + Math.hypot(out_x - x1, out_y - y1)
      end

      def start(x, y, passed)
        @run, @at = [x, y], [passed]
      end

      def finish
        @found << [@run, @at] if @run && @at.last > @at.first
        @run = @at = nil
      end
    end
  end
end
