# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Rows
      # Classes of a number as steps that join, the highest on top, with their limits between them or their ranges
      # beside them.
      class Steps < Row
        kind "steps", "Joined steps", rank: 5
        part :of,
          list(text(least: 1, most: 200), least: 1, most: 50),
          required: true,
          about: "The classes of the map, each by its layer's id and its own."
        part :title, text(most: 500)
        part :hidden, flag, default: false
        part :labels,
          choice(limits: "limits between the steps", ranges: "ranges beside them", titles: "titles of the map"),
          default: "limits"
        part :decimals, whole(0..12), default: 0
        part :unit, text(most: 20)

        def keys = of

        def shown?(entries) = entries.any?

        def name(entries) = title || entries.map(&:title).join(", ")

        def block(placed, manner, width) = StepsDrawing.new(self, placed.entries, manner: manner, width: width).block
      end
    end
  end
end
