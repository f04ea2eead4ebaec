# frozen_string_literal: true

module TileLoom
  module Layout
    module Elements
      # Text with live text (Liquid), wrapped in its box.
      class TextBox < Element
        def nodes(sheet, box)
          string = sheet.live_text(settings["text"], path: "#{path}/text")
          Type::Setting.new(face: face, size_pt: settings.fetch("size_pt", 9).to_f, colour: colour,
            align: settings.fetch("align", "left"), anchor: settings.fetch("anchor", "top")).set(string, box)
        end

        def templates = [["#{path}/text", settings["text"]]]
      end
    end
  end
end
