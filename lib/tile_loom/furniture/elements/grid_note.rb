# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The spacing of one of the frame's grids in words: "Dots 1 km apart; the diagonal is about 1.4 km."
      class GridNote < TextBox
        def templates = []

        private

        # Nothing where the grid is not drawn on the sheet.
        def string(sheet)
          frame = sheet.gridded_frame
          grid = settings["grid"] ? frame.grids.find { |known| known.id == settings["grid"] } : frame.grids.first
          return "" unless grid&.drawn_on?(sheet.view)
          CoordinateGrid::Note.new(grid, grid.meshes(sheet.view, like: sheet.nominal_view).first).to_s
        end
      end
    end
  end
end
