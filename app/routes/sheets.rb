# frozen_string_literal: true

module App
  module Routes
    # Sheets as they will print.
    class Sheets < Base
      get("/api/books/:book_id/sheets/:number/facts") { json(Snapshot.of(book).sheet_facts(whole(params["number"]))) }

      get "/api/books/:book_id/sheets/:number.svg" do
        svg = Snapshot.of(book).sheet_svg(whole(params["number"]), thumb: params["thumb"] == "1")
        content_type "image/svg+xml"
        cache_control :private, max_age: 3600
        svg
      end
    end
  end
end
