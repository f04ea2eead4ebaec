# frozen_string_literal: true

module TileLoom
  module Output
    module Forms
      # All sheets in one PDF.
      class PdfBook < Form
        kind "pdf_book", "one PDF", rank: 1
        file_name "{{ book.title }}"
        about "All sheets in one file, with bookmarks, page labels and links."
        part :pdf, PdfManner.type, default: {}

        def self.paged? = true

        def ending = ".pdf"

        def manner = pdf

        def check(press) = PdfFile.new(press, pdf).check

        def notices(press) = PdfFile.new(press, pdf).notices

        def bind(press, pages, path, secrets: nil)
          PdfFile.new(press, pdf, secrets: secrets).write(pages, path, sheets: press.sheets)
        end
      end
    end
  end
end
