# frozen_string_literal: true

module App
  module Routes
    # Legends as they are edited, and the sheets on which they have no room. Sheet 0 is the index sheet.
    class Legends < Base
      # Sheets that one request looks at, so that a browser can tell how far it is and stop asking.
      MOST_AT_ONCE = 25

      get "/api/books/:book_id/sheets/:number/legends/:element" do
        composer = Snapshot.of(book).composer_of(whole(params["number"]))
        element = composer.layout.elements.find { |known| known.id == params["element"] } or
          raise ActiveRecord::RecordNotFound
        json(drawn(TileLoom::Compose::LegendShown.new(composer, element).to_h))
      end

      # Of the sheets from a number on: {found: [{number, name, element, sentence}], fullest: {number, name, rows} of
      # those that were looked at, next: the number to go on from, or nil at the end, count: of all sheets}.
      get "/api/books/:book_id/legends/overfull" do
        snapshot = Snapshot.of(book)
        from = [params["from"].to_s.match?(/\A\d{1,9}\z/) ? params["from"].to_i : 0, 0].max
        numbers =
          [*(0 if snapshot.document.index_layout), *snapshot.cells.map(&:number)].select { |number| number >= from }
        asked = numbers.first(MOST_AT_ONCE)
        composers = asked.map { |number| [number, snapshot.composer_of(number, entries_alone: true)] }
        json(
          "found" => composers.flat_map { |number, composer| overfull(number, composer) },
          "fullest" => fullest(composers),
          "next" => numbers[asked.length],
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

      # Its small drawings as SVG.
      def drawn(shown)
        rows =
          shown["rows"].map do |row|
            row["swatch"] ? row.merge("swatch" => TileLoom::Output::Swatch.svg(row["swatch"])) : row
          end
        shown.merge("rows" => rows)
      end
    end
  end
end
