# frozen_string_literal: true

module TileLoom
  module Labelling
    # Where level rows at even distances run inside rings (even and odd): each side of a ring is looked at once for all
    # rows.
    class Scanlines
      # rings: flat closed rings; first: y of the first row; step: from one to the next; count: of rows.
      def initialize(rings, first, step, count)
        @first, @step, @count = first, step, count
        @crossings = Array.new(count) { [] }
        rings.each { |ring| cross(ring) }
      end

      # The x at which a row, by its number, comes in and goes out, in order.
      def crossings(row)
        found = @crossings[row]
        found.sort! if found.length > 2 || (found.length == 2 && found[0] > found[1])
        found
      end

      # [from, to] list of x inside.
      def spans(row) = crossings(row).each_slice(2).select { |pair| pair.length == 2 }

      private

      def cross(ring)
        index, size = 2, ring.length
        while index < size
          x1, y1, x2, y2 = ring[index - 2], ring[index - 1], ring[index], ring[index + 1]
          index += 2
          low, high = (y1 < y2) ? y1 : y2, (y1 < y2) ? y2 : y1
          row = ((low - @first) / @step).floor
          row = 0 if row.negative?
          while row < @count && (y = @first + row * @step) < high
            @crossings[row] << x1 + (y - y1) / (y2 - y1) * (x2 - x1) if y >= low
            row += 1
          end
        end
      end
    end
  end
end
