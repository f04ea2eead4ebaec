# frozen_string_literal: true

module App
  # One step in the history of a book: the operations that it did, and those that lead back
  # (TileLoom::Document::Operations). An undo and a redo are steps of their own, about the change that they take back or
  # do again.
  class Edit < ActiveRecord::Base
    # Of a change: it stands; it was undone and can be done again; it was undone, and its hand has gone on with
    # something else. "step": it is an undo or a redo, or a change that was merged with others, which only a look back
    # leads to.
    DONE, UNDONE, GIVEN_UP, STEP = %w[done undone given_up step].freeze

    # So many single cells of a change are named; of more it is the index.
    MOST_CELLS_NAMED = 20

    belongs_to :book

    attribute :operations, FrozenJson.new
    attribute :inverse, FrozenJson.new
    attribute :touched, FrozenJson.new

    # Nobody's is anybody's.
    scope :of_hand, ->(session) { where(session: [nil, session].uniq) }
    # What others did behind a position, and what nobody did by hand.
    scope :of_others_since, ->(position, session) { where("position > ? AND NOT (session <=> ?)", position, session) }
    # what: as `touched` names it.
    scope :touching, ->(what) { where("JSON_CONTAINS(touched, ?)", JSON.generate(what)) }

    # The changes that undo or redo would be about, the next one first. session: of the browser that asks.
    def self.next_steps(book, direction, session)
      own = book.edits.of_hand(session)
      return own.where(state: DONE).order(position: :desc) if direction == "undo"
      own.where(state: UNDONE).order(:position)
    end

    # What a change from one document to another is kept as.
    def self.ways(before, after)
      {
        operations: TileLoom::Document::Operations.between(before, after),
        inverse: TileLoom::Document::Operations.between(after, before)
      }
    end

    # What is asked for by when a history is looked through: members of the document, "layers/ID" for each layer,
    # "cells", and "cells/ID" where they are few. cells: a CellChange, or nil.
    def self.touched(operations, cells)
      named = operations.map { |operation| TileLoom::Document::Operations.names(operation) }
      ids = cells ? cells.ids : []
      [
        *named.map(&:first),
        *named.filter_map { |first, id| "layers/#{id}" if first == "layers" && id },
        *(["cells"] if cells),
        *((ids.length <= MOST_CELLS_NAMED) ? ids.map { |id| "cells/#{id}" } : [])
      ].uniq
    end

    # A document with it done ("forth") or taken back ("back").
    def walked(document, direction) =
      TileLoom::Document::Operations.applied(document, (direction == "back") ? inverse : operations)

    # A document with the change undone or redone, whatever else was changed meanwhile; Refusal where that was the same.
    def applied(document, direction)
      ways = (direction == "undo") ? [operations, inverse] : [inverse, operations]
      TileLoom::Document::TakenBack.new(*ways).applied(document, label: label)
    end

    # [id, version] of layers that the document names before it or after it, where that is another.
    def layers_named
      (operations + inverse).flat_map do |operation|
        names, value = TileLoom::Document::Operations.names(operation), operation["value"]
        next [] unless names.first == "layers"
        case names.length
        when 1
          Array(value).map { |entry| Layer.key_of(entry) }
        when 2
          value ? [Layer.key_of(value)] : []
        else
          (names[2] == "version") ? [[names[1], value || 1]] : []
        end
      end
    end

    # The CellChange of it, or nil.
    def cell_change = cells && CellChange.read(cells)

    # Is it about this member of the document?
    def about?(name) = touched.include?(name)
  end
end
