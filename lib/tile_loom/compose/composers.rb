# frozen_string_literal: true

module TileLoom
  module Compose
    # The composer of any page of a book.
    module Composers
      module_function

      # leaf: a Layout::Leaf; options: see SheetComposer.
      def of(book, source, leaf, count:, **options)
        common = {book: book, source: source, count: count, **options}
        case leaf.kind
        when :sheet
          SheetComposer.new(cell: leaf.cell, **common)
        when :index
          IndexSheetComposer.new(leaf: leaf, **common)
        when :page
          PageComposer.new(leaf: leaf, **common)
        else
          BlankComposer.new(leaf: leaf, **common)
        end
      end
    end
  end
end
