# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # One line for two units: the ticks of the first go up, those of the second down.
      class TwoUnits < Style
        kind "two_units", "two units", rank: 8

        def height = tick_height

        def pair? = true

        def nodes(xs, _zero, top) =
          [lines([[xs.first, top + height, xs.last, top + height], *xs.map { |x| [x, top, x, top + height] }])]

        # The second unit below the line that begins at top.
        def below(xs, top) = [lines([[xs.first, top, xs.last, top], *xs.map { |x| [x, top, x, top + tick_height] }])]
      end
    end
  end
end
