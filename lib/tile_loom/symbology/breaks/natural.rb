# frozen_string_literal: true

module TileLoom
  module Symbology
    module Breaks
      # Natural breaks: the classes with the least sum of squared distances to their means, which Fisher
      # (1958) showed how to find exactly and Jenks (1967) brought to maps. The search for each class's
      # start is halved again and again, since it never moves back (Wang and Song 2011).
      class Natural
        extend Values::Kind

        kind "natural", "natural breaks (Jenks)", rank: 3

        # More different values than this stand for themselves only in part: so many quantiles are taken.
        MOST_VALUES = 5_000

        # Each class starts at its least value; the last bound is the largest value.
        def breaks(values, count)
          values = thinned(values)
          count = [count, values.uniq.length].min
          sum_up(values)
          starts = class_starts(values.length, count)
          starts.map { |index| values[index] } + [values.last]
        end

        private

        def thinned(values)
          return values if values.length <= MOST_VALUES
          (0...MOST_VALUES).map { |index| values[(values.length - 1) * index / (MOST_VALUES - 1)] }
        end

        def sum_up(values)
          # About the middle, so that squares of large numbers lose nothing.
          middle = values[values.length / 2].to_f
          @sums, @squares = [0.0], [0.0]
          values.each do |value|
            away = value - middle
            @sums << @sums.last + away
            @squares << @squares.last + away * away
          end
        end

        # Squared distances to their mean of the values first..last.
        def spread(first, last)
          sum = @sums[last + 1] - @sums[first]
          [@squares[last + 1] - @squares[first] - sum * sum / (last - first + 1), 0.0].max
        end

        def class_starts(length, count)
          cost = (0...length).map { |last| spread(0, last) }
          starts = [Array.new(length, 0)]
          (1...count).each do |classes|
            fresh, from = Array.new(length, Float::INFINITY), Array.new(length, 0)
            fill(cost, fresh, from, classes, length - 1, classes, length - 1)
            cost = fresh
            starts << from
          end
          walk_back(starts, length)
        end

        # Best start of the last class for each end between low and high; it lies between first and last.
        def fill(cost, fresh, from, low, high, first, last)
          return if low > high
          middle = (low + high) / 2
          (first..[last, middle].min).each do |start|
            total = cost[start - 1] + spread(start, middle)
            fresh[middle], from[middle] = total, start if total < fresh[middle]
          end
          fill(cost, fresh, from, low, middle - 1, first, from[middle])
          fill(cost, fresh, from, middle + 1, high, from[middle], last)
        end

        def walk_back(starts, length)
          last = length - 1
          starts.reverse.map { |from| from[last].tap { |start| last = start - 1 } }.reverse
        end
      end
    end
  end
end
