# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The whole index over its ground, with the names of the sheets: what a key sheet is made for.
      class IndexFrame < Element
        include Gridded

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

        def manner(_sheet) =
          {colour: settings.fetch("colour", View::IndexMap::THREAD), face: face("sans-bold"), round: true}
      end
    end
  end
end
