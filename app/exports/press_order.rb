# frozen_string_literal: true

module App
  # Asks for a run of the press: which sheets, cut into pieces, one job each.
  class PressOrder
    def initialize(book) = @book = book

    # sheets: "all", "1-3, 7", names. Refusal when the book cannot be printed as it stands.
    # Document and cells are of one moment.
    def place(sheets)
      @book.with_lock { place_now(sheets) }
    end

    private

    def place_now(sheets)
      document = @book.settings
      TileLoom::Document::Check.demand(document, enclosures: Enclosure.reader)
      rows = @book.index.rows
      raise TileLoom::Refusal.new("exports.no_sheets") if rows.empty?
      picked =
        TileLoom::Output::Press.new(book: @book.document, source: nil).pick(
          sheets,
          rows.map { |row| Cell.core_of(row) }
        )
      ActiveRecord::Base.transaction do
        run =
          @book.press_runs.create!(
            sheets: sheets.to_s.strip[0, 1000].presence || "all",
            total: picked.length,
            revision: @book.revision,
            document: document,
            cells: rows
          )
        cut(run, picked)
        run
      end
    end

    def cut(run, picked)
      picked
        .each_slice(PressPiece::SHEETS)
        .with_index do |cells, position|
          piece =
            run.pieces.create!(
              position: position,
              numbers: cells.map { |cell| (cell == TileLoom::Output::Press::INDEX) ? PressPiece::INDEX : cell.number }
            )
          WorkQueue.put(:press_piece, piece.id, turn: Turn.press(position))
        end
    end
  end
end
