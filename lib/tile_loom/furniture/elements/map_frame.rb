# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The rectangle that shows the sheet's ground: layers, coordinate grids, border.
      class MapFrame < Element
        kind "map_frame", "Map frame", rank: 1
        start "border" => {"width_mm" => 0.4}, "grids" => []
        only_one "furniture.one_map_frame"
        refused_on index: "furniture.map_frame_on_index_sheet"

        include Gridded

        part :match_lines, MatchLines.type, about: "Where neighbouring sheets take over, with their names."

        def self.turns? = false

        def decides_cells? = true

        def nodes(sheet, _box)
          view = sheet.view
          under, over = surround_nodes(sheet, view)
          [*under, *ground_nodes(sheet, view), *match_line_nodes(sheet, view), *credits(sheet, view), *over]
        end

        def view_on(sheet) = sheet.view

        def spoken(sheet) =
          "Map of sheet #{sheet.name} at #{Units::Number.ratio(sheet.stated_scale)}#{shown_in_words(sheet)}."

        # What lies in the frame, without border and labels beside it.
        def inside(sheet)
          view = sheet.view
          surround = surround(view, sheet, bordered: false)
          [
            *surround.under,
            *ground_nodes(sheet, view),
            *match_line_nodes(sheet, view),
            *credits(sheet, view),
            *surround.over
          ]
        end

        def legend_entries(sheet) = sheet.ground_entries(view_on(sheet))

        def shown_layers(sheet) = sheet.ground_drawing(view_on(sheet)).layers

        def left_out(sheet)
          return [] if hidden?
          drawn = sheet.ground_drawing(view_on(sheet))
          [*super, *drawn.names_left_out, *drawn.told]
        end

        private

        # Grids, labels and border: [below the ground, above it].
        def surround_nodes(sheet, view)
          sheet.part(
            "surround",
            JSON.generate(given.slice("grids", "border")),
            sheet.book.key_of("crs", "faces"),
            sheet.page.width_mm,
            sheet.page.height_mm,
            *view.place,
            *sheet.nominal_view&.place
          ) { surround(view, sheet).then { |surround| [surround.under, surround.over] } }
        end

        def ground_nodes(sheet, view)
          [Scene::Group.new(children: sheet.ground_drawing(view).nodes, clip: view.frame, name: "ground")]
        end

        def match_line_nodes(sheet, view)
          return [] unless match_lines
          lines = Index::MatchLine.of(sheet.cell, sheet.neighbours)
          face = typeface(match_lines.face)
          lines.map do |line|
            View::MatchLineDrawing.new(
              line,
              view,
              stroke: match_lines.stroke,
              face: face,
              size_pt: match_lines.size_pt
            ).group
          end
        end
      end
    end
  end
end
