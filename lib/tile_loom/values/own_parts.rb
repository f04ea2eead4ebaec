# frozen_string_literal: true

module TileLoom
  module Values
    # Of a kind that has parts of its own in the document, beside those of the thing that it is a kind of.
    module OwnParts
      # Declares one; see Part.
      def part(name, type, **how) = own_parts[name] = Part.new(name, type, **how)

      def own_parts = @own_parts ||= {}
    end
  end
end
