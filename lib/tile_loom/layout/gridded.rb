# frozen_string_literal: true

module TileLoom
  module Layout
    # Frames that carry coordinate grids and a border.
    module Gridded
      def grids = (settings["grids"] || []).each_with_index.map { |grid, index| CoordinateGrid::Grid.new(grid, faces: @faces, path: "#{path}/grids/#{index}") }

      # The CoordinateGrid::Surround of the frame on a sheet; grids: others to try, or the frame's own; endless: as if
      # the paper had no end.
      def surround(view, sheet, grids: self.grids, endless: false)
        CoordinateGrid::Surround.new(view: view, grids: grids, border: settings.fetch("border", {}), paper: endless ? nil : Geometry::Box.new(0, 0, sheet.page.width_mm, sheet.page.height_mm), like: sheet.nominal_view, letters_face: @faces.face("sans-semibold"))
      end
    end
  end
end
