# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Squares
      # The National Grid of Great Britain: two letters, the first of a square of 500 km, the second of one of
      # 100 km in it; I is left out (Ordnance Survey, A guide to coordinate systems in Great Britain).
      class British
        ALPHABET = "ABCDEFGHJKLMNOPQRSTUVWXYZ"

        # The two letters of the 100 km square that a place lies in (metres), nil outside. (Ordnance Survey, The
        # National Grid.)
        def letters(east, north)
          column, row = (east / SIDE_M).floor, (north / SIDE_M).floor
          return nil unless column.between?(0, 6) && row.between?(0, 12)
          # The letters begin in the north-west of a square of 2,500 km, 1,000 km west and 500 km south of the origin.
          first = (19 - row) / 5 * 5 + (column + 10) / 5
          second = (19 - row) * 5 % 25 + column % 5
          ALPHABET[first] + ALPHABET[second]
        end
      end
    end
  end
end
