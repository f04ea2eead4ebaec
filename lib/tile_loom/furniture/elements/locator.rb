# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A small map of the index that shows where this sheet lies.
      class Locator < IndexFrame
        kind "locator", "Locator", rank: 14
        size_mm 45, 35
        refused_on index: "furniture.locator_on_index_sheet"
        start "border" => {"colour" => "#545c60", "width_mm" => 0.2}
        part :colour, Values::Types::COLOUR, default: "#545c60", about: "Of the cells."
        part :face, Values::Types::FACE, default: "sans"

        def shows_index? = false

        def spoken(sheet) = "Locator: sheet #{sheet.name} among the #{sheet.cells.length} sheets of the index."

        private

        def manner(sheet) = {colour: colour, face: typeface(face), here: sheet.cell, names: false}
      end
    end
  end
end
