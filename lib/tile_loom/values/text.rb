# frozen_string_literal: true

module TileLoom
  module Values
    # Text of at least and at most so many characters, or of a pattern (ECMA-262, for the whole text).
    class Text < Type
      def initialize(least: nil, most: nil, pattern: nil)
        @limits = {"minLength" => least, "maxLength" => most, "pattern" => pattern}.compact
      end

      def schema(_definitions) = {"type" => "string", **@limits}
    end
  end
end
