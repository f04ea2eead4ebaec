# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Rows
      # Words between the rows, with live text.
      class Note < Row
        kind "note", "Note", rank: 3
        part :text, text(least: 1, most: 2_000), required: true

        def templates = [["#{path}/text", text]]

        def name(_entries) = text

        def block(_placed, manner, width)
          words = manner.sheet.live_text(text, path: "#{path}/text")
          words.strip.empty? ? nil : manner.paragraph(words, width, manner.note, before_mm: manner.heading_gap_mm / 2)
        end
      end
    end
  end
end
