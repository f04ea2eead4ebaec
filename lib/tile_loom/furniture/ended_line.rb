# frozen_string_literal: true

module TileLoom
  module Furniture
    # A line whose ends may be arrowheads or what else there is in line_ends/.
    class EndedLine
      # first_end, last_end: keys of LineEnds, or nil; end_mm: their size.
      def initialize(stroke, first_end, last_end, end_mm)
        @stroke, @end_mm = stroke, end_mm
        @first, @last = [first_end, last_end].map { |key| key && LineEnds.of(key) }
      end

      # Scene nodes along a flat run in page mm.
      def nodes(run)
        drawn = shortened(shortened(run, @last), @first, from_start: true)
        line = (drawn.length < 4) ? [] : [Scene::Path.new(runs: [drawn], closed: false, stroke: @stroke)]
        [*line, *ended(@first, Geometry::Runs.backwards(run)), *ended(@last, run)]
      end

      private

      # The line up to where what it ends in takes over.
      def shortened(run, kind, from_start: false)
        return run unless kind
        return Geometry::Runs.backwards(shortened(Geometry::Runs.backwards(run), kind)) if from_start
        rest = kind.shorter * @end_mm
        places = run.each_slice(2).to_a
        while rest.positive? && places.length > 1
          (x, y), (far_x, far_y) = places[-2], places[-1]
          length = Math.hypot(far_x - x, far_y - y)
          if length > rest
            share = 1 - rest / length
            places[-1] = [x + (far_x - x) * share, y + (far_y - y) * share]
            break
          end
          rest -= length
          places.pop
        end
        (places.length < 2) ? [] : places.flatten
      end

      # At the run's end; it points as the line does over its own length.
      def ended(kind, run)
        return [] unless kind
        tip = run.last(2)
        back =
          run.each_slice(2).to_a.reverse.find { |x, y| Math.hypot(tip[0] - x, tip[1] - y) >= @end_mm * 0.6 } ||
          run.first(2)
        length = Math.hypot(tip[0] - back[0], tip[1] - back[1])
        return [] unless length.positive?
        kind.new.nodes(tip, [(tip[0] - back[0]) / length, (tip[1] - back[1]) / length], @end_mm, @stroke)
      end
    end
  end
end
