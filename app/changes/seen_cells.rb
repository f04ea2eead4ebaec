# frozen_string_literal: true

module App
  # Cells that somebody has in the hand are as they were seen, whatever else of the book others changed since.
  class SeenCells
    # seen: the position of the book's history up to which the hand had seen it.
    def initialize(book, seen, session)
      @book, @seen, @session = book, seen, session
    end

    # Refusal where one of them was changed by someone else since. ids: of the cells in the hand.
    def demand(ids)
      others = @book.edits.of_others_since(@seen, @session).where.not(cells: nil)
      clash = ids & others.flat_map { |edit| edit.cell_change.ids }
      row = clash.any? && @book.index.rows.find { |known| clash.include?(known["cell_id"]) }
      raise TileLoom::Refusal.new("changes.cell_changed", name: row["name"]) if row
    end
  end
end
