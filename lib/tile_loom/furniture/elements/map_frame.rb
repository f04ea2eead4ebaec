# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The rectangle that shows the sheet's ground: layers, coordinate grids, border.
      class MapFrame < Element
        include Gridded

        def nodes(sheet, _box)
          view = sheet.view
          under, over = surround_nodes(sheet, view)
          [*under, *ground_nodes(sheet, view), *match_lines(sheet, view), *over]
        end

        def view_on(sheet) = sheet.view

        private

        # Grids, labels and border: [below the ground, above it].
        def surround_nodes(sheet, view)
          sheet.part(
            "surround",
            JSON.generate(settings.slice("grids", "border")),
            JSON.generate(sheet.book.settings.slice("reference", "faces")),
            sheet.page.width_mm,
            sheet.page.height_mm,
            *view.place,
            *sheet.nominal_view&.place
          ) { surround(view, sheet).then { |surround| [surround.under, surround.over] } }
        end

        def ground_nodes(sheet, view)
          [Scene::Group.new(children: sheet.ground_drawing(view).nodes, clip: view.frame, name: "ground")]
        end

        def match_lines(sheet, view)
          given = settings["match_lines"] or return []
          lines = Index::MatchLine.of(sheet.cell, sheet.neighbours)
          stroke =
            TileLoom::Symbology::Symbol.stroke(
              {"colour" => "#8c2f39", "width_mm" => 0.3, "dash_mm" => [4.0, 1.2, 0.8, 1.2]}.merge(
                given.fetch("stroke", {})
              )
            )
          lines.map do |line|
            View::MatchLineDrawing.new(
              line,
              view,
              stroke: stroke,
              face: @faces.face(given.fetch("face", "sans-semibold")),
              size_pt: given.fetch("size_pt", 7).to_f
            ).group
          end
        end
      end
    end
  end
end
