# frozen_string_literal: true

module TileLoom
  module Output
    # What the name of a file can say without a sheet being drawn: of the book, the page, the sheet by its place in the
    # index, and the file's own number. For a file of all of the book, a sheet is what its sheets have in common.
    class FileValues
      # press: a Press.
      def initialize(press) = @press = press

      # item: a cell, or a Symbol of the Press; counter: of the file, from 1.
      def of(item, counter) =
        {
          **common,
          **paper(layout_of(item), item),
          "sheet" => sheet(item),
          "file" => {
            "counter" => counter,
            "ppi" => @press.ppi
          }
        }

      private

      def book = @press.book

      def common =
        @common ||= {
          "book" => Compose::LiveValues::BOOK.to_h { |name| [name, book.public_send(name).to_s] },
          "fields" => book.own_fields,
          "crs" => {
            "name" => book.crs.name,
            "code" => book.crs.register_code.to_s
          }
        }

      def paper(layout, item)
        page = layout.page
        {
          "page" => {
            "number" => item.is_a?(Symbol) ? "" : item.folio || "",
            "title" => item.is_a?(Symbol) ? "" : item.name,
            "size" => page.size,
            "orientation" => (page.width_mm > page.height_mm) ? "landscape" : "portrait"
          },
          "layout" => {
            "name" => layout.name.to_s,
            "page" => page.name
          }
        }
      end

      def layout_of(item)
        return book.layout if item.is_a?(Symbol) || item.sheet?
        item.index? ? book.index_layout : item.page.layout
      end

      def sheet(item)
        return @all ||= of_all if item.is_a?(Symbol)
        return of_cell(item.cell) if item.sheet?
        {"name" => item.name, "number" => item.index? ? 0 : "", "scale" => ""}
      end

      def of_cell(cell) =
        {
          "name" => cell.name,
          "number" => cell.number,
          "count" => @press.cells.length,
          "row" => cell.row + 1,
          "column" => Index::Naming.letters(cell.column),
          "scale" => cell.scale,
          "fraction" => Units::Number.ratio(cell.scale)
        }

      # The first and the last name, and the scale where all have the same.
      def of_all
        cells = @press.picked.filter_map(&:cell)
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
