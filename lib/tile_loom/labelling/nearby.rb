# frozen_string_literal: true

module TileLoom
  module Labelling
    # Footprints by where they lie, in squares of paper, so that only those near one another are compared.
    class Nearby
      SQUARE_MM = 8.0
      ROW = 1 << 20

      # Numbers of the squares of paper that a footprint may lie in; worked out once where it is asked for more than
      # once.
      def self.squares(footprint)
        column, last_column = (footprint[0] / SQUARE_MM).floor, (footprint[2] / SQUARE_MM).floor
        row, last_row = (footprint[1] / SQUARE_MM).floor, (footprint[3] / SQUARE_MM).floor
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

      # thing: what the footprint is of; owner: whose it is, or nil.
      def add(footprint, thing, owner: nil, squares: Nearby.squares(footprint))
        entry = [footprint, thing, owner]
        squares.each { |number| (@squares[number] ||= []) << entry }
      end

      # Does any footprint touch this one?
      def touched?(footprint)
        Nearby
          .squares(footprint)
          .any? { |number| @squares[number]&.any? { |other,| Footprint.touch?(footprint, other) } }
      end

      # Yields the things whose footprints touch this one, some more than once; but: the owner of some that are passed
      # over.
      def each_touching(footprint, but: nil, squares: Nearby.squares(footprint))
        squares.each do |number|
          list = @squares[number] or next
          index = 0
          while index < list.length
            entry = list[index]
            yield entry[1] if (but.nil? || entry[2] != but) && Footprint.touch?(footprint, entry[0])
            index += 1
          end
        end
      end
    end
  end
end
