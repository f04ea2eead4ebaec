# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A frame beside the main one: more of the ground, less of it, other ground, or the globe, in a reference of its
      # own if wanted.
      class Inset < Element
        kind "inset", "Inset", rank: 2
        size_mm 60, 45
        start "border" => {"width_mm" => 0.25}, "fill" => {"colour" => "#ffffff"}, "extent" => {"kind" => "sheet"}

        include Framed

        part :extent, Frames::Extent.union, default: {"kind" => "sheet"}, about: "Which ground it shows."
        part :crs, text(least: 1, most: 20_000), default: "book", about: "\"book\", or another CRS."
        part :globe, Frames::Globe.type
        part :letter, text(most: 5), about: "By which it is known in the frames that show its outline."
        part :letter_pt, Values::Types::SIZE_PT, default: 11

        def self.turns? = false

        # nil where a sheet has nothing for it to show.
        def view_on(sheet)
          sheet.once(:frame_view, id) do
            box = box(sheet.page)
            next globe.view(sheet, box) if globe
            crs = crs_of(sheet.book)
            ground = sheet.viewing(id) { extent.ground(sheet, box, crs) }
            ground && View::FrameView.new(frame: box, ground: ground, crs: crs)
          end
        end

        def spoken(sheet)
          return nil unless view_on(sheet)
          return sheet.book.language.word(:spoken_globe) if globe
          "#{own_title || self.class.title}: #{extent.words(sheet)}#{shown_in_words(sheet)}."
        end

        # The Crs::System that its ground lies in; Refusal for one that cannot be drawn in.
        def crs_of(book)
          return book.crs if crs == "book"
          Crs::System.find(crs, operations: book.operations).for_fixed_scale!(path: "#{path}/crs")
        end

        # The frame whose detail it is, or nil.
        def detail_of = extent.is_a?(Frames::Extents::Detail) ? extent : nil

        def nodes(sheet, box) = super + letter_nodes(sheet, box)

        private

        def globe_nodes(sheet, view) = view.globe? ? globe.nodes(sheet, view) : super

        def located(sentence) = shows_index? ? sentence : "In “#{title}”: #{sentence}"

        # What all sheets have alike is worked out once.
        def surrounding(sheet, view) =
          if globe || extent.alike?
            sheet
              .book
              .once([:surrounding, id, view.crs.code, view.place, sheet.page.width_mm, sheet.page.height_mm]) { super }
          else
            super
          end

        def drawn(sheet, view)
          shown = shown(sheet, view)
          own = shown.layers.any? { |layer| layer.asks_sheet? || (layer.visible? && layer.tiles) }
          return super if globe || !extent.alike? || veil || own
          sheet.book.once([:frame_ground, id, view.crs.code, view.place, sheet.ppi, shown.key, shown.names]) { super }
        end

        def nothing_shown(sheet)
          # A detail of a place is on the sheets of that place alone, as it should be.
          return [] if detail_of&.at || sheet.cell.nil?
          ["“#{title}” has nothing to show on this sheet (#{extent.words(sheet)})."]
        end

        def letter_nodes(sheet, box)
          return [] if letter.to_s.empty? || view_on(sheet).nil?
          face = typeface("sans-bold")
          [
            Scene::Text.new(
              x: box.min_x + 1.4,
              y: box.min_y + 1.4 + face.cap_height_mm(letter_pt),
              string: letter,
              face: face,
              size_pt: letter_pt,
              halo: Scene::Stroke.new(colour: "#ffffff", width_mm: 0.9)
            )
          ]
        end
      end
    end
  end
end
