# frozen_string_literal: true

module TileLoom
  module Compose
    # The sheets of a book as the conditions of what is drawn on them know them.
    module Standing
      SIDES = %w[north east south west].freeze

      module_function

      # The Conditions::OnSheet of a cell; nil stands for a page that is of no cell.
      def of(book, source, cell)
        return Conditions::OnSheet.new(-> { {} }, book.crs.metres_per_unit) {} unless cell
        book.once([:standing, cell]) do
          Conditions::OnSheet.new(-> { facts(book, source, cell) }, book.crs.metres_per_unit) do
            feature(book, source, cell).found
          end
        end
      end

      # The ShownFeature of a cell's sheet.
      def feature(book, source, cell) =
        book.once([:shown_feature, cell]) { ShownFeature.new(book.index.area, source, cell) }

      def facts(book, source, cell)
        neighbours = book.neighbours(source).of(cell)
        own(cell).merge(SIDES.to_h { |side| ["sheet.#{side}", neighbours[side]&.name] })
      end

      # What is asked of a cell alone, whatever lies beside it.
      def own(cell) =
        {
          "sheet.name" => cell.name,
          "sheet.number" => cell.number,
          "sheet.row" => cell.row + 1,
          "sheet.column" => Index::Naming.letters(cell.column),
          "sheet.scale" => cell.scale
        }
    end
  end
end
