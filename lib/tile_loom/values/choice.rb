# frozen_string_literal: true

module TileLoom
  module Values
    # One of several texts. The block gives them when they are asked for, where files declare them.
    class Choice < Type
      def initialize(*choices, &found)
        @choices, @found = choices, found
      end

      def choices = @found ? @found.call : @choices

      def schema(_definitions) = {"enum" => choices}
    end
  end
end
