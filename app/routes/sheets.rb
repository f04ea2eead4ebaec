# frozen_string_literal: true

module App
  module Routes
    # Sheets as they will print.
    class Sheets < Base
      get("/api/books/:book_id/sheets/:number/facts") do
        json(TileLoom::Compose::SheetFacts.new(Snapshot.of(book).composer_of(page_number)).to_h)
      end

      get("/api/books/:book_id/sheets/:number/labels") { json(labels.to_h) }

      # For a look through all sheets.
      get("/api/books/:book_id/sheets/:number/labels/unplaced") { json({"unplaced" => labels.unplaced}) }

      get "/api/books/:book_id/sheets/:number.svg" do
        ppi = params["ppi"] ? number("ppi", 36..1200).to_i : Snapshot::PROOF_PPI
        snapshot = params["at"] ? Snapshot.behind(book, whole(params["at"])) : Snapshot.of(book)
        packed_drawing(
          snapshot.sheet_svgz(page_number, thumb: params["thumb"] == "1", ppi: ppi),
          lasting: !snapshot.tiles?
        )
      end

      get("/api/books/:book_id/index.svg") { drawing Snapshot.of(book).index_svg }

      private

      def labels = TileLoom::Compose::SheetLabels.new(Snapshot.of(book).composer_of(page_number))
    end
  end
end
