# frozen_string_literal: true

module TileLoom
  module Compose
    # Composes an index sheet: the page that shows the whole index, or a part of it. Its scale, north and coordinates
    # are those of its index frame.
    class IndexSheetComposer < BookPageComposer
      # book_page: without one, the book's first index sheet.
      def initialize(book:, source:, book_page: nil, **options)
        super(book_page: book_page || book.run(source).indexes.first, book: book, source: source, **options)
      end

      def layout = book.index_layout

      def main_frame = layout.index_frame

      def cells_of_part = book_page.cells
    end
  end
end
