# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The diagram of adjoining sheets: this one in the middle, the names of those around it in their places.
      class Adjoining < Element
        kind "adjoining", "Adjoining sheets", rank: 13
        size_mm 36, 27
        refused_on index: "furniture.adjoining_on_index_sheet", pages: "furniture.adjoining_on_page"
        start "size_pt" => 7
        part :face, Values::Types::FACE, default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 7
        part :colour, Values::Types::COLOUR, default: "#1f2a30"

        PLACES = {
          "north_west" => [0, 0],
          "north" => [1, 0],
          "north_east" => [2, 0],
          "west" => [0, 1],
          "east" => [2, 1],
          "south_west" => [0, 2],
          "south" => [1, 2],
          "south_east" => [2, 2]
        }.freeze
        # What a name keeps from the sides of its place, and how small it may become.
        ROOM, LEAST_PT = 0.84, 2.5

        def self.turns? = false

        def nodes(sheet, box)
          around = sheet.neighbours
          cells =
            PLACES
              .select { |direction, _| around.key?(direction) }
              .map { |direction, place| [place, around[direction]] }
          [
            outlines(box, cells.map(&:first)),
            here(box),
            *[*cells, [[1, 1], sheet]].flat_map { |place, known| name(box, place, known.name) },
            *cells.map { |place, cell| link(box, place, cell, sheet.book.language) }
          ]
        end

        def spoken(sheet)
          language = sheet.book.language
          around =
            sheet.neighbours.map do |direction, cell|
              "#{direction.split("_").map { |way| language.letter(way) }.join} #{cell.name}"
            end
          language.word(:spoken_adjoining, name: sheet.name, around: around.join(", "))
        end

        private

        def part(box, (column, row)) =
          Geometry::Box.at(
            box.min_x + column * box.width / 3,
            box.min_y + row * box.height / 3,
            box.width / 3,
            box.height / 3
          )

        def link(box, place, cell, language) =
          Scene::Link.new(
            ring: part(box, place).corners,
            sheet: cell.number,
            words: "#{language.word(:sheet)} #{cell.name}"
          )

        def stroke = Scene::Stroke.new(colour: colour, width_mm: 0.15, join: "miter")

        def outlines(box, places) =
          Scene::Path.new(
            runs: [*places, [1, 1]].map { |place| part(box, place).corners },
            closed: true,
            stroke: stroke
          )

        def here(box) =
          Scene::Path.new(
            runs: [part(box, [1, 1]).corners],
            closed: true,
            fill: Scene::Fill.new(colour: colour, opacity: 0.16),
            stroke: Scene::Stroke.new(colour: colour, width_mm: 0.4, join: "miter")
          )

        def name(box, place, string)
          room = part(box, place)
          used = (place == [1, 1]) ? typeface("sans-bold") : typeface(face)
          size = [size_pt, size_pt * room.width * ROOM / used.width_mm(string, size_pt)].min
          return [] if size < LEAST_PT
          [Scene::Text.about(room.centre, string: string, face: used, size_pt: size, colour: colour)]
        end
      end
    end
  end
end
