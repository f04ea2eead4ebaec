# frozen_string_literal: true

module App
  # Of what somebody else made a moment ago a change makes something else: the later one holds, and its hand is told
  # whose value it replaced.
  class Replaced
    MOST_TOLD = 5

    # seen: the position of the book's history up to which the hand had seen it.
    def initialize(book, seen, session)
      @book, @seen, @session = book, seen, session
    end

    # Sentences. operations: those that were done, recorded last; before: the document that they were done on.
    def descriptions(operations, before)
      others = theirs(@book.edit_position)
      return [] if others.empty?
      found =
        operations.filter_map do |operation|
          edit = others.find { |other| other.operations.any? { |one| value?(one) && one["path"] == operation["path"] } }
          edit && value?(operation) && sentence(operation, edit, before)
        end
      found.first(MOST_TOLD)
    end

    private

    # Steps of others since, the latest first, without that of the change itself.
    def theirs(position) =
      @book.edits.of_others_since(@seen, @session).where("position < ?", position).order(position: :desc).to_a

    def value?(operation) = %w[add replace remove].include?(operation["op"])

    def sentence(operation, edit, before)
      names = TileLoom::Document::Operations.names(operation)
      theirs = edit.operations.find { |one| one["path"] == operation["path"] }["value"]
      TileLoom::Sentences.of(
        "changes.replaced",
        part: TileLoom::Document::PartName.of(names, before),
        theirs: TileLoom::Document::PartName.value(theirs),
        own: TileLoom::Document::PartName.value(operation["value"])
      )
    end
  end
end
