# frozen_string_literal: true

module App
  module Routes
    # Coordinate references: found by name, code or place; suggested for a file's ground.
    class References < Base
      get("/api/references") { json(TileLoom::Reference::Catalogue.search(params["search"].to_s[0, 200]).map(&:to_h)) }

      # What a GeoJSON file would make a book of: how many features, where, in which references.
      post("/api/books/look") { json(Look.new(uploaded_file[:tempfile].read).to_h) }
    end
  end
end
