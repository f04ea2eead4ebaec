# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The rectangle that shows the sheet's ground: layers, coordinate grids, border.
      class MapFrame < Element
        kind "map_frame", "Map frame", rank: 1
        start "border" => {"width_mm" => 0.4}, "grids" => []
        only_one "furniture.one_map_frame"
        refused_on index: "furniture.map_frame_on_index_sheet", pages: "furniture.map_frame_on_page"

        include Framed

        part :match_lines, MatchLines.type, about: "Where neighbouring sheets take over, with their names."

        def self.turns? = false

        def decides_cells? = true

        def view_on(sheet) = sheet.view

        def spoken(sheet) =
          sheet.book.language.then do |language|
            language.word(
              :spoken_map,
              name: sheet.name,
              scale: language.ratio(sheet.stated_scale),
              shown: shown_in_words(sheet)
            )
          end

        private

        def over_ground(sheet, view)
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
