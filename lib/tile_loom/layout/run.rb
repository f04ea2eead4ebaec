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

      # Leaf list.
      def leaves = @leaves ||= counted(ordered)

      # Those that are no sheets.
      def others = @others ||= leaves.reject(&:sheet?)

      # The Leaf of a number, or nil.
      def leaf(number) = by_number[number]

      def indexes = leaves.select(&:index?)

      # How many pages print a number.
      def folios = leaves.filter_map(&:folio).max || 0

      # Pages that are to stand before a sheet which is not there, in sentences; or that one of them is.
      def told(only = nil)
        names = @cells.to_h { |cell| [cell.name, true] }
        @pages
          .select { |page| page.place == "before_sheet" && !names.key?(page.sheet) && (only.nil? || only == page) }
          .map { |page| format(AT_THE_END, title: page.title, sheet: page.sheet) }
      end

      AT_THE_END =
        "The page “%<title>s” is to stand before sheet %<sheet>s, which is not in the book; it stands at the end."

      private

      def by_number = @by_number ||= leaves.to_h { |leaf| [leaf.number, leaf] }

      def ordered
        placed = pages.group_by { |page, _| page.place }
        before = (placed["before_sheet"] || []).group_by { |page, _| page.sheet }
        sheets =
          @cells.flat_map do |cell|
            [
              *leaves_of(before.delete(cell.name)),
              Leaf.new(kind: :sheet, number: cell.number, name: cell.name, cells: [cell])
            ]
          end
        first, last = (@index&.place == "last") ? [[], index_leaves] : [index_leaves, []]
        [
          *leaves_of(placed["front"]),
          *first,
          *leaves_of(placed["before_sheets"]),
          *sheets,
          *last,
          *leaves_of(before.values.flatten(1)),
          *leaves_of(placed["back"])
        ]
      end

      def pages = @pages.each_with_index

      def leaves_of(list) =
        list.to_a.map do |page, index|
          Leaf.new(kind: :page, number: Leaf::PAGES - index, name: page.title, cells: [], page: page)
        end

      def index_leaves
        return [] unless @index
        parts = @index.parts(@cells)
        parts.each_with_index.map do |cells, index|
          Leaf.new(
            kind: :index,
            number: index.zero? ? Leaf::INDEX : Leaf::PARTS - index,
            name: parts.one? ? INDEX_NAME : "#{INDEX_NAME} #{index + 1}",
            cells: cells
          )
        end
      end

      # With empty pages between, and the numbers that they print.
      def counted(list)
        found, folio = [], 0
        list.each do |leaf|
          numbered = numbered?(leaf)
          if turned?(leaf, found.length + 1)
            number = Leaf::BLANKS - found.count(&:blank?)
            folio += 1 if numbered
            found << Leaf.new(
              kind: :blank,
              number: number,
              name: "empty page",
              cells: [],
              page: leaf.page,
              position: found.length + 1,
              folio: numbered ? folio : nil
            )
          end
          folio += 1 if numbered
          found << Leaf.new(**leaf.to_h, position: found.length + 1, folio: numbered ? folio : nil)
        end
        found
      end

      def numbered?(leaf)
        return leaf.page.numbered? if leaf.page?
        leaf.index? ? @index.numbered? : true
      end

      # Would it come to the wrong side?
      def turned?(leaf, position)
        wanted = leaf.page? ? leaf.page.starts : "anywhere"
        (wanted == "right" && position.even?) || (wanted == "left" && position.odd?)
      end
    end
  end
end
