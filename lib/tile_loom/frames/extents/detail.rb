# frozen_string_literal: true

module TileLoom
  module Frames
    module Extents
      # A part of another frame of the page, so many times as large as there. It stays where it is in that frame, on any
      # sheet, or at a place of the ground, on the sheets that show that place.
      class Detail < Extent
        kind "detail", "a detail of another frame", rank: 6
        part :frame, Values::Types::ID, about: "Of which frame of the page; of its main one where none is named."
        part :times, number(1..1000), default: 4, about: "So many times as large as there."
        part :at_mm,
          list(Values::Number.new(-5000..5000), least: 2, most: 2),
          about: "Its middle in that frame: from the frame's left and upper edge."
        part :at,
          list(Values::Number.new(-1e9..1e9), least: 2, most: 2),
          about: "Or on the ground: [easting, northing]."

        def alike? = false

        def ground(sheet, box, crs)
          of = sheet.view_of(frame) or return nil
          centre = middle(of) or return nil
          per_mm = of.units_per_mm * of.crs.metres_per_unit / crs.metres_per_unit / times
          place = (crs == of.crs) ? centre : Crs::Transform.between(of.crs, crs).forward(centre)
          return nil unless place.all?(&:finite?)
          Geometry::TurnedRectangle.new(
            *place,
            box.width * per_mm,
            box.height * per_mm,
            of.ground.rotation_deg + rotation_deg
          )
        end

        private

        # On the ground that the other frame shows; nil where the place is on another sheet.
        def middle(of)
          return of.to_ground([of.frame.min_x + at_mm[0], of.frame.min_y + at_mm[1]]) if at_mm
          of.frame.include?(*of.to_page(at)) ? at : nil
        end

        def settle
          super
          raise Refusal.new("frame.detail_nowhere", at: path) if at_mm.nil? == at.nil?
        end
      end
    end
  end
end
