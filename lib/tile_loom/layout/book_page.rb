# frozen_string_literal: true

module TileLoom
  module Layout
    # One page of a book. kind: :sheet, :index, :page or :blank; number: by which it is asked for: of a sheet its place
    # among the sheets, of the others zero and below; name; cells: of a sheet its own, of an index sheet those of its
    # part; page: a FreePage; position: its place in the book, from 1; folio: the number that it prints, or nil.
    BookPage =
      Struct.new(:kind, :number, :name, :cells, :page, :position, :folio, keyword_init: true) do
        def initialize(...)
          super
          freeze
        end

        def sheet? = kind == :sheet

        def index? = kind == :index

        def page? = kind == :page

        def blank? = kind == :blank

        def cell = sheet? ? cells.first : nil

        # What it shares with its cell, as orders pick sheets by it.
        def row = cell&.row

        def column = cell&.column

        def scale = cell&.scale

        def ground = cell&.ground

        # Of one book, by its number.
        def ==(other) = other.is_a?(BookPage) && other.number == number

        alias_method :eql?, :==

        def hash = number.hash
      end

    # The first index sheet, and from where on further ones, free pages and empty ones count downwards.
    BookPage::INDEX, BookPage::PAGES, BookPage::PARTS, BookPage::BLANKS = 0, -100, -10_000, -20_000
  end
end
