# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A small map of the index that shows where this sheet lies.
      class Locator < Inset
        kind "locator", "Locator", rank: 14
        size_mm 45, 35
        refused_on index: "furniture.locator_on_index_sheet", pages: "furniture.locator_on_page"
        start "border" => {"colour" => "#545c60", "width_mm" => 0.2}

        part :extent, Frames::Extent.union, default: {"kind" => "whole_index"}
        part :layers, choice("all", "areas", "none"), default: "areas"
        part :labels, Values::Types::FLAG, default: false
        part :cells, Frames::Cells.type, default: {"labels" => "none", "colour" => "#545c60"}

        def spoken(sheet) = sheet.book.language.word(:spoken_locator, name: sheet.name, count: sheet.cells.length)

        private

        # Thinned as so small a map can be.
        TOLERANCE_MM = 0.2

        def shown(sheet, view) = super.dup.tap { |shown| shown.tolerance_mm = TOLERANCE_MM }
      end
    end
  end
end
