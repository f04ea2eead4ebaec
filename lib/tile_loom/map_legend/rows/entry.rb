# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Rows
      # What one rule, class or ramp of a layer means, or several that look alike in one row.
      class Entry < Row
        kind "entry", "Entry", rank: 1
        part :of,
          list(text(least: 1, most: 200), least: 1, most: 50),
          required: true,
          about: "What of the map it stands for: the layer's id and the rule's, with a slash between them."
        part :title, text(most: 500), about: "In place of what the map calls it, in this legend alone."
        part :hidden, flag, default: false, about: "Not listed; the map draws it all the same."
        part :sample, choice { Samples.keys }, about: "In place of the legend's own for its shape."
        part :bar, Bar.type, about: "How a ramp of colours stands in the legend, where it is drawn out."

        # Of an entry of the map as it is.
        def self.of(entry) = new({"kind" => key, "of" => [entry.key]})

        def keys = of

        def shown?(entries) = entries.any?

        # Its own title, or those of the map.
        def name(entries) = title || entries.map(&:title).uniq.join(", ")

        def block(placed, manner, width)
          first = placed.entries.first
          return bar_block(first, manner, width) if first.bar && bar
          symbol_mm = first.bar ? manner.sample_height_mm : manner.height_of(first.symbol, first.shape)
          manner.row(name(placed.entries), width, symbol_mm: symbol_mm) do |room|
            first.bar ? strip(first.bar, room, manner) : manner.symbol(first.symbol, first.shape, room, sample: sample)
          end
        end

        private

        def bar_block(entry, manner, width) =
          BarDrawing.new(bar, entry, title: title, manner: manner, width: width).block

        def strip(colours, room, manner)
          y = room.centre[1]
          half = manner.sample_height_mm / 2
          BarDrawing.strips(colours, Geometry::Box.new(room.min_x, y - half, room.max_x, y + half))
        end
      end
    end
  end
end
