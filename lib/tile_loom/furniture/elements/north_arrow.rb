# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # An arrow to grid, true or magnetic north of the frame's middle, or of the place nearest to the arrow; it
      # turns with the frame. The letter at its tip stays upright.
      class NorthArrow < Element
        kind "north_arrow", "North arrow", rank: 4
        size_mm 18, 22

        include OfFrame

        part :colour, Values::Types::COLOUR, default: "#1f2a30"
        part :north,
          choice("grid" => "grid north", "true" => "true north", "magnetic" => "magnetic"),
          default: "grid",
          about: "Which north it points to."
        part :form, text(most: 40), default: "needle", about: "One of the shipped drawings."
        part :drawing,
          Values::Types::ID,
          about: "One of the book's own drawings, pointing up, in place of a shipped one."
        part :picture, Values::Types::ID, about: "One of the book's own pictures, pointing up, in place of both."
        part :letter,
          text(most: 5),
          about: "At its tip; that of the book's language where none is given, empty for none."
        part :at,
          choice(frame: "middle", here: "beside it"),
          default: "frame",
          about: "North of the frame's middle, or of the place nearest to the arrow."
        part :face, Values::Types::FACE, default: "sans-bold"

        # How much of the smaller side arrow and letter take; the letter's height and its distance from the tip.
        ARROW, LETTER, APART = 0.72, 0.16, 0.1

        def self.turns? = false

        SPOKEN = {"grid" => :spoken_arrow, "true" => :spoken_arrow_true, "magnetic" => :spoken_arrow_magnetic}.freeze

        def spoken(sheet) = sheet.book.language.word(SPOKEN.fetch(north))

        def nodes(sheet, box)
          norths = norths(sheet, box)
          turn = norths.on_page(north) || raise(norths.refusal.at("#{path}/north"))
          size = [box.width, box.height].min
          x, y = box.centre
          arrow = Scene::Turn.new(turn, x, y).nodes(upright(sheet, x, y, size * ARROW))
          mark = letter || sheet.book.language.word(:north_letter)
          if mark.empty?
            arrow
          else
            [
              *arrow,
              letter_at(mark, Geometry::Affine.turn(turn, x, y).point(x, y - size * (tip * ARROW + APART)), size)
            ]
          end
        end

        # Refuses a form that does not ship, and a drawing that the book has not.
        def check_drawings = shapes

        def pictures = picture ? [["#{path}/picture", picture]] : []

        # The View::Norths that it follows.
        def norths(sheet, box)
          return stated_norths(sheet) unless at == "here"
          view = stated_view(sheet)
          View::Norths.new(view, sheet.book.parsed_date, at: nearest(view.frame, box))
        end

        private

        # Its Artwork::Drawing.
        def shapes =
          if drawing
            (assets || Symbology::Assets.shipped).markers.drawing(drawing, path: "#{path}/drawing")
          else
            NorthArrowSet.drawing(form, path: "#{path}/form")
          end

        # Pointing up, about a place, its larger side that long.
        def upright(sheet, x, y, size)
          return shapes.paths([x, y], size, colour: colour) unless picture
          raster = sheet.book.pictures.picture(picture, path: "#{path}/picture")
          per_px = size / [raster.width_px, raster.height_px].max
          [Scene::Image.about([x, y], raster: raster, mm_per_px: per_px)]
        end

        # How far the drawing's tip is from its middle, as a share of its size.
        def tip
          return 0.5 if picture
          -shapes.shapes.flat_map(&:runs).flat_map { |run| run.each_slice(2).map(&:last) }.min
        end

        # The place of the frame that is nearest to the arrow.
        def nearest(frame, box)
          x, y = box.centre
          [x.clamp(frame.min_x, frame.max_x), y.clamp(frame.min_y, frame.max_y)]
        end

        def letter_at(mark, place, size) =
          Scene::Text.about(
            place,
            string: mark,
            face: typeface(face),
            size_pt: size * LETTER / Type::Face::MM_PER_PT,
            colour: colour
          )
      end
    end
  end
end
