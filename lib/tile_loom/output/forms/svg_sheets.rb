# frozen_string_literal: true

module TileLoom
  module Output
    module Forms
      # An SVG of each sheet.
      class SvgSheets < Form
        kind "svg_sheets", "one SVG per sheet", rank: 4
        file_name "{{ book.title }}_{{ sheet.name }}"
        about "A drawing of each sheet for a browser or a drawing program; layers are groups."
        part :text,
          choice(text: "as text, typefaces embedded", outlines: "as outlines"),
          default: "text",
          about: "Text with its typefaces in the file, or its outlines."
        part :links, flag, default: true

        def ending = ".svg"

        def make(press, item, folder, name, secrets: nil)
          elsewhere = links? ? press.names.to_h { |other, file| [press.number_of(other), file] } : {}
          drawing = SvgFile.new(press.composer(item).drawing, text: text, elsewhere: elsewhere)
          Press.aside(File.join(folder, name)) { |io| io.write(drawing.to_s) }
          [name]
        end

        # A drawing in text is about four times as large as the same pages in a PDF.
        def estimate(press, items)
          bytes, seconds = super
          [bytes * 4 + items.length * FONTS_BYTES, seconds]
        end
      end
    end
  end
end
