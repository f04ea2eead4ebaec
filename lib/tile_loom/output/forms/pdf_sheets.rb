# frozen_string_literal: true

module TileLoom
  module Output
    module Forms
      # A PDF of each sheet.
      class PdfSheets < Form
        kind "pdf_sheets", "one PDF per sheet", rank: 2
        file_name "{{ book.title }}_{{ sheet.name }}"
        about "A file of each sheet; links lead from one to the next as long as they lie side by side."
        part :pdf, PdfManner.type, default: {}

        def ending = ".pdf"

        def manner = pdf

        def check(press) = PdfFile.new(press, pdf).check

        def notices(press) = PdfFile.new(press, pdf).notices

        def make(press, item, folder, name, secrets: nil)
          number = press.number_of(item)
          PdfFile.new(press, pdf, secrets: secrets).write(
            [press.page(item)],
            File.join(folder, name),
            title: "#{press.book.title}, #{Press.name_of(item)}",
            sheets: {
              number => Press.name_of(item)
            },
            elsewhere: pdf.links? ? elsewhere(press).except(number) : {}
          )
          [name]
        end

        private

        # number → [file, name of the sheet]
        def elsewhere(press) = press.names.to_h { |item, name| [press.number_of(item), [name, Press.name_of(item)]] }
      end
    end
  end
end
