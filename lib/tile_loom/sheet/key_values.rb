# frozen_string_literal: true

module TileLoom
  module Sheet
    # What live text can say on the key sheet: of the book, and of the map that shows the index. What only
    # a cell has is empty.
    class KeyValues < LiveValues
      private

      def sheet
        view = @sheet.view
        width, height = [view.ground.width, view.ground.height].map { |length| length * view.crs.metres_per_unit }
        SHEET.to_h { |name| [name, ""] }.merge(
          "name" => KeyComposer::NAME, "count" => @sheet.count, "scale" => Units::Number.tidy(view.scale.round), "ratio" => "1:#{Units::Number.grouped(view.scale.round)}",
          "width_m" => width.round(1), "height_m" => height.round(1), **edges(view), **place(view), "centre" => centre(view), **surveyed(view)
        )
      end

      def neighbours = NEIGHBOURS.to_h { |direction| [direction, ""] }

      def feature = @sheet.book.index.area.attribute_names(@sheet.source).to_h { |name| [name, ""] }
    end
  end
end
