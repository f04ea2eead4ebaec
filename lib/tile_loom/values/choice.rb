# frozen_string_literal: true

module TileLoom
  module Values
    # One of several texts, with a title each where an interface offers them: choice("A4", "A5") or
    # choice(above: "above the line", "as fits" => "as fits best"). The block gives either when they are asked for,
    # where files declare them.
    class Choice < Type
      # The keyword of the JSON Schema, for interfaces: text → title.
      TITLES = "x-titles"

      def initialize(*texts, **titled, &found)
        @found = found || -> { titled.any? ? titled.transform_keys(&:to_s) : texts }
      end

      def schema(_definitions)
        found = @found.call
        found.is_a?(Hash) ? {"enum" => found.keys, TITLES => found} : {"enum" => found}
      end
    end
  end
end
