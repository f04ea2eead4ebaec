# frozen_string_literal: true

module TileLoom
  module Layout
    # Where in the book the index sheet stands, and into how many parts it is divided where one would be too small.
    class IndexPages < Values::Value
      define "index_pages"
      part :place,
        choice(first: "before the sheets", last: "after the sheets"),
        default: "first",
        about: "Before the sheets, or behind them."
      part :across, whole(1..12), default: 1, about: "Parts side by side."
      part :down, whole(1..12), default: 1, about: "Parts below one another."
      part :numbered, flag, default: true, about: "Does it count among the numbers that pages print?"

      # Index::Cell lists, row by row from the north-west; none is empty but where there are no cells at all.
      def parts(cells)
        return [cells] if (across == 1 && down == 1) || cells.empty?
        box = Index::Cell.box(cells)
        cells.group_by { |cell| place_of(cell.ground, box) }.sort.map(&:last)
      end

      private

      # [row, column]
      def place_of(ground, box)
        column = ((ground.centre_x - box.min_x) / box.width * across).floor.clamp(0, across - 1)
        row = ((box.max_y - ground.centre_y) / box.height * down).floor.clamp(0, down - 1)
        [row, column]
      end
    end
  end
end
