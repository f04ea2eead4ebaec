# frozen_string_literal: true

module TileLoom
  module Layout
    module Elements
      # A needle that points to grid, true or magnetic north of the sheet's middle, with an N at its tip.
      class NorthArrow < Element
        def nodes(sheet, box)
          norths = Sheet::Norths.new(sheet.view, sheet.book.parsed_date)
          turn = (norths.on_page(settings.fetch("north", "grid")) || norths.grid_on_page) * Math::PI / 180
          centre_x, centre_y = box.centre
          size = [box.width, box.height].min
          needle = size * 0.36
          map = turned(turn, centre_x, centre_y)
          [
            Scene::Path.new(runs: [map.map([0, -needle, needle * 0.3, needle, 0, needle * 0.62])], closed: true, fill: Scene::Fill.new(colour: colour)),
            Scene::Path.new(runs: [map.map([0, -needle, -needle * 0.3, needle, 0, needle * 0.62])], closed: true,
              fill: Scene::Fill.new(colour: "#ffffff"), stroke: Scene::Stroke.new(colour: colour, width_mm: 0.15, join: "miter")),
            letter(map, needle, size)
          ]
        end

        private

        def turned(angle, x, y)
          Geometry::Affine.new(Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), x, y)
        end

        def letter(map, needle, size)
          bold = Type::Library.face("sans-bold")
          size_pt = size * 0.16 / Type::Face::MM_PER_PT
          x, y = map.point(0, -needle - size * 0.1)
          Scene::Text.new(x: x - bold.width_mm("N", size_pt) / 2, y: y + bold.cap_height_mm(size_pt) / 2,
            string: "N", face: bold, size_pt: size_pt, colour: colour)
        end
      end
    end
  end
end
