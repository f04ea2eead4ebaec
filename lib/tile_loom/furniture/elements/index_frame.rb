# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The whole index over its ground, with the names of the sheets: what a key sheet is made for.
      class IndexFrame < Element
        kind "key_frame", "Key frame", rank: 12
        start "border" => {"width_mm" => 0.35}
        only_one "A key sheet has one key frame, which decides its scale."
        refused_on sheets: "A key frame belongs on the key sheet; a locator shows the index on every sheet."

        include Gridded

        part :colour, Values::Types::COLOUR, default: View::IndexMap::THREAD, about: "Of the cells and their names."
        part :face, Values::Types::FACE, default: "sans-bold"

        def shows_index? = true

        def nodes(sheet, box)
          map = map(sheet, box)
          surround = surround(map.view, sheet)
          [*surround.under, *map.nodes, *surround.over]
        end

        # The View::IndexMap in its box.
        def map(sheet, box) =
          View::IndexMap.new(book: sheet.book, source: sheet.source, cells: sheet.cells, box: box, **manner(sheet))

        def view_on(sheet) = map(sheet, box(sheet.page)).view

        private

        def manner(_sheet) = {colour: colour, face: typeface(face), round: true}
      end
    end
  end
end
