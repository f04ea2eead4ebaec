# frozen_string_literal: true

module App
  # Gives a book the layout of a design.
  class DesignChange
    # text: of a design file, whose pictures and typefaces are kept. Refusal says what it is instead.
    def self.read(text) =
      new(Enclosure.take_in(TileLoom::Document::DesignFile.read(text), TileLoom::Assets::Enclosures.none))

    # design: as a design file has it, its enclosures kept.
    def initialize(design) = @file = TileLoom::Document::DesignFile.new(design)

    # page: false keeps the book's own paper; changes: the BookChanges of the book.
    def apply_to(book, label:, page: true, changes: BookChanges.new(book)) =
      changes.apply_to_fresh(label: label) { @file.patch(book.document, page: page) }
  end
end
