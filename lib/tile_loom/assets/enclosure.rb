# frozen_string_literal: true

module TileLoom
  module Assets
    # A file that a book carries: a typeface or a picture.
    class Enclosure < Values::Value
      about =
        "A file that the book carries: its bytes in base64, a file beside the book, or (where the application keeps " \
        "them) their SHA-256."
      define "enclosure", about: about
      part :id, Values::Types::ID, required: true
      part :title, text(least: 1, most: 200), required: true
      part :content, text(pattern: "^[0-9a-f]{64}$")
      part :data, text(most: 42_000_000, pattern: "^[A-Za-z0-9+/]*={0,2}$")
      part :file, text(least: 1, most: 1000)
    end
  end
end
