# frozen_string_literal: true

module TileLoom
  module Document
    # Something that a book says of itself under a name of its own, for title blocks and names of files.
    class OwnField < Values::Value
      define "own_field"
      identified
      part :name,
        text(pattern: "^[A-Za-z][A-Za-z0-9_]{0,39}$"),
        required: true,
        about: "By which live text asks for it: {{ fields.name }}."
      part :value, text(most: 2000), default: ""
    end
  end
end
