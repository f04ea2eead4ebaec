# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # Arrows to true, grid and magnetic north, with the angles between them in words below. Norths that had to be
      # drawn further apart than they are, are marked as not to scale.
      class NorthDiagram < Element
        kind "north_diagram", "Declination diagram", rank: 15
        size_mm 34, 44

        include OfFrame

        part :face, Values::Types::FACE, default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 6.5
        part :colour, Values::Types::COLOUR, default: "#1f2a30"

        LEADING = 1.25
        LINES = 5

        def spoken(sheet) = sheet.book.language.word(:spoken_norths)

        def nodes(sheet, box)
          norths = stated_norths(sheet)
          # One line more may have to say that the arrows are not to scale.
          room = Geometry::Box.new(box.min_x, box.min_y, box.max_x, [box.max_y - LINES * pitch, box.min_y].max)
          language = sheet.book.language
          type = {face: typeface(face), size_pt: size_pt, colour: colour}
          fan = NorthFan.new(directions(norths), room, **type, language: language)
          lines = words(norths, sheet.book.parsed_date, fan, language)
          note = Type::Setting.new(**type, align: "centre", leading: LEADING)
          [*fan.nodes, *note.set(lines.join("\n"), Geometry::Box.new(box.min_x, room.max_y, box.max_x, box.max_y))]
        end

        # A book without a date has none of the needle, which the diagram says itself; a date that the model does not
        # know is told.
        def left_out(sheet)
          return [] if hidden? || sheet.book.parsed_date.nil?
          norths = stated_norths(sheet)
          norths.declination_deg ? [] : [norths.trouble].compact
        end

        private

        def pitch = size_pt * LEADING * Type::Face::MM_PER_PT

        def words(norths, date, fan, language)
          angle = ->(name, degrees) { "#{language.word(name)} #{View::Norths.words(degrees, language)}" }
          lines = [angle.call(:convergence, norths.convergence_deg)]
          if norths.declination_deg
            lines << "#{angle.call(:declination, norths.declination_deg)} (#{language.month_and_year(date)})"
            lines << angle.call(:annual_change, norths.declination_change_deg)
            lines << angle.call(:grid_magnetic, norths.grid_magnetic_deg)
          else
            lines << language.word(:magnetic_north_unknown)
          end
          lines << language.word(:angles_not_to_scale) if fan.widened?
          lines
        end

        # kind → degrees clockwise on the page
        def directions(norths) =
          {
            "true" => norths.true_on_page,
            "grid" => norths.grid_on_page,
            "magnetic" => norths.magnetic_on_page
          }.compact
      end
    end
  end
end
