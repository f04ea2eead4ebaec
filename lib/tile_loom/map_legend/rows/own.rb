# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Rows
      # A symbol and words of one's own, which no data stand behind.
      class Own < Row
        kind "own", "Own entry", rank: 4
        part :title, text(least: 1, most: 500), required: true
        part :shape,
          choice(point: "point", line: "line", area: "area"),
          default: "area",
          about: "Of what the symbol is drawn."
        part :symbol, Symbology::MapSymbol.type, about: "Without one its words stand beside an empty place."
        part :sample, choice { Samples.keys }, about: "In place of the legend's own for its shape."

        def name(_entries) = title

        def check_drawings = symbol&.marker&.drawing

        def block(_placed, manner, width)
          tall = symbol ? manner.height_of(symbol, shape.to_sym) : 0.0
          manner.row(title, width, symbol_mm: tall) do |room|
            symbol ? manner.symbol(symbol, shape.to_sym, room, sample: sample) : []
          end
        end
      end
    end
  end
end
