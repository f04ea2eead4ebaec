# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The whole index over its ground, with the names of the sheets: what an index sheet is made for.
      class IndexFrame < Inset
        kind "index_frame", "Index frame", rank: 12
        start "border" => {"width_mm" => 0.35}
        only_one "furniture.one_index_frame"
        refused_on sheets: "furniture.index_frame_on_sheets", pages: "furniture.index_frame_on_page"

        part :extent, Frames::Extent.union, default: {"kind" => "whole_index", "size" => "round"}
        part :cells, Frames::Cells.type, default: {}

        def shows_index? = true

        def spoken(sheet)
          cells = sheet.cells_of_part
          language = sheet.book.language
          return language.word(:spoken_index, count: 0) if cells.empty?
          language.word(:spoken_index_range, count: cells.length, first: cells.first.name, last: cells.last.name)
        end
      end
    end
  end
end
