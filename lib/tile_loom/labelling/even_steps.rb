# frozen_string_literal: true

module TileLoom
  module Labelling
    # Places at even steps along a line, counted from the start of the whole line.
    module EvenSteps
      module_function

      # [number of the first step, their x, their y]. run: flat coordinates; at: how far along the line each of its
      # places is; from, to: between which distances; step: in the same unit.
      def along(run, at, from, to, step)
        first, last = (from / step - 1e-6).ceil, (to / step + 1e-6).floor
        return first, [], [] if last < first
        xs, ys = Array.new(last - first + 1), Array.new(last - first + 1)
        final = at.length - 2
        index = [(at.bsearch_index { |distance| distance >= from } || final) - 1, 0].max
        number = first
        while number <= last
          wanted = number * step
          index += 1 while index < final && at[index + 1] < wanted
          span = at[index + 1] - at[index]
          share = span.positive? ? (wanted - at[index]) / span : 0.0
          place = index * 2
          xs[number - first] = run[place] + (run[place + 2] - run[place]) * share
          ys[number - first] = run[place + 1] + (run[place + 3] - run[place + 1]) * share
          number += 1
        end
        [first, xs, ys]
      end

      # By how many degrees it turns at each place between two, by their indexes, without these.
      def turns(xs, ys, first, last)
        before, found = nil, []
        index = first
        while index < last
          angle = Math.atan2(ys[index + 1] - ys[index], xs[index + 1] - xs[index])
          if before
            turn = (angle - before).abs
            found << ((turn > Math::PI) ? 2 * Math::PI - turn : turn) * 180 / Math::PI
          end
          before = angle
          index += 1
        end
        found
      end
    end
  end
end
