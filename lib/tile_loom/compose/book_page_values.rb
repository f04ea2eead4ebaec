# frozen_string_literal: true

module TileLoom
  module Compose
    # What live text can say on a page that is of no cell, such as the index sheet: of the book, and of the map that it
    # shows. What only a cell has is empty.
    class BookPageValues < LiveValues
      private

      def sheet
        view = @sheet.view
        SHEET
          .to_h { |name| [name, ""] }
          .merge(
            "name" => @sheet.name,
            "count" => @sheet.count,
            "scale" => @sheet.stated_scale,
            "fraction" => language.ratio(@sheet.stated_scale),
            **extent(view),
            **edges(view),
            **place(view),
            "centre" => centre(view),
            **surveyed(view)
          )
      end

      def neighbours = NEIGHBOURS.to_h { |direction| [direction, ""] }

      def feature = @sheet.book.index.area.attribute_names(@sheet.source).to_h { |name| [name, ""] }
    end
  end
end
