# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The whole index over its ground, with the names of the sheets: what an index sheet is made for.
      class IndexFrame < Element
        kind "index_frame", "Index frame", rank: 12
        start "border" => {"width_mm" => 0.35}
        only_one "furniture.one_index_frame"
        refused_on sheets: "furniture.index_frame_on_sheets"

        include Gridded

        part :colour, Values::Types::COLOUR, default: View::IndexMap::THREAD, about: "Of the cells and their names."
        part :face, Values::Types::FACE, default: "sans-bold"

        def self.turns? = false

        def shows_index? = true

        def nodes(sheet, box)
          map = map(sheet, box)
          surround = surround(map.view, sheet)
          [*surround.under, *map.nodes, *credits(sheet, map.view), *surround.over]
        end

        def inside(sheet)
          map = map(sheet, box(sheet.page))
          surround = surround(map.view, sheet, bordered: false)
          [*surround.under, *map.nodes, *credits(sheet, map.view), *surround.over]
        end

        # The View::IndexMap in its box.
        def map(sheet, box) =
          sheet.once(:index_map, self) do
            View::IndexMap.new(book: sheet.book, source: sheet.source, cells: sheet.cells, box: box, **manner(sheet))
          end

        def spoken(sheet) =
          "Index of the #{sheet.cells.length} sheets#{", #{sheet.cells.first.name} to #{sheet.cells.last.name}" if sheet.cells.any?}."

        def view_on(sheet) = map(sheet, box(sheet.page)).view

        def legend_entries(sheet) = map(sheet, box(sheet.page)).entries

        def shown_layers(sheet) = map(sheet, box(sheet.page)).shown_layers

        private

        def manner(sheet) = {colour: colour, face: typeface(face), round: true, ppi: sheet.ppi}
      end
    end
  end
end
