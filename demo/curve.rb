# frozen_string_literal: true

module Demo
  # Smooth lines from few points.
  module Curve
    module_function

    # Corner cutting (Chaikin 1974), ends kept.
    def smooth(points, rounds = 2)
      rounds.times do
        inner =
          points
            .each_cons(2)
            .flat_map do |(x1, y1), (x2, y2)|
              [[x1 * 0.75 + x2 * 0.25, y1 * 0.75 + y2 * 0.25], [x1 * 0.25 + x2 * 0.75, y1 * 0.25 + y2 * 0.75]]
            end
        points = [points.first, *inner, points.last]
      end
      points
    end

    # Points every `step` metres along a line, with the distance from its start.
    def along(points, step, first = step)
      result = []
      wanted = first
      walked = 0.0
      points.each_cons(2) do |(x1, y1), (x2, y2)|
        length = Math.hypot(x2 - x1, y2 - y1)
        while walked + length >= wanted && length.positive?
          t = (wanted - walked) / length
          result << [x1 + (x2 - x1) * t, y1 + (y2 - y1) * t]
          wanted += step
        end
        walked += length
      end
      result
    end

    # Bends a line a little by noise that depends on the place alone, so that shared lines stay shared.
    def wander(points, amount, size)
      points.map do |x, y|
        [
          x + amount * (HeightField.noise(x / size, y / size, 21) - 0.5),
          y + amount * (HeightField.noise(x / size, y / size, 22) - 0.5)
        ]
      end
    end

    # The line with no stretch longer than `step`.
    def densify(points, step)
      points
        .each_cons(2)
        .flat_map do |(x1, y1), (x2, y2)|
          count = [(Math.hypot(x2 - x1, y2 - y1) / step).ceil, 1].max
          (0...count).map { |i| [x1 + (x2 - x1) * i / count, y1 + (y2 - y1) * i / count] }
        end + [points.last]
    end
  end
end
