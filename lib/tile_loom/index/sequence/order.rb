# frozen_string_literal: true

require "naturally"

module TileLoom
  module Index
    # In which order cells are taken: their numbers.
    class Order < Values::Value
      define
      part :kind,
        choice(
          rows: "row by row",
          columns: "column by column",
          rows_back_forth: "rows back and forth",
          columns_back_forth: "columns back and forth",
          clockwise: "clockwise around the middle",
          counter_clockwise: "counter-clockwise around the middle",
          as_generated: "as generated",
          names: "by name",
          field: "by a field",
          by_hand: "by hand"
        ),
        required: true,
        default: "rows"
      part :field, text(least: 1, most: 200), about: "By which field of the features the cells are taken, naturally."
      part :from,
        choice(
          north_west: "the north-west",
          north_east: "the north-east",
          south_west: "the south-west",
          south_east: "the south-east"
        ),
        default: "north_west"
      part :start_deg, number(0..360), default: 0, about: "Going round begins at this bearing from the middle."

      # The cells with numbers from 1, in their order. values: identity of a feature → what it is taken by.
      def numbered(cells, values: {}) = self.class.counted(sorted(cells, values))

      # The cells with numbers from 1 in the order of the list.
      def self.counted(list) = list.each_with_index.map { |cell, index| cell.with(number: index + 1) }

      private

      def sorted(cells, values)
        case kind
        when "rows"
          cells.sort_by { |cell| rank(row(cell), column(cell), cell.number) }
        when "columns"
          cells.sort_by { |cell| rank(column(cell), row(cell), cell.number) }
        when "rows_back_forth"
          back_and_forth(cells, ->(cell) { row(cell) }, ->(cell) { column(cell) })
        when "columns_back_forth"
          back_and_forth(cells, ->(cell) { column(cell) }, ->(cell) { row(cell) })
        when "clockwise"
          round(cells, 1)
        when "counter_clockwise"
          round(cells, -1)
        when "field"
          cells.sort_by { |cell| [Naturally.normalize(values[cell.feature].to_s), cell.number] }
        when "names"
          cells.sort_by { |cell| [Naturally.normalize(cell.name), cell.number] }
        else
          cells.sort_by(&:number)
        end
      end

      # More than rows, columns or cells of an index.
      WIDEST = 1 << 21
      private_constant :WIDEST

      # The first counts most; one number sorts several times as fast as a list.
      def rank(first, second, third) = (first * WIDEST + second) * WIDEST + third

      def row(cell) = from.start_with?("north") ? cell.row : -cell.row

      def column(cell) = from.end_with?("west") ? cell.column : -cell.column

      # Each second line goes back, counting the lines that there are.
      def back_and_forth(cells, line, place)
        cells
          .group_by(&line)
          .sort
          .each_with_index
          .flat_map do |(_, list), index|
            ordered = list.sort_by { |cell| [place[cell], cell.number] }
            index.odd? ? ordered.reverse : ordered
          end
      end

      # Round the middle of all cells by bearing, from the start; on one bearing the nearer first. What lies in the
      # middle has no bearing and comes before all.
      def round(cells, sense)
        return cells if cells.empty?
        x, y =
          [cells.map { |cell| cell.ground.centre_x }, cells.map { |cell| cell.ground.centre_y }].map do |values|
            values.minmax.sum / 2
          end
        start = start_deg
        cells.sort_by do |cell|
          dx, dy = cell.ground.centre_x - x, cell.ground.centre_y - y
          distance = Math.hypot(dx, dy).round(6)
          bearing = distance.zero? ? start : Math.atan2(dx, dy) * 180 / Math::PI
          [(sense * (bearing - start)).round(9) % 360, distance, cell.number]
        end
      end
    end
  end
end
