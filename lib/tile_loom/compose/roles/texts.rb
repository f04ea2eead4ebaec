# frozen_string_literal: true

module TileLoom
  module Compose
    module Roles
      # What texts and conditions can say and ask of a sheet.
      module Texts
        # This sheet as the conditions of what is drawn on it know it: a Conditions::OnSheet.
        def on_sheet = @on_sheet ||= Standing.of(book, source, cell)

        # Text with its live values filled in; Refusal names the value that is unknown.
        # written: see LiveText#fill.
        def live_text(template, path: nil, written: nil) =
          once(:live_text, template, written) do
            text = LiveText.new(template, path: path)
            asks_texts! if text.asks_book?
            text.fill(values, language: book.language, written: written)
          end

        def values = @values ||= live_values.to_h

        def live_values = LiveValues.new(self)

        # Characters of all filled-in texts, to find the sheet that is hardest for a design.
        def text_length = templates.sum { |path, template| live_text(template, path: path).length }

        # Ids of the texts that do not stand in their boxes.
        def overflowing = texts.reject { |element| element.fits?(self) }.map(&:id)

        private

        # [path, live text] of all elements that are shown.
        def templates = @templates ||= elements.reject(&:hidden?).flat_map(&:templates)

        def texts = elements.select { |element| element.text? && !element.hidden? }
      end
    end
  end
end
