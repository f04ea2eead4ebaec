# frozen_string_literal: true

module TileLoom
  module Labelling
    # Patches by where they lie, in squares of paper, so that only those near one another are compared.
    class Nearby
      SQUARE_MM = 8.0
      ROW = 1 << 20

      # Numbers of the squares of paper that a patch may lie in; worked out once where it is asked for more than once.
      def self.squares(patch)
        column, last_column = (patch[0] / SQUARE_MM).floor, (patch[2] / SQUARE_MM).floor
        row, last_row = (patch[1] / SQUARE_MM).floor, (patch[3] / SQUARE_MM).floor
        first, found = row * ROW + column, []
        while row <= last_row
          number = first
          last = first + last_column - column
          while number <= last
            found << number
            number += 1
          end
          first += ROW
          row += 1
        end
        found
      end

      def initialize = @squares = {}

      # thing: what the patch is of; owner: whose it is, or nil.
      def add(patch, thing, owner: nil, squares: Nearby.squares(patch))
        entry = [patch, thing, owner]
        squares.each { |number| (@squares[number] ||= []) << entry }
      end

      # Does any patch touch this one?
      def touched?(patch)
        Nearby.squares(patch).any? { |number| @squares[number]&.any? { |other,| Footprint.touch?(patch, other) } }
      end

      # Yields the things whose patches touch this one, some more than once; but: the owner of some that are passed
      # over.
      def each_touching(patch, but: nil, squares: Nearby.squares(patch))
        squares.each do |number|
          list = @squares[number] or next
          index = 0
          while index < list.length
            entry = list[index]
            yield entry[1] if (but.nil? || entry[2] != but) && Footprint.touch?(patch, entry[0])
            index += 1
          end
        end
      end
    end
  end
end
