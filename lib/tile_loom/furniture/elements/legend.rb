# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # What the symbols of the visible layers mean: a row for each rule, class or ramp that the
      # sheet shows.
      class Legend < Element
        kind "legend", "Legend", rank: 5
        size_mm 50, 80
        start "size_pt" => 8, "pitch_mm" => 5.4
        part :pitch_mm, number(above: 0, most: 100), default: 5.2
        part :face, Values::Types::FACE, default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 8
        part :colour, Values::Types::COLOUR, default: "#1f2a30"

        SWATCH_MM = 8.0

        def self.turns? = false

        def nodes(sheet, box)
          rows(sheet)
            .first(fitting(box))
            .each_with_index
            .flat_map do |entry, index|
              top = box.min_y + index * pitch_mm
              room = Geometry::Box.at(box.min_x, top, SWATCH_MM, pitch_mm)
              [*(entry.bar ? bar(entry.bar, room) : swatch(entry.symbol, room)), *name(entry, box, top)]
            end
        end

        def spoken(sheet) = "Legend: #{rows(sheet).first(fitting(box(sheet.page))).map(&:title).join(", ")}."

        MOST_NAMED = 5

        def left_out(sheet)
          rows, fitting = rows(sheet), fitting(box(sheet.page))
          return [] if hidden? || rows.length <= fitting
          lost = rows.drop(fitting).map { |entry| "“#{entry.title}”" }
          named = Sentences.listed(lost, MOST_NAMED)
          [
            "The legend has room for #{fitting} of #{rows.length} rows; left out: #{named}. Make it higher, or its " \
            "rows closer."
          ]
        end

        private

        def rows(sheet) = sheet.legend_entries.reverse

        # A thousandth of a row is rounding.
        def fitting(box) = [(box.height / pitch_mm + 0.001).floor, 0].max

        def swatch(symbol, room)
          x, y = room.centre
          if symbol.area?
            return symbol.nodes(points: [x, y], rings: [Geometry::Box.at(room.min_x, y - 1.5, SWATCH_MM, 3.0).corners])
          end
          symbol.nodes(points: [x, y], lines: [[room.min_x, y, room.max_x, y]])
        end

        BAR_MM, STRIPS = 3.0, 48

        # Its colours side by side, low to high; strips reach under one another, so that no line shows between them.
        def bar(bar, room)
          top = room.centre[1] - BAR_MM / 2
          count = bar.stepped ? bar.colours.length : STRIPS
          strip = SWATCH_MM / count
          (0...count).map do |index|
            left = room.min_x + index * strip
            right = bar.stepped ? left + strip : room.max_x
            colour = Kernel.format("#%02x%02x%02x", *bar.at((index + 0.5) / count).map(&:round))
            Scene::Path.new(
              runs: [Geometry::Box.new(left, top, right, top + BAR_MM).corners],
              closed: true,
              fill: Scene::Fill.new(colour: colour)
            )
          end
        end

        def name(entry, box, top)
          room = Geometry::Box.new(box.min_x + SWATCH_MM + 2.5, top, box.max_x, top + pitch_mm)
          Type::Setting.new(face: typeface(face), size_pt: size_pt, colour: colour, anchor: "middle").set(
            entry.title,
            room
          )
        end
      end
    end
  end
end
