# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # A line with ticks up, down or through it.
      class TickedLine < Style
        kind "ticked_line", "ticked line", rank: 4
        part :ticks,
          Values::Choice.new(up: "up", down: "down", through: "through"),
          default: "up",
          about: "Of the line: up, down or through it."

        def height = tick_height

        def nodes(xs, _zero, top)
          base = {"up" => top + height, "down" => top, "through" => top + height / 2}.fetch(@style.ticks)
          [lines([[xs.first, base, xs.last, base], *xs.map { |x| [x, top, x, top + height] }])]
        end
      end
    end
  end
end
