# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Rows
      # A coordinate grid of the frame: what it counts in, and how far its lines lie apart.
      class Grid < Row
        kind "grid", "Grid", rank: 6
        part :grid, Values::Types::ID, about: "Which of the frame's; the first one where none is named."
        part :title, text(most: 500), about: "In place of \"Grid\", or what the book's language has for it."

        def name(_entries) = title || "Grid"

        def block(_placed, manner, width)
          grid, mesh = manner.sheet.main_frame&.grid_on(manner.sheet, self.grid)
          return nil if mesh.nil? || mesh.trouble
          language = manner.sheet.book.language
          spacing = language.going_on(CoordinateGrid::Note.new(grid, mesh, language).spacing)
          words = "#{title || language.word(:grid)}: #{mesh.crs.name}, #{spacing}"
          manner.row(words, width) { |room| sample(grid, room) }
        end

        private

        def sample(grid, room)
          y = room.centre[1]
          [Scene::Path.new(runs: [[room.min_x, y, room.max_x, y]], closed: false, stroke: grid.stroke)]
        end
      end
    end
  end
end
