# frozen_string_literal: true

module TileLoom
  module Output
    # What the name of a file can say without a sheet being drawn: of the book, the page, the sheet by its place in the
    # index, and the file's own number. For a file of all of the book, a sheet is what its sheets have in common.
    class FileValues
      # press: answers book, order, picked; item: a cell, or a Symbol; counter: of the file, from 1.
      def initialize(press, item, counter)
        @press, @item, @counter = press, item, counter
      end

      def to_h =
        {
          "book" => Compose::LiveValues::BOOK.to_h { |name| [name, book.public_send(name).to_s] },
          "page" => {
            "size" => page.size,
            "orientation" => (page.width_mm > page.height_mm) ? "landscape" : "portrait"
          },
          "layout" => {
            "name" => layout.name.to_s,
            "page" => page.name
          },
          "sheet" => sheet,
          "crs" => {
            "name" => book.crs.name,
            "code" => book.crs.register_code.to_s
          },
          "file" => {
            "counter" => @counter,
            "ppi" => @press.order.ppi
          }
        }

      private

      def book = @press.book

      def layout = (@item == Press::INDEX) ? book.index_layout : book.layout

      def page = layout.page

      def sheet
        return of_cell if @item.respond_to?(:number)
        return {"name" => Compose::IndexSheetComposer::NAME, "number" => 0, "scale" => ""} if @item == Press::INDEX
        of_all
      end

      def of_cell =
        {
          "name" => @item.name,
          "number" => @item.number,
          "count" => @press.cells.length,
          "row" => @item.row + 1,
          "column" => Index::Naming.letters(@item.column),
          "scale" => @item.scale,
          "fraction" => Units::Number.ratio(@item.scale)
        }

      # The first and the last name, and the scale where all have the same.
      def of_all
        cells = @press.picked.grep_v(Symbol)
        scales = cells.map(&:scale).uniq
        {
          "name" => [cells.first&.name, cells.last&.name].uniq.compact.join("-"),
          "number" => cells.first&.number || 0,
          "count" => @press.cells.length,
          "scale" => (scales.length == 1) ? scales.first : "",
          "fraction" => (scales.length == 1) ? Units::Number.ratio(scales.first) : ""
        }
      end
    end
  end
end
