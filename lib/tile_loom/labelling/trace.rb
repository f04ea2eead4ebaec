# frozen_string_literal: true

module TileLoom
  module Labelling
    # A piece of a line as it runs over the page, its places told in mm of the whole line from its start, so that they
    # are the same whichever piece a sheet shows. What a label may stand along is looked for on it coarsely; a Course is
    # made where one does.
    class Trace
      # How it bends is told between places so far apart.
      STEP_MM = 2.0
      # So much of it before and behind a Course makes the Course the same as that of the whole line.
      BESIDE_MM = 7.5

      # The pieces of a line that lie in a box, and how long it is. run: flat coordinates; box: Geometry::Box in their
      # unit; per_mm: of their units a mm; the block brings flat coordinates to page mm. [mm, Trace list].
      def self.near(run, box, per_mm)
        length, pieces = Pieces.of(run, box)
        [length / per_mm, pieces.map { |part, at| new(yield(part), at.map { |units| units / per_mm }) }]
      end

      attr_reader :from, :to

      # run: flat page mm; at: of each of its places, in mm of the whole line.
      def initialize(run, at)
        @run, @at = run, at
        @from, @to = at.first, at.last
      end

      # Where it lies at so many mm.
      def place(mm)
        index = ((@at.bsearch_index { |other| other > mm } || @at.length) - 1).clamp(0, @at.length - 2)
        span = @at[index + 1] - @at[index]
        between(index, span.positive? ? ((mm - @at[index]) / span).clamp(0.0, 1.0) : 0.0)
      end

      # The mm of its place that is nearest to one of the page.
      def nearest(x, y)
        best, least = @from, Float::INFINITY
        (0...@at.length - 1).each do |index|
          share = share_nearest(index, x, y)
          u, v = between(index, share)
          far = (u - x)**2 + (v - y)**2
          best, least = @at[index] + (@at[index + 1] - @at[index]) * share, far if far < least
        end
        best
      end

      # All its bends together between two places, in degrees.
      def bends(from, to)
        sums
        low = ((from / STEP_MM).ceil - @first).clamp(0, @sums.length - 1)
        high = ((to / STEP_MM).floor - @first + 1).clamp(low, @sums.length - 1)
        @sums[high] - @sums[low]
      end

      # The Course between two places and a little beyond; against: from its end to its start? nil where there is too
      # little of it.
      def course(from, to, against:)
        from, to = [from - BESIDE_MM, @from].max, [to + BESIDE_MM, @to].min
        Course.along(@run, at: @at, from: from, to: to, against: against)
      end

      private

      def between(index, share)
        place = index * 2
        [
          @run[place] + (@run[place + 2] - @run[place]) * share,
          @run[place + 1] + (@run[place + 3] - @run[place + 1]) * share
        ]
      end

      def share_nearest(index, x, y)
        place = index * 2
        dx, dy = @run[place + 2] - @run[place], @run[place + 3] - @run[place + 1]
        size = dx * dx + dy * dy
        size.positive? ? (((x - @run[place]) * dx + (y - @run[place + 1]) * dy) / size).clamp(0.0, 1.0) : 0.0
      end

      # Of the bends at the steps on it, so far: none at the first two, as it is not known where it came from.
      def sums
        @sums ||=
          begin
            @first, xs, ys = EvenSteps.along(@run, @at, @from, @to, STEP_MM)
            total = 0.0
            [0.0, 0.0] + EvenSteps.turns(xs, ys, 0, xs.length - 1).map { |turn| total += turn }
          end
      end
    end
  end
end
