# frozen_string_literal: true

module TileLoom
  module Index
    # By what the cells of a book differ from those that its index generates: the JSON of a ByHand.
    class HandDifference
      # Both lists in their order.
      def initialize(fresh, cells)
        @fresh, @cells = fresh, cells
        @by_name = fresh.to_h { |cell| [cell.name, cell] }
      end

      # Empty where they do not differ.
      def to_h
        others = @cells.filter_map { |cell| entry(cell) unless as_generated?(cell) && !places.key?(cell.number) }
        {"cells" => others, "gone" => @fresh.map(&:name) - origins.values}.reject { |_, list| list.empty? }
      end

      private

      def entry(cell) = CellByHand.json(cell, of: origins[cell.number], place: places[cell.number])

      def as_generated?(cell)
        generated = @by_name[origins[cell.number]] or return false
        bare = ->(one) { one.with(id: nil, number: nil, kept: !!one.kept, pinned: !!one.pinned, moved: !!one.moved) }
        bare[generated] == bare[cell]
      end

      # A cell's number → the name of the generated cell in whose place it is: the one of the same ground, else of the
      # same name, else of the same row and column.
      def origins
        @origins ||=
          begin
            left = @fresh.dup
            [
              ->(cell) { [cell.ground.to_a, cell.scale, cell.name] },
              ->(cell) { [cell.ground.to_a, cell.scale] },
              ->(cell) { cell.name },
              ->(cell) { [cell.row, cell.column, cell.feature] }
            ].each_with_object({}) { |key, found| match(key, left, found) }
          end
      end

      def match(key, left, found)
        free = left.group_by(&key)
        @cells.each do |cell|
          next if found.key?(cell.number)
          same = free[key[cell]]&.shift or next
          found[cell.number] = same.name
        end
        taken = found.values.to_h { |name| [name, true] }
        left.reject! { |cell| taken[cell.name] }
      end

      # A cell's number → its place in the order, of those that do not stand where they would by themselves: all but the
      # longest run of cells whose order is that of the generated ones, newcomers behind them.
      def places
        @places ||=
          begin
            rank = @fresh.each_with_index.to_h { |cell, index| [cell.name, index] }
            ranks = @cells.map.with_index { |cell, index| rank.fetch(origins[cell.number], @fresh.length + index) }
            kept = Values::Rising.of(ranks)
            @cells.each_index.reject { |index| kept[index] }.to_h { |index| [@cells[index].number, index + 1] }
          end
      end
    end
  end
end
