# frozen_string_literal: true

module TileLoom
  module Compose
    module Roles
      # What is on the paper: the page of a sheet, its elements, and its frames of the ground.
      module Page
        def layout = book.layout

        def page = @page ||= layout.page.for_page(page_number)

        # Its page among those of the book: a Layout::BookPage.
        def book_page = @book_page ||= book.run(source).book_page(cell.number)

        # Where in the book its page comes, from 1.
        def page_number = book_page&.position || cell.number

        # The elements that stand on this sheet.
        def elements = @elements ||= layout.elements.select { |element| element.on?(self) }

        # The frame of an id on this page, or its main one; nil where there is none.
        def frame(id)
          return main_frame if id.nil?
          elements.find { |element| element.id == id && element.gridded? }
        end

        # The frame that carries the grids of this page.
        def main_frame = layout.main_frame

        def name = cell.name

        def title = "#{cell.number}  #{cell.name}"
      end
    end
  end
end
