# frozen_string_literal: true

module TileLoom
  module Values
    # A number within limits, read as a Float; exact: as it is written.
    class Number < Type
      def initialize(range = nil, above: nil, most: range&.end, exact: false)
        @exact = exact
        @limits = {"minimum" => range&.begin, "exclusiveMinimum" => above, "maximum" => most}.compact
      end

      def schema(_definitions) = {"type" => "number", **@limits}

      def read(json, **) = @exact ? json : json.to_f
    end
  end
end
