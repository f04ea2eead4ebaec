# frozen_string_literal: true

module TileLoom
  module Values
    # What a part of a value may hold: its JSON Schema, and its way in and out of JSON.
    class Type
      # The JSON Schema (draft 2020-12) of it; definitions: takes up by name what is referred to.
      def schema(_definitions) = raise(NotImplementedError)

      # JSON → value. path: where in the document it stands; assets: the book's own typefaces, drawings, pictures.
      def read(json, path:, assets:) = json

      # JSON with an id for each entry of a list whose entries a person can tell apart; before: the JSON that it takes
      # the place of, or nil. The very object where nothing of it is another.
      def identified(json, _before) = json

      # value → JSON
      def write(value) = value
    end
  end
end
