# frozen_string_literal: true

module TileLoom
  module Layout
    # An index sheet in the design of the sheets: the same page and elements, with an index frame where the map frame
    # is.
    module IndexDesign
      # Of a map frame, what an index frame has too.
      SHARED = %w[place border title fill shadow].freeze
      # A grid of so small a scale counts by itself.
      AUTOMATIC = %w[interval origin].freeze
      # Extents that are of one sheet.
      OF_A_SHEET = %w[detail sheet neighbours].freeze

      module_function

      # layout: settings of the sheets' layout; returns those of the index sheet's. What can stand on sheets alone is
      # left out.
      def of(layout)
        elements = layout["elements"].filter_map { |element| element_of(element) }
        layout.merge("name" => "index-sheet", "elements" => elements)
      end

      def element_of(element)
        return index_frame(element) if element["kind"] == "map_frame"
        declared = Furniture::Elements.of(element["kind"])
        alone = declared.refused_on.key?("index") || OF_A_SHEET.include?(element.dig("extent", "kind"))
        alone ? nil : reworded(element).except("shown_on")
      end

      # A text of what only a sheet has says what the page is.
      OF_A_CELL = /sheet\.(number|row|column)\b|words\.(sheet|number)_of\b/
      IN_ITS_PLACE = "{{ words.index_to }}"

      def reworded(element)
        return element unless element["kind"] == "text" && element["text"].to_s.match?(OF_A_CELL)
        element.merge("text" => IN_ITS_PLACE)
      end

      def index_frame(frame)
        grids = frame["grids"].to_a.map { |grid| grid.except(*AUTOMATIC) }
        frame.slice(*SHARED).merge("kind" => "index_frame", "id" => frame["id"], "grids" => grids, "cells" => {})
      end
    end
  end
end
