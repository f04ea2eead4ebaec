# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # A line that goes up and down by a step at each mark.
      class Stepped < Style
        kind "stepped", "stepped", rank: 5

        def nodes(xs, zero, top)
          run =
            xs
              .each_cons(2)
              .with_index
              .flat_map do |(from, to), index|
                ((index - zero).even? ? top : top + height).then { |y| [from, y, to, y] }
              end
          ends = [xs.first, xs.last].map { |x| [x, top, x, top + height] }
          [lines([run, *ends])]
        end
      end
    end
  end
end
