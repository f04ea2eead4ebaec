# frozen_string_literal: true

module TileLoom
  module Document
    # What differs between two states of a document, in words.
    class Differences
      # One of them. part: what it is about, for people; before, after: values for people, nil where there was none.
      One = Struct.new(:part, :what, :before, :after, keyword_init: true)

      def initialize(before, after)
        @before, @after = before, after
      end

      # In the order of the document. what: "added", "removed", "moved", "changed".
      def to_a
        @all ||= Operations.between(@before, @after).map { |operation| one(operation, Operations.names(operation)) }
      end

      private

      def one(operation, names)
        before, after = Operations.value(@before, names), operation["value"]
        part = PartName.of(names, @after, @before)
        case operation["op"]
        when "add"
          One.new(part: part, what: "added", after: PartName.value(after))
        when "remove"
          One.new(part: PartName.of(names, @before), what: "removed", before: PartName.value(before))
        when "move"
          One.new(part: part, what: "moved")
        else
          One.new(part: part, what: "changed", before: PartName.value(before), after: PartName.value(after))
        end
      end
    end
  end
end
