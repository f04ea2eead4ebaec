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

        include Backed
        include Backed::Cornered

        part :text, text(most: 10_000), required: true
        part :face, Values::Types::FACE, default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 9
        part :colour, Values::Types::COLOUR, default: "#1f2a30"
        part :align, choice(left: "left", centre: "centred", right: "right", justify: "justified"), default: "left"
        part :anchor, choice(top: "top", middle: "middle", bottom: "bottom"), default: "top"
        part :tracking_pt, number(-20..100), default: 0
        part :line_height, number(0.5..5), default: 1.2
        part :minimum_pt, Values::Types::SIZE_PT, about: "Down to which size it may shrink to fit its box."
        part :markup,
          flag,
          default: false,
          about: "Has it tags for its looks: b, i, u, s, sup, sub, span, p, br, ul, ol and li, as in HTML?"
        part :paragraph_gap_mm, number(0..200), default: 0
        part :first_indent_mm, number(-200..200), default: 0, about: "Of the first line of each paragraph."
        part :indent_mm, number(0..1000), default: 0
        part :right_indent_mm, number(0..1000), default: 0
        part :tabs, list(Type::TabStop.type, most: 40), default: []
        part :columns, whole(1..12), default: 1
        part :column_gap_mm, number(0..500), default: 4
        part :hyphenate, flag, default: false, about: "May words be broken at line ends, as the book's language has it?"
        part :padding_mm, Values::Types::LENGTH_MM, default: 0
        part :stroke, Scene::Stroke::TYPE, under: {"join" => "miter"}

        def text? = true

        def nodes(sheet, box)
          string = string(sheet)
          room = box.grow(-padding_mm)
          backing = backing(box)
          return backing if room.width <= 0 || room.height <= 0
          set = fitting(string, room, sheet).set(room)
          texts = set.grep(Scene::Text)
          [*backing, *set, *texts.flat_map { |text| WebAddresses.links(text) }, *neighbour_links(sheet, texts)]
        end

        # Live text of the name of one sheet beside this one.
        NEIGHBOUR = /\{\{\s*neighbours\.(\w+)/

        def templates = [["#{path}/text", text]]

        # Does the text of a sheet stand in its box?
        def fits?(sheet)
          string = string(sheet)
          room = box(sheet.page).grow(-padding_mm)
          fitting(string, room, sheet).fits?(room)
        end

        # Refuses tags that are none.
        def check_text(string, path) = markup? ? marked(string, style(size_pt), 1.0, path).paragraphs : nil

        def left_out(sheet)
          return [] if hidden?
          [(OVER % title unless fits?(sheet)), *unset(sheet)].compact
        end

        OVER =
          "The text “%s” takes more room than its box, so that it runs over what stands beside or below it; make the " \
            "box larger, or let the text shrink."

        private

        def tag(_sheet, box) = Scene::Tag.new(role: :text, size_pt: size_pt, place: [box.min_x, box.min_y])

        # A text that names a sheet beside this one leads there.
        def neighbour_links(sheet, texts)
          directions = templates.map(&:last).join.scan(NEIGHBOUR).flatten.uniq
          cell = directions.one? ? sheet.neighbours[directions.first] : nil
          return [] unless cell && texts.any?
          box = texts.map { |line| line_box(line) }.reduce { |all, other| all.union(other) }
          [
            Scene::Link.new(
              ring: box.corners,
              sheet: cell.number,
              words: "#{sheet.book.language.word(:sheet)} #{cell.name}"
            )
          ]
        end

        def line_box(line) =
          Geometry::Box.new(
            line.x,
            line.y - line.face.ascent_mm(line.size_pt),
            line.x + line.face.width_mm(line.string, line.size_pt, tracking_pt: line.tracking_pt),
            line.y - line.face.descent_mm(line.size_pt)
          )

        # What it says on a sheet; values come into a text with tags as they are, without any of their own.
        def string(sheet) =
          sheet.live_text(text, path: "#{path}/text", written: markup? ? Type::Markup.method(:escape) : nil)

        def style(size) =
          Type::TextStyle.new(face: typeface(face), size_pt: size, colour: colour, tracking_pt: tracking_pt)

        def marked(string, style, scale, path) =
          Type::Markup.new(string, base: style, scale: scale, path: path, faces: faces.method(:variant))

        # A Type::TextBlock of it at a size.
        def block(string, size, sheet)
          base = style(size)
          paragraphs =
            if markup?
              marked(string, base, size / size_pt.to_f, "#{path}/text").paragraphs
            else
              Type::Paragraph.plain(string, base)
            end
          Type::TextBlock.new(paragraphs, base: base, manner: manner(sheet))
        end

        def manner(sheet) =
          Type::TextBlock::Manner.new(
            align: align,
            anchor: anchor,
            leading: line_height,
            first_indent_mm: first_indent_mm,
            indent_mm: indent_mm,
            right_indent_mm: right_indent_mm,
            paragraph_gap_mm: paragraph_gap_mm,
            stops: tabs,
            columns: columns,
            column_gap_mm: column_gap_mm,
            hyphenation: hyphenate? ? hyphenation(sheet) : nil
          )

        def hyphenation(sheet) = Type::Hyphenation.of(sheet.book.language.tag)

        # What of its looks cannot be had, in sentences.
        def unset(sheet)
          notices = []
          if hyphenate? && hyphenation(sheet).nil?
            notices << "The text “#{title}” is not hyphenated, as there are no patterns for the book's language " \
              "(#{sheet.book.language.tag})."
          end
          return notices unless markup?
          marked = marked(string(sheet), style(size_pt), 1.0, "#{path}/text").tap(&:paragraphs)
          notices +
            marked.without.map do |name|
              "The text “#{title}” asks for #{name} type, which the family #{typeface(face).family} has not."
            end
        end

        # The largest size that fits, between the least and the wanted one.
        def fitting(string, room, sheet)
          return block(string, size_pt, sheet) unless minimum_pt
          sizes = Type::Shrinking.sizes(size_pt, minimum_pt)
          sizes.lazy.map { |size| block(string, size, sheet) }.find { |block| block.fits?(room) } ||
            block(string, sizes.last, sheet)
        end
      end
    end
  end
end
