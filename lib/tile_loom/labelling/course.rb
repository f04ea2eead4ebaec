# frozen_string_literal: true

module TileLoom
  module Labelling
    # The smooth path that a curved label follows, in page mm: places at even steps along a line whose small bends are
    # evened out. Steps are counted from the start of the whole line, so that the path is the same whichever part of it
    # a sheet shows.
    class Course
      STEP_MM = 1.2
      # Over so much of the line to either side its bends are evened out.
      SMOOTH_MM = 2.4
      # Beyond the ends of a stretch, for the directions there.
      BESIDE_STEPS = 1

      class << self
        # A course along flat page coordinates. at: of each place, in mm of a whole line; from, to: of what is wanted of
        # it, in the same; against: from its end to its start? smooth_mm: see SMOOTH_MM; nil where there is too little
        # of it.
        def along(run, at: distances(run), from: at.first, to: at.last, against: false, smooth_mm: SMOOTH_MM)
          first, xs, ys = EvenSteps.along(run, at, from, to, STEP_MM)
          return nil if xs.length < 3
          window = (smooth_mm / STEP_MM).round
          2.times { xs, ys = evened(xs, window), evened(ys, window) } if window.positive?
          against ? new(xs.reverse, ys.reverse, first + xs.length - 1, -1) : new(xs, ys, first)
        end

        private

        def distances(run)
          lengths = [0.0]
          index = 2
          while index < run.length
            lengths << lengths.last + Math.hypot(run[index] - run[index - 2], run[index + 1] - run[index - 1])
            index += 2
          end
          lengths
        end

        # The mean of what lies within so many steps to either side, fewer near the ends, which stay.
        def evened(values, window)
          last = values.length - 1
          return values if last < 2
          result = values.dup
          index, half, sum = 0, 0, values[0]
          while index < last
            index += 1
            if index <= window && index <= last - index
              # Wider by one on each side.
              sum += values[index * 2 - 1] + values[index * 2]
              half = index
            elsif last - index < half
              # Narrower towards the end.
              half = last - index
              sum -= values[index - half - 2] + values[index - half - 1]
            else
              sum += values[index + half] - values[index - half - 1]
            end
            result[index] = sum / (half * 2 + 1)
          end
          result
        end
      end

      # first: the number of the first step in the whole line; way: 1, or -1 where it runs against the line.
      def initialize(xs, ys, first = 0, way = 1)
        @xs, @ys, @first, @way = xs, ys, first, way
        @stations = Array.new(xs.length, 0.0)
        index, last, passed = 1, xs.length, 0.0
        while index < last
          passed += Math.hypot(xs[index] - xs[index - 1], ys[index] - ys[index - 1])
          @stations[index] = passed
          index += 1
        end
      end

      # In mm along itself, from 0.
      def length = @stations.last

      # The station of this course at so many mm of the whole line.
      def station(mm)
        step = ((mm / STEP_MM - @first) * @way).clamp(0.0, @xs.length - 1.0)
        index = [step.floor, @xs.length - 2].min
        @stations[index] + (@stations[index + 1] - @stations[index]) * (step - index)
      end

      # Where a station lies.
      def at(station)
        index = index_of(station)
        span = @stations[index + 1] - @stations[index]
        share = span.positive? ? (station - @stations[index]) / span : 0.0
        [@xs[index] + (@xs[index + 1] - @xs[index]) * share, @ys[index] + (@ys[index + 1] - @ys[index]) * share]
      end

      # A course beside a stretch of this one: `distance` mm to the left of its direction (up, where it runs to the
      # right), and the station of it that lies beside the middle of the stretch; nil where there is none.
      def beside(distance, from, to)
        first = (index_of(from) - BESIDE_STEPS).clamp(0, @xs.length - 2)
        last = (index_of(to) + 1 + BESIDE_STEPS).clamp(first + 1, @xs.length - 1)
        xs, ys = aside(distance, first, last)
        return nil if xs.length < 2
        course = self.class.new(xs, ys)
        span = @stations[last] - @stations[first]
        [course, ((from + to) / 2 - @stations[first]) * course.length / span]
      end

      # How it bends between two stations: all bends together, and the sharpest between two of its steps, in degrees.
      def bends(from, to) = turns(from, to).sum

      def sharpest(from, to) = turns(from, to).max || 0.0

      private

      # Of the step before a station.
      def index_of(station)
        index = (station / STEP_MM).floor.clamp(0, @xs.length - 2)
        index -= 1 while index.positive? && @stations[index] > station
        index += 1 while index < @xs.length - 2 && @stations[index + 1] <= station
        index
      end

      def aside(distance, first, last)
        xs, ys = [], []
        final = @xs.length - 1
        index = first
        while index <= last
          before, after = index.zero? ? 0 : index - 1, (index == final) ? final : index + 1
          dx, dy = @xs[after] - @xs[before], @ys[after] - @ys[before]
          size = Math.hypot(dx, dy)
          if size >= 1e-9
            xs << @xs[index] + dy / size * distance
            ys << @ys[index] - dx / size * distance
          end
          index += 1
        end
        [xs, ys]
      end

      # By how much it turns at each place of a stretch, in degrees.
      def turns(from, to)
        EvenSteps.turns(@xs, @ys, index_of(from), [index_of(to) + 2, @xs.length - 1].min)
      end
    end
  end
end
