# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Squares
      # The Irish Grid: one letter for each of 25 squares, from A in the north-west; I is left out (Ordnance
      # Survey Ireland, The Irish Grid).
      class Irish
        # The letter of the 100 km square that a place lies in (metres), nil outside. (Irish Grid.)
        def letters(east, north)
          column, row = (east / SIDE_M).floor, (north / SIDE_M).floor
          return nil unless column.between?(0, 4) && row.between?(0, 4)
          British::ALPHABET[(4 - row) * 5 + column]
        end
      end
    end
  end
end
