# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A line: straight across its box, from the upper left to the lower right corner or rising; or through places of
      # its own, bent at them or in a smooth curve. Its ends may be arrowheads.
      class Line < Element
        kind "line", "Line", rank: 8
        size_mm 40, 0
        start "stroke" => {"colour" => "#1f2a30", "width_mm" => 0.3}

        # So many places make a line drawn by hand.
        MOST_PLACES = 1_000

        part :stroke, Scene::Stroke::TYPE, default: {"width_mm" => 0.3}
        part :slope,
          choice(down: "from upper left to lower right", up: "from lower left to upper right"),
          default: "down"
        part :points,
          list(Values::List.new(Values::Number.new(-1..2), least: 2, most: 2), least: 2, most: MOST_PLACES),
          about: "Places that it goes through, as shares of its box from the upper left."
        part :smooth, flag, default: false, about: "Does it go through its places in a curve?"
        part :first_end, choice { LineEnds.keys }, about: "What it begins with."
        part :last_end, choice { LineEnds.keys }, about: "What it ends in."
        part :end_mm, number(above: 0, most: 200), default: 3, about: "Size of what it begins with and ends in."

        def covers? = false

        def nodes(_sheet, box)
          run = course(box)
          return [] if run.length < 4
          EndedLine.new(stroke, first_end, last_end, end_mm).nodes(run)
        end

        # A line may be flat: its box then has no height, or no width.
        def least_mm = 0.0

        private

        def rising? = slope == "up"

        # Flat page mm.
        def course(box)
          unless points
            return rising? ? [box.min_x, box.max_y, box.max_x, box.min_y] : [box.min_x, box.min_y, box.max_x, box.max_y]
          end
          run = points.flat_map { |x, y| [box.min_x + x * box.width, box.min_y + y * box.height] }
          run = run.each_slice(2).chunk_while { |one, other| one == other }.map(&:first).flatten
          smooth? ? curve(run) : run
        end

        # Pieces of a curve between two places.
        STEPS = 12

        # Through all places by Catmull and Rom's cubic ("A class of local interpolating splines", 1974), with the first
        # and the last place twice.
        def curve(run)
          places = run.each_slice(2).to_a
          return run if places.length < 3
          padded = [places.first, *places, places.last]
          padded
            .each_cons(4)
            .flat_map { |four| (0...STEPS).flat_map { |step| between(four, step.fdiv(STEPS)) } }
            .concat(places.last)
        end

        def between((before, from, to, after), share)
          2.times.map do |axis|
            a, b, c, d = before[axis], from[axis], to[axis], after[axis]
            0.5 *
              (2 * b + (c - a) * share + (2 * a - 5 * b + 4 * c - d) * share**2 + (3 * b - a - 3 * c + d) * share**3)
          end
        end
      end
    end
  end
end
