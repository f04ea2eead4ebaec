# frozen_string_literal: true

module TileLoom
  module Frames
    module Extents
      # This sheet and so many rings of neighbours round it, as wide everywhere as where all of them are there, so that
      # all sheets have it at one scale.
      class Neighbours < Extent
        kind "neighbours", "this sheet and its neighbours", rank: 3
        part :rings, whole(1..20), default: 1
        part :margin_percent, number(0..200), default: 2

        def alike? = false

        def focus(sheet, crs)
          ground = sheet.cell&.ground or return nil
          brought(ground.sized(*sides(ground, sheet)).corners, sheet, crs)
        end

        private

        # Neighbours that overlap stand closer together than they are wide.
        def sides(ground, sheet)
          across, down = sheet.overlap_mm
          frame = sheet.layout.main_frame.box(sheet.page)
          [[ground.width, frame.width, across], [ground.height, frame.height, down]].map do |length, side, over|
            length * (1 + 2 * rings * (1 - over / side))
          end
        end
      end
    end
  end
end
