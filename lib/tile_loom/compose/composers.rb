# frozen_string_literal: true

module TileLoom
  module Compose
    # The composer of any page of a book.
    module Composers
      module_function

      # book_page: a Layout::BookPage; options: see SheetComposer.
      def of(book, source, book_page, count:, **options)
        common = {book: book, source: source, count: count, **options}
        case book_page.kind
        when :sheet
          SheetComposer.new(cell: book_page.cell, **common)
        when :index
          IndexSheetComposer.new(book_page: book_page, **common)
        when :page
          PageComposer.new(book_page: book_page, **common)
        else
          BlankComposer.new(book_page: book_page, **common)
        end
      end
    end
  end
end
