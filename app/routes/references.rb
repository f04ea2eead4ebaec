# frozen_string_literal: true

module App
  module Routes
    # Coordinate references: found by name, code or place; kept under a name; suggested for a ground, looked
    # at, tuned, and made a book's own.
    class References < Base
      get("/api/references") { json(TileLoom::Crs::Catalogue.search(params["search"].to_s[0, 200]).map(&:to_h)) }

      get("/api/references/kept") { json(kept) }

      post "/api/references/kept" do
        wanted = body_json
        KeptReference.define(wanted["name"], wanted["definition"].to_s)
        json(kept)
      end

      delete "/api/references/kept/:kept_id" do
        KeptReference.find(whole(params["kept_id"])).destroy!
        json(kept)
      end

      # References that suit the ground of a book, with reasons.
      get "/api/books/:book_id/references" do
        box = book.extent or halt 200, json([])
        crs = TileLoom::Crs::System.find(book.reference)
        degrees = TileLoom::Crs::Transform.between(crs, TileLoom::Crs::System.find("OGC:CRS84")).box(box, strict: true)
        suggestions = TileLoom::Crs::Suggestions.new(degrees.to_a).list
        json(suggestions.map { |suggestion| suggestion.to_h.transform_keys(&:to_s) })
      end

      post("/api/books/:book_id/reference/look") { json(ReferenceLook.new(book, ReferenceLook.crs(body_json)).to_h) }

      # Draws the book in another reference: a job; a book without data changes at once.
      post "/api/books/:book_id/reference" do
        ReferenceChange.start(book, ReferenceLook.crs(body_json).code, session: session_id)
        status 202
        json(shown(book.reload))
      end

      # What brings data and grids to the book's datum, and what could in its place.
      get("/api/books/:book_id/operations") { json(book.datum_shifts.list) }

      # Another of them: a job where layers came by it.
      post "/api/books/:book_id/operations" do
        wanted = body_json
        status 202 if ReferenceChange.shift(book, wanted["datums"], wanted["name"], session: session_id)
        json(shown(book.reload))
      end

      post "/api/books/:book_id/reference/stop" do
        Reprojection.open_for(book)&.turn("cancelled", reason: "Stopped by hand.")
        json(shown(book.reload))
      end

      private

      def kept = KeptReference.order(:name).map { |row| row.attributes.slice("id", "name", "definition") }
    end
  end
end
