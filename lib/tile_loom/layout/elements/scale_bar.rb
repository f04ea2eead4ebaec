# frozen_string_literal: true

module TileLoom
  module Layout
    module Elements
      # A bar of alternating dark and light parts, of a round ground length that fits its room. Its
      # length on paper is measured on the ellipsoid at the sheet's centre, along the bar.
      class ScaleBar < Element
        HEIGHT_MM = 1.6

        def nodes(sheet, box)
          length = length_for(sheet.view, box)
          paper = sheet.view.paper_mm(length.metres.to_f)
          left = box.min_x + margin(box)
          top = box.min_y + label_height + 0.8
          [*bar(left, top, paper, parts(length)), *captions(left, top, paper, length)]
        end

        # The round Units::Length that the bar shows in this view.
        def length_for(view, box)
          room = box.width - 2 * margin(box)
          metres = view.ground_m(room)
          unit = fitting_unit(metres)
          round = CoordinateGrid::Series.at_most(metres / unit.metres.to_f)
          Units::Length.new(round, unit)
        end

        private

        # Room for half of the end labels beside the bar.
        def margin(_box) = 5.0

        def size_pt = settings.fetch("size_pt", 7).to_f

        def label_height = face.cap_height_mm(size_pt)

        UNITS = {"metric" => %w[km m], "imperial" => %w[mi ft], "nautical" => %w[nmi m], "survey" => %w[mi us-ft]}.freeze

        # The larger unit where the bar is at least one of it long, else the smaller.
        def fitting_unit(metres)
          large, small = UNITS.fetch(settings.fetch("units", "metric")).map { |code| Units::LengthUnit.find(code) }
          (metres >= large.metres) ? large : small
        end

        # 1 → 5 parts, 2 → 4, 5 → 5: each part is itself a round length.
        def parts(length) = (length.value.to_f.to_s[/[1-9]/] == "2") ? 4 : 5

        def bar(left, top, paper, count)
          step = paper / count
          boxes = (0...count).map { |index| Geometry::Box.at(left + index * step, top, step, HEIGHT_MM).corners }
          dark = boxes.each_slice(2).map(&:first)
          stroke = Scene::Stroke.new(colour: colour, width_mm: 0.15, join: "miter")
          [
            Scene::Path.new(runs: [Geometry::Box.at(left, top, paper, HEIGHT_MM).corners], closed: true, fill: Scene::Fill.new(colour: "#ffffff"), stroke: stroke),
            Scene::Path.new(runs: dark, closed: true, fill: Scene::Fill.new(colour: colour))
          ]
        end

        def captions(left, top, paper, length)
          count = parts(length)
          (0..count).map do |index|
            number = Units::Number.plain((length.value * index / count).to_f)
            width = face.width_mm(number, size_pt)
            number = "#{number} #{length.unit.symbol}" if index == count
            Scene::Text.new(x: left + paper * index / count - width / 2, y: top - 0.8, string: number, face: face, size_pt: size_pt, colour: colour)
          end
        end
      end
    end
  end
end
