# frozen_string_literal: true

module TileLoom
  module Table
    # The sheets of a book, or all its pages, as records of a table of contents: name, number, page (the number that it
    # prints), row, column, scale, and the fields of the feature that a sheet is of as "feature.NAME".
    class Contents
      FIELDS = %w[name number page row column scale].freeze
      FEATURE = "feature."

      # sheet: a Compose::SheetComposer of the book; of: "sheets" or "pages".
      def initialize(sheet, of)
        @sheet, @of = sheet, of
      end

      # Is it a name of what a record can have?
      def self.known?(field) = FIELDS.include?(field) || field.start_with?(FEATURE)

      # {field → value} list in the order of the pages.
      def to_a =
        @sheet
          .book
          .once([:contents, @of]) do
            @sheet
              .book
              .run(@sheet.source)
              .book_pages
              .reject { |book_page| book_page.blank? || (@of == "sheets" && !book_page.sheet?) }
              .map { |book_page| record(book_page) }
          end

      private

      def record(book_page)
        common = {"name" => book_page.name, "page" => book_page.folio}
        cell = book_page.cell or return common
        {
          **common,
          "number" => cell.number,
          "row" => cell.row + 1,
          "column" => Index::Naming.letters(cell.column),
          "scale" => cell.scale,
          **feature(cell)
        }
      end

      def feature(cell) = @sheet.feature_of(cell).attributes.transform_keys { |name| "#{FEATURE}#{name}" }
    end
  end
end
