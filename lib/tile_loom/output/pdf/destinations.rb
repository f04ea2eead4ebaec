# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # Names by which pages are reached from inside and outside of a document (ISO 32000-1, 12.3.2.3).
      class Destinations
        def initialize = @pages = {}

        # What a page is reached by. number: of a Layout::BookPage, by which sheets, index sheets and other pages are
        # told apart.
        def self.key(number, name)
          return "sheet-#{name}" if number.positive?
          return "index" if number == Layout::BookPage::INDEX
          return "empty-#{Layout::BookPage::BLANKS - number + 1}" if number <= Layout::BookPage::BLANKS
          return "index-#{Layout::BookPage::PARTS - number + 1}" if number < Layout::BookPage::PARTS
          "page-#{name}"
        end

        def add(key, page, height_pt) = @pages[key] = [page, :XYZ, 0, height_pt, nil]

        # Writes the name tree; returns its reference, or nil where there is none.
        def write(file)
          return nil if @pages.empty?
          sorted = @pages.sort_by { |key, _| key.b }
          file.add({Names: sorted.flat_map { |key, place| [PDF::Core::LiteralString.new(key.b), place] }})
        end
      end
    end
  end
end
