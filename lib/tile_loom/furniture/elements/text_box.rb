# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # Text with live text (Liquid), wrapped in its box, on a panel of its own if wanted. It may shrink
      # to fit, down to a least size.
      class TextBox < Element
        kind "text", "Text", rank: 2
        size_mm 50, 8
        start "text" => "Text", "size_pt" => 10
        part :text, text(most: 10_000), required: true
        part :face, Values::Types::FACE, default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 9
        part :colour, Values::Types::COLOUR, default: "#1f2a30"
        part :align, choice("left", "centre", "right", "justify"), default: "left"
        part :anchor, choice("top", "middle", "bottom"), default: "top"
        part :tracking_pt, number(-20..100), default: 0
        part :line_height, number(0.5..5), default: 1.2
        part :minimum_pt, Values::Types::SIZE_PT, about: "Down to which size it may shrink to fit its box."
        part :padding_mm, Values::Types::LENGTH_MM, default: 0
        part :fill, Scene::Fill::TYPE
        part :stroke, Scene::Stroke::TYPE, under: {"join" => "miter"}
        part :corner_mm, Values::Types::LENGTH_MM, default: 0

        STEP_PT = 0.25

        def text? = true

        def nodes(sheet, box)
          string = string(sheet)
          room = box.grow(-padding_mm)
          backing = (fill || stroke) ? panel(box, fill, stroke, corner_mm) : []
          return backing if room.width <= 0 || room.height <= 0
          texts = fitting(string, room).set(string, room)
          [*backing, *texts, *texts.flat_map { |text| WebAddresses.links(text) }, *neighbour_links(sheet, texts)]
        end

        # Live text of the name of one sheet beside this one.
        NEIGHBOUR = /\{\{\s*neighbours\.(\w+)/

        def templates = [["#{path}/text", text]]

        # Does the text of a sheet stand in its box?
        def fits?(sheet)
          string = string(sheet)
          room = box(sheet.page).grow(-padding_mm)
          fitting(string, room).fits?(string, room)
        end

        def left_out(sheet)
          return [] if hidden? || fits?(sheet)
          [
            "The text “#{title}” takes more room than its box, so that it runs over what stands beside or below it; " \
            "make the box larger, or let the text shrink."
          ]
        end

        private

        def tag(_sheet, box) = Scene::Tag.new(role: :text, size_pt: size_pt, place: [box.min_x, box.min_y])

        # A text that names a sheet beside this one leads there.
        def neighbour_links(sheet, texts)
          directions = templates.map(&:last).join.scan(NEIGHBOUR).flatten.uniq
          cell = directions.one? ? sheet.neighbours[directions.first] : nil
          return [] unless cell && texts.any?
          box = texts.map { |line| line_box(line) }.reduce { |all, other| all.union(other) }
          [Scene::Link.new(ring: box.corners, sheet: cell.number, words: "Sheet #{cell.name}")]
        end

        def line_box(line) =
          Geometry::Box.new(
            line.x,
            line.y - line.face.ascent_mm(line.size_pt),
            line.x + line.face.width_mm(line.string, line.size_pt, tracking_pt: line.tracking_pt),
            line.y - line.face.descent_mm(line.size_pt)
          )

        # What it says on a sheet.
        def string(sheet) = sheet.live_text(text, path: "#{path}/text")

        def setting(size) =
          Type::Setting.new(
            face: typeface(face),
            size_pt: size,
            colour: colour,
            align: align,
            anchor: anchor,
            leading: line_height,
            tracking_pt: tracking_pt
          )

        # The largest size that fits, between the least and the wanted one.
        def fitting(string, room)
          least = minimum_pt or return setting(size_pt)
          size = size_pt
          size -= STEP_PT while size > least && !setting(size).fits?(string, room)
          setting([size, least].max)
        end
      end
    end
  end
end
