# frozen_string_literal: true

module TileLoom
  module Book
    # Values of every name that live text knows, for checking a text before there are sheets.
    module LiveSample
      module_function

      def values
        {
          "book" => Sheet::LiveValues::BOOK.to_h { |name| [name, "text"] },
          "sheet" => Sheet::LiveValues::SHEET.to_h { |name| [name, 1] },
          "reference" => Sheet::LiveValues::REFERENCE.to_h { |name| [name, "text"] }
        }
      end
    end
  end
end
