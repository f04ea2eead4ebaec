# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The spacing of one of the frame's grids in words: "Dots 1 km apart; the diagonal is about 1.4 km."
      class GridNote < TextBox
        kind "grid_note", "Note on a grid", rank: 16
        size_mm 50, 4
        start "size_pt" => 7
        leave_out :text
        part :grid, Values::Types::ID, about: "Whose spacing it tells; the first one's where none is named."

        def templates = []

        private

        # Nothing where the grid is not drawn on the sheet.
        def string(sheet)
          found = sheet.main_frame&.grid_on(sheet, grid)
          found ? CoordinateGrid::Note.new(*found, sheet.book.language).to_s : ""
        end
      end
    end
  end
end
