# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # Two bars, one over the other, dark where the other is light.
      class DoubleChequered < Style
        kind "double_chequered", "double chequered", rank: 2
        part :gap_mm, Values::Number.new(0..50), default: 0, about: "Between the rows of a double bar."

        def height = 2 * bar_height + between

        def nodes(xs, zero, top)
          [[top, 0], [top + bar_height + between, 1]].flat_map do |y, first|
            [frame(xs, y, bar_height), *filled(dark(cells(xs, y, bar_height), zero, first: first))]
          end
        end

        private

        def between = @style.gap_mm
      end
    end
  end
end
