# frozen_string_literal: true

module App
  module Routes
    # Legends as they are edited, and the sheets on which they have no room. Sheet 0 is the index sheet.
    class Legends < Base
      # Sheets that one request looks at, so that a browser can tell how far it is and stop asking.
      MOST_AT_ONCE = 25

      get "/api/books/:book_id/sheets/:number/legends/:element" do
        json(drawn(TileLoom::Compose::LegendShown.new(*element_on_sheet).to_h))
      end

      # Of the pages from a place in the book on: {found: [{number, name, element, sentence}], fullest: {number, name,
      # rows} of those that were looked at, next: the place to go on from, or nil at the end, count: of all sheets}.
      get "/api/books/:book_id/legends/overfull" do
        snapshot = Snapshot.of(book)
        from = params["from"] ? whole(params["from"]) : 1
        book_pages = snapshot.run.book_pages.reject { |book_page| book_page.blank? || book_page.position < from }
        asked = book_pages.first(MOST_AT_ONCE)
        composers =
          asked.map { |book_page| [book_page.number, snapshot.composer_of(book_page.number, entries_alone: true)] }
        json(
          "found" => composers.flat_map { |number, composer| overfull(number, composer) },
          "fullest" => fullest(composers),
          "next" => book_pages[asked.length]&.position,
          "count" => snapshot.cells.length
        )
      end

      private

      # The sheet whose legends have most rows together; of several the first.
      def fullest(composers)
        rows = composers.map { |number, composer| [number, composer, TileLoom::Compose::LegendShown.rows(composer)] }
        number, composer, count = rows.max_by.with_index { |(_, _, most), index| [most, -index] }
        count&.positive? ? {"number" => number, "name" => composer.name, "rows" => count} : nil
      end

      def overfull(number, composer)
        TileLoom::Compose::LegendShown
          .overfull(composer)
          .map { |found| {"number" => number, "name" => composer.name, **found} }
      end

      # With small drawings in place of its symbols.
      def drawn(shown) = shown.merge("rows" => shown["rows"].map { |row| row.except("symbol").merge(swatch(row)) })

      def swatch(row)
        symbol = row["symbol"] or return {}
        {"swatch" => TileLoom::Output::Swatch.of_shapes(symbol, row["shape"].to_sym)}
      end
    end
  end
end
