# frozen_string_literal: true

module TileLoom
  module Languages
    # The tag of a language in a document, read as the Language.
    class Tag < Values::Type
      # RFC 5646, as far as a language, a script and a region go.
      PATTERN = "^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$"
      # What RFC 5646 has programs be ready for at least (4.4.1).
      LONGEST = 35

      def schema(_definitions) = {"type" => "string", "pattern" => PATTERN, "maxLength" => LONGEST}

      def read(json, **) = Language.of(json)
    end
  end
end
