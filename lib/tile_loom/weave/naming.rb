# frozen_string_literal: true

module TileLoom
  module Weave
    # Names of grid cells: column letters with row numbers, as in a spreadsheet.
    module Naming
      module_function

      # 0 → A, 25 → Z, 26 → AA (ISO/IEC 29500-1, cell references).
      def letters(index)
        text = +""
        loop do
          text.prepend((65 + index % 26).chr)
          index = index / 26 - 1
          return text if index.negative?
        end
      end

      def cell(column, row) = "#{letters(column)}#{row + 1}"
    end
  end
end
