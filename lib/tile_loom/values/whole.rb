# frozen_string_literal: true

module TileLoom
  module Values
    # A whole number within limits.
    class Whole < Type
      def initialize(range) = @limits = {"minimum" => range.begin, "maximum" => range.end}.compact

      def schema(_definitions) = {"type" => "integer", **@limits}
    end
  end
end
