# frozen_string_literal: true

module TileLoom
  module Layout
    # All pages of a book in their order: free pages, index sheets, sheets, and the empty pages that come between where
    # one is to begin on a right-hand or a left-hand page.
    class Run
      INDEX_NAME = "Index"

      # pages: FreePage list; index: IndexPages, or nil where the book has no index sheet; cells: Index::Cell list.
      def initialize(pages:, index:, cells:)
        @pages, @index, @cells = pages, index, cells
      end

      # BookPage list.
      def book_pages = @book_pages ||= counted(ordered)

      # Those that are no sheets.
      def others = @others ||= book_pages.reject(&:sheet?)

      # The BookPage of a number, or nil.
      def book_page(number) = by_number[number]

      def indexes = book_pages.select(&:index?)

      # How many pages print a number.
      def folios = book_pages.filter_map(&:folio).max || 0

      # Pages that are to stand before a sheet which is not there, in sentences; or that one of them is.
      def notices(only = nil)
        names = @cells.to_h { |cell| [cell.name, true] }
        @pages
          .select { |page| page.place == "before_sheet" && !names.key?(page.sheet) && (only.nil? || only == page) }
          .map { |page| format(AT_THE_END, title: page.title, sheet: page.sheet) }
      end

      AT_THE_END =
        "The page “%<title>s” is to stand before sheet %<sheet>s, which is not in the book; it stands at the end."

      private

      def by_number = @by_number ||= book_pages.to_h { |book_page| [book_page.number, book_page] }

      def ordered
        placed = pages.group_by { |page, _| page.place }
        before = (placed["before_sheet"] || []).group_by { |page, _| page.sheet }
        sheets =
          @cells.flat_map do |cell|
            [
              *pages_of(before.delete(cell.name)),
              BookPage.new(kind: :sheet, number: cell.number, name: cell.name, cells: [cell])
            ]
          end
        first, last = (@index&.place == "last") ? [[], index_pages_of_run] : [index_pages_of_run, []]
        [
          *pages_of(placed["front"]),
          *first,
          *pages_of(placed["before_sheets"]),
          *sheets,
          *last,
          *pages_of(before.values.flatten(1)),
          *pages_of(placed["back"])
        ]
      end

      def pages = @pages.each_with_index

      def pages_of(list) =
        list.to_a.map do |page, index|
          BookPage.new(kind: :page, number: BookPage::PAGES - index, name: page.title, cells: [], page: page)
        end

      def index_pages_of_run
        return [] unless @index
        parts = @index.parts(@cells)
        parts.each_with_index.map do |cells, index|
          BookPage.new(
            kind: :index,
            number: index.zero? ? BookPage::INDEX : BookPage::PARTS - index,
            name: parts.one? ? INDEX_NAME : "#{INDEX_NAME} #{index + 1}",
            cells: cells
          )
        end
      end

      # With empty pages between, and the numbers that they print.
      def counted(list)
        found, folio = [], 0
        list.each do |book_page|
          numbered = numbered?(book_page)
          if turned?(book_page, found.length + 1)
            number = BookPage::BLANKS - found.count(&:blank?)
            folio += 1 if numbered
            found << BookPage.new(
              kind: :blank,
              number: number,
              name: "empty page",
              cells: [],
              page: book_page.page,
              position: found.length + 1,
              folio: numbered ? folio : nil
            )
          end
          folio += 1 if numbered
          found << BookPage.new(**book_page.to_h, position: found.length + 1, folio: numbered ? folio : nil)
        end
        found
      end

      def numbered?(book_page)
        return book_page.page.numbered? if book_page.page?
        book_page.index? ? @index.numbered? : true
      end

      # Would it come to the wrong side?
      def turned?(book_page, position)
        wanted = book_page.page? ? book_page.page.starts : "anywhere"
        (wanted == "right" && position.even?) || (wanted == "left" && position.odd?)
      end
    end
  end
end
