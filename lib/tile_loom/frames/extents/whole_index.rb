# frozen_string_literal: true

module TileLoom
  module Frames
    module Extents
      # All cells of the index; of an index sheet by parts, those of its part.
      class WholeIndex < Extent
        kind "whole_index", "the whole index", rank: 1
        part :margin_percent, number(0..200), default: 3

        def focus(sheet, crs)
          boxes =
            sheet.book.once([:index_boxes, sheet.part_of_index]) { sheet.cells_of_part.map { |cell| cell.ground.box } }
          return nil if boxes.empty?
          all = boxes.reduce { |box, other| box.union(other) }
          (crs == sheet.book.crs) ? all.corners : brought(boxes.flat_map(&:corners), sheet, crs)
        end
      end
    end
  end
end
