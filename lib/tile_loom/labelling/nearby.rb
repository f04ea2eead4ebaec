# frozen_string_literal: true

module TileLoom
  module Labelling
    # Patches by where they lie, in squares of paper, so that only those near one another are compared.
    class Nearby
      SQUARE_MM = 8.0
      ROW = 1 << 20

      def initialize = @squares = {}

      # thing: what the patch is of.
      def add(patch, thing)
        entry = [patch, thing]
        each_square(patch) { |key| (@squares[key] ||= []) << entry }
      end

      # Does any patch that the block does not turn down touch this one?
      def touched?(patch)
        each_square(patch) do |key|
          @squares[key]&.each { |other, thing| return true if Patch.touch?(patch, other) && yield(thing) }
        end
        false
      end

      # Yields the things whose patches touch this one, some more than once.
      def each_touching(patch)
        each_square(patch) do |key|
          list = @squares[key] or next
          index = 0
          while index < list.length
            entry = list[index]
            yield entry[1] if Patch.touch?(patch, entry[0])
            index += 1
          end
        end
      end

      private

      # Yields a number for each square of paper that a patch may lie in.
      def each_square(patch)
        first_column, last_column = (patch[0] / SQUARE_MM).floor, (patch[2] / SQUARE_MM).floor
        row, last_row = (patch[1] / SQUARE_MM).floor, (patch[3] / SQUARE_MM).floor
        while row <= last_row
          column = first_column
          while column <= last_column
            yield row * ROW + column
            column += 1
          end
          row += 1
        end
      end
    end
  end
end
