# frozen_string_literal: true

module TileLoom
  module Layout
    module Elements
      # The whole index over its ground, with the names of the sheets: what a key sheet is made for.
      class KeyFrame < Element
        def nodes(sheet, box) = [*map(sheet, box).nodes, *painted([box.corners], {"stroke" => settings["border"]}, {"width_mm" => 0.35})]

        # The Sheet::KeyMap in its box.
        def map(sheet, box) = Sheet::KeyMap.new(book: sheet.book, source: sheet.source, cells: sheet.cells, box: box, **manner(sheet))

        private

        def manner(_sheet) = {colour: settings.fetch("colour", Sheet::KeyMap::THREAD), face: face("sans-bold"), round: true}
      end
    end
  end
end
