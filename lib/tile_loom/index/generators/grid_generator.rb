# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Rows and columns over the study area.
      class GridGenerator < Generator
        def cells
          return fewest, nil if settings["fewest"]
          [
            Grid.new(
              area: area,
              size: size,
              overlap_mm: overlap_mm,
              keep: keep,
              start: start,
              turn_deg: turn,
              step: step
            ).cells,
            nil
          ]
        end

        private

        def keep = settings.fetch("keep", "touching")

        # Ground lengths by which neighbours are apart, in place of an overlap.
        def step = %w[x y].map { |axis| settings.dig("step", axis)&.then { |text| @index.ground(text, @crs) } }

        def turn = (settings["turn"] == "best") ? area.best_turn_deg : settings.fetch("turn", 0).to_f

        def start
          given = settings["start"] or return Grid::CENTRED
          Grid::Start.new(
            kind: given["kind"],
            x: given["x"],
            y: given["y"],
            multiple: given["multiple"] && @index.ground(given["multiple"], @crs)
          )
        end

        # Grid lines of the fewest sheets lie where the search puts them: start and turn of the settings rest.
        def fewest
          found =
            FewestSheets.new(
              area: area,
              size: size,
              overlap_mm: overlap_mm,
              keep: keep,
              turns: settings["fewest"] == "turned"
            ).find
          saved =
            (found.saved.zero? ? "none fewer than" : "#{found.saved} fewer than the #{found.plain} of") +
            " the plain grid"
          turned =
            found.grid.turn_deg.zero? ? "" : ", turned by #{Units::Number.plain(found.grid.turn_deg, decimals: 1)}°"
          @notes << "The fewest sheets found: #{found.cells.length}, #{saved}#{turned}. No cover can do with fewer " \
            "than #{found.bound}."
          found.cells
        end
      end
    end
  end
end
