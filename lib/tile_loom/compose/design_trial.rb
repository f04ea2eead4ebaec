# frozen_string_literal: true

module TileLoom
  module Compose
    # The sheet in the middle of a book as another design would make it, drawn coarsely: its frame covers other ground
    # about the same place.
    class DesignTrial
      TOLERANCE_MM = 1.2

      # book: with the other layout; cells: of the book as it is.
      def initialize(book:, source:, cells:)
        @book, @source, @cells = book, source, cells
      end

      # A Scene::Drawing, or nil where there is no sheet yet.
      def drawing
        cell = @cells[@cells.length / 2] or return nil
        SheetComposer.new(
          book: @book,
          source: @source,
          cell: cell.with(ground: fitted(cell)),
          count: @cells.length,
          tolerance_mm: TOLERANCE_MM,
          names: false
        ).drawing
      end

      private

      def fitted(cell)
        size = @book.cell_size(cell.scale)
        cell.ground.sized(*size.at(cell.ground.centre_x, cell.ground.centre_y))
      end
    end
  end
end
