# frozen_string_literal: true

module TileLoom
  module Labelling
    # The smooth path that a curved label follows, in page mm: places at even steps along a line whose small bends are
    # evened out.
    class Course
      STEP_MM = 0.8
      # Over so much of the line to either side its bends are evened out.
      SMOOTH_MM = 2.4
      LEAST_STEPS = 3

      # Length in mm.
      attr_reader :length

      # A course along flat page coordinates; smooth_mm: see SMOOTH_MM.
      def self.along(run, smooth_mm: SMOOTH_MM)
        xs, ys = resampled(run, STEP_MM)
        window = (smooth_mm / STEP_MM).round
        2.times { xs, ys = evened(xs, window), evened(ys, window) } if window.positive?
        new(xs, ys)
      end

      # Places at even distances of about `step` along flat coordinates, as xs and ys.
      def self.resampled(run, step)
        lengths = [0.0]
        index = 2
        while index < run.length
          lengths << lengths.last + Math.hypot(run[index] - run[index - 2], run[index + 1] - run[index - 1])
          index += 2
        end
        total = lengths.last
        count = [(total / step).round, LEAST_STEPS].max
        at = 0
        xs, ys = [], []
        (0..count).each do |number|
          wanted = total * number / count
          at += 1 while at < lengths.length - 2 && lengths[at + 1] < wanted
          span = lengths[at + 1] - lengths[at]
          share = span.positive? ? (wanted - lengths[at]) / span : 0.0
          xs << run[at * 2] + (run[at * 2 + 2] - run[at * 2]) * share
          ys << run[at * 2 + 1] + (run[at * 2 + 3] - run[at * 2 + 1]) * share
        end
        [xs, ys]
      end

      # The mean of what lies within so many steps to either side, fewer near the ends, which stay.
      def self.evened(values, window)
        sums = [0.0]
        values.each { |value| sums << sums.last + value }
        last = values.length - 1
        values.each_index.map do |index|
          half = [window, index, last - index].min
          (sums[index + half + 1] - sums[index - half]) / (half * 2 + 1)
        end
      end

      def initialize(xs, ys)
        @xs, @ys = xs, ys
        @stations = [0.0]
        (1...xs.length).each do |index|
          @stations << @stations.last + Math.hypot(xs[index] - xs[index - 1], ys[index] - ys[index - 1])
        end
        @length = @stations.last
        @even = @length / (xs.length - 1)
      end

      # The same from its other end.
      def reversed = @reversed ||= self.class.new(@xs.reverse, @ys.reverse)

      # A course beside a stretch of this one: `distance` mm to the left of its direction (up, where it runs to the
      # right), and the station of it that lies beside the middle of the stretch.
      def beside(distance, from, to)
        first = ((from / @even).floor - BESIDE_STEPS).clamp(0, @xs.length - 2)
        last = ((to / @even).ceil + BESIDE_STEPS).clamp(first + 1, @xs.length - 1)
        run = aside(distance, first, last)
        course =
          (
            if run.length < 4
              self.class.new(@xs[first..last], @ys[first..last])
            else
              self.class.along(run, smooth_mm: STEP_MM)
            end
          )
        span = @stations[last] - @stations[first]
        [course, ((from + to) / 2 - @stations[first]) * course.length / span]
      end

      # Beyond the ends of a stretch, so that smoothing does not move them.
      BESIDE_STEPS = 3

      # Where a station in mm lies.
      def at(station)
        index = (station / @even).floor.clamp(0, @xs.length - 2)
        index -= 1 while index.positive? && @stations[index] > station
        index += 1 while index < @xs.length - 2 && @stations[index + 1] < station
        span = @stations[index + 1] - @stations[index]
        share = span.positive? ? (station - @stations[index]) / span : 0.0
        [@xs[index] + (@xs[index + 1] - @xs[index]) * share, @ys[index] + (@ys[index + 1] - @ys[index]) * share]
      end

      # How it bends between two stations, in radians: [all bends together, the sharpest between two of its steps].
      def bends(from, to)
        turns
        first = (from / @even).floor.clamp(0, @turns.length)
        last = (to / @even).ceil.clamp(first, @turns.length)
        sharpest = 0.0
        index = first
        while index < last
          sharpest = @turns[index] if @turns[index] > sharpest
          index += 1
        end
        [@sums[last] - @sums[first], sharpest]
      end

      # Flat coordinates of all of it.
      def run = @xs.zip(@ys).flatten

      private

      def aside(distance, first, last)
        run = []
        (first..last).each do |index|
          before, after = [index - 1, 0].max, [index + 1, @xs.length - 1].min
          dx, dy = @xs[after] - @xs[before], @ys[after] - @ys[before]
          size = Math.hypot(dx, dy)
          next if size < 1e-9
          run << @xs[index] + dy / size * distance << @ys[index] - dx / size * distance
        end
        run
      end

      # By how much it turns at each place but the first and the last, and the sums of that from its start.
      def turns
        @turns ||=
          begin
            @sums = [0.0]
            last = nil
            found = []
            (1...@xs.length).each do |index|
              angle = Math.atan2(@ys[index] - @ys[index - 1], @xs[index] - @xs[index - 1])
              if last
                turn = (angle - last).abs
                turn = 2 * Math::PI - turn if turn > Math::PI
                found << turn
                @sums << @sums.last + turn
              end
              last = angle
            end
            found
          end
      end
    end
  end
end
