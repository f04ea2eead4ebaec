# frozen_string_literal: true

module TileLoom
  module Layout
    module Elements
      # The rectangle that shows the sheet's ground: layers, coordinate grids, border.
      class MapFrame < Element
        def nodes(sheet, _box)
          view = sheet.view
          [*ground_nodes(sheet, view), *grids.flat_map { |grid| grid.draw(view) }, border(view.frame)]
        end

        def grids = (settings["grids"] || []).map { |grid| CoordinateGrid::Grid.new(grid) }

        private

        def ground_nodes(sheet, view)
          [Scene::Group.new(children: sheet.ground_drawing(view).nodes, clip: view.frame, name: "ground")]
        end

        def border(frame)
          stroke = Ground::Symbol.stroke(settings["border"] || {"colour" => "#1f2a30", "width_mm" => 0.35})
          stroke.join = "miter"
          Scene::Path.new(runs: [frame.corners], closed: true, stroke: stroke)
        end
      end
    end
  end
end
