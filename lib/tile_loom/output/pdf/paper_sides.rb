# frozen_string_literal: true

require "zlib"

module TileLoom
  module Output
    module Pdf
      # Pages of a book on sides of other paper: each page is written once, as an object that sides place.
      class PaperSides
        PER_MM = 72 / 25.4
        MARK_PT, LABEL_PT = 0.25, 6

        # inks: Inks in which marks are drawn; face: of the words in the margin.
        def initialize(file, resources, tree:, inks:, face:, trimmed:)
          @file, @resources, @tree, @inks, @face, @trimmed = file, resources, tree, inks, face, trimmed
          @forms = []
        end

        # A finished Page, by its place among the pages.
        def add_page(page)
          head = page.head
          outside, width, height = head.values_at("outside_pt", "width_pt", "height_pt")
          stream, resources = page.streams, @resources.of_page(page)
          members = {
            Type: :XObject,
            Subtype: :Form,
            BBox: [0, 0, width + 2 * outside, height + 2 * outside],
            Resources: resources
          }
          members[:Group] = @resources.group if @resources.transparent?(head)
          @forms << [@file.add(members, stream: stream.first), head]
        end

        # A side; returns its object and what it is listed by. side: an Imposition::Side.
        def add_side(side)
          @side = side
          content = side.placed.map { |item| placed(item) }.join << marks << words
          box = [0, 0, side.width * PER_MM, side.height * PER_MM]
          reference =
            @file.add(
              {
                Type: :Page,
                Parent: @tree,
                MediaBox: box,
                TrimBox: @trimmed ? box : nil,
                Contents: @file.add({}, stream: Zlib::Deflate.deflate(content, 6)),
                Resources: resources,
                Group: @resources.group
              }.compact
            )
          [
            reference,
            {"title" => title, "name" => side.title, "height_pt" => side.height * PER_MM, "outside_pt" => 0}
          ]
        end

        private

        def title
          names = @side.placed.map { |item| @forms[item.page][1]["name"] }.uniq.join(", ")
          @side.words ? "#{names}, #{@side.words}" : names
        end

        def resources
          found = {XObject: @side.placed.map(&:page).uniq.to_h { |page| [:"P#{page}", @forms[page][0]] }}
          return found unless @side.words
          keys = @face.runs(title).map { |run| run.face.key }.uniq
          found.merge(Font: keys.to_h { |key| [Names.font(key).to_sym, @resources.font(key)] })
        end

        # A page at its place, as operators. The paper beyond its cut edges falls away.
        def placed(item)
          outside, width, height = @forms[item.page][1].values_at("outside_pt", "width_pt", "height_pt")
          factor = item.factor
          left, bottom = item.x * PER_MM, (@side.height - item.y) * PER_MM - height * factor
          box = item.clip ? clip_box(item.clip) : [left, bottom, width * factor, height * factor]
          matrix = [factor, 0, 0, factor, left - outside * factor, bottom - outside * factor]
          "q #{reals(box)} re W n #{reals(matrix)} cm /P#{item.page} Do Q\n"
        end

        def clip_box(box) = [box.min_x, @side.height - box.max_y, box.width, box.height].map { |mm| mm * PER_MM }

        def marks
          lines =
            @side.marks.map do |x1, y1, x2, y2|
              from, to = [[x1, y1], [x2, y2]].map { |x, y| reals([x * PER_MM, (@side.height - y) * PER_MM]) }
              "#{from} m #{to} l\n"
            end
          "q #{@inks.operators(Inks::BLACK, stroke: true)} #{MARK_PT} w\n#{lines.join}S Q\n"
        end

        # The name of a part, at the foot of the paper.
        def words
          return "" unless @side.words
          node = Scene::Text.new(x: 0, y: 0, string: title, face: @face, size_pt: LABEL_PT, colour: Inks::BLACK)
          place = reals([@side.placed.first.clip.min_x * PER_MM + 20, LABEL_PT])
          "q #{@inks.operators(Inks::BLACK)} BT 1 0 0 1 #{place} Tm #{@face.runs(title).map { |run| shown(run, node) }.join(" ")} ET Q\n"
        end

        def shown(run, node)
          used = @resources.glyphs(run.face.key)
          "/#{Names.font(run.face.key)} #{LABEL_PT} Tf " + Glyphs.new(run, node).operators(used)
        end

        def reals(numbers) = numbers.map { |number| Content.real(number) }.join(" ")
      end
    end
  end
end
