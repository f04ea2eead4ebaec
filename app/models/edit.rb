# frozen_string_literal: true

module App
  # One change of a book: the operations that made it, and those that take it back (TileLoom::Document::Operations).
  class Edit < ActiveRecord::Base
    MOST_KEPT = 500

    belongs_to :book

    attribute :operations, FrozenJson.new
    attribute :inverse, FrozenJson.new

    # What a change from one document to another is kept as.
    def self.ways(before, after)
      {
        operations: TileLoom::Document::Operations.between(before, after),
        inverse: TileLoom::Document::Operations.between(after, before)
      }
    end

    # A document with the change taken back ("undo"), or done again ("redo").
    def applied(document, direction) = TileLoom::Document::Operations.applied(document, way(direction))

    def way(direction) = (direction == "undo") ? inverse : operations

    # Is it about this member of the document?
    def about?(name) = operations.any? { |operation| TileLoom::Document::Operations.names(operation).first == name }

    # Nobody's is anybody's.
    def of?(other) = session.nil? || session == other
  end
end
