# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # A bar that widens from left to right, of dark and light divisions.
      class Tapered < Style
        kind "tapered", "tapered", rank: 6

        # Its height at the left end, as a share of that at the right.
        LEAST = 0.15

        def nodes(xs, zero, top)
          high = ->(x) { height * (LEAST + (1 - LEAST) * (x - xs.first) / (xs.last - xs.first)) }
          wedges =
            xs
              .each_cons(2)
              .map do |from, to|
                [from, top + height - high[from], to, top + height - high[to], to, top + height, from, top + height]
              end
          outline = [
            xs.first,
            top + height - high[xs.first],
            xs.last,
            top,
            xs.last,
            top + height,
            xs.first,
            top + height
          ]
          [
            Scene::Path.new(runs: [outline], closed: true, fill: @look.pale, stroke: @look.stroke),
            *filled(dark(wedges, zero))
          ]
        end
      end
    end
  end
end
