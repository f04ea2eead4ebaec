# frozen_string_literal: true

module TileLoom
  module Output
    # Where pages lie on paper: sides of paper, each with pages that are placed, made smaller and cut, and marks. All in
    # millimetres from the upper left corner, y down.
    class Imposition
      SEVERAL, BOOKLET, PARTS = "several on one", "booklet", "parts of large pages"
      # With their titles.
      KINDS = {
        SEVERAL => "several pages per side (n-up)",
        BOOKLET => "a booklet to fold",
        PARTS => "large pages tiled over small paper"
      }.freeze

      # A page (by its place among the pages) so that its upper left corner comes to (x, y), that many times as large,
      # cut to a box of the paper; bleed: how far beyond the page that goes on its left, top, right and bottom.
      Placed = Struct.new(:page, :x, :y, :factor, :clip, :bleed, keyword_init: true)

      # A side of paper: size, Placed list, marks as flat [x1, y1, x2, y2] lines, words in its margin, its title.
      Side = Struct.new(:width, :height, :placed, :marks, :words, :title, keyword_init: true)

      MARK_MM, GAP_MM, CROSS_MM = 4.0, 1.0, 2.5

      # form: of Forms::Imposed; sizes: [width, height] of each page; bleeds: how far each is drawn beyond its edges.
      # Refusal where nothing of a page has room.
      def initialize(form, sizes, bleeds: [])
        @form, @sizes, @bleeds = form, sizes, bleeds
        if room.any? { |side| side <= 10 } ||
            (form.manner_of == PARTS && room.any? { |side| side <= form.overlap_mm + 10 })
          refuse
        end
        demand_few
      end

      def papers = sides.count

      # Yields each Side in order.
      def sides(&block)
        found =
          case @form.manner_of
          when SEVERAL
            several
          when BOOKLET
            booklet
          else
            parts
          end
        block ? found.each(&block) : found
      end

      def size_in_words
        factors = sides.flat_map { |side| side.placed.map(&:factor) }.uniq
        return "pages keep their size." if factors.all? { |factor| (factor - 1).abs < 1e-9 }
        least, most = factors.minmax.map { |factor| Units::Number.plain(factor * 100, decimals: 1) }
        "pages are printed at #{(least == most) ? least : "#{least} to #{most}"} % of their size, so that their scales do not hold."
      end

      # What of the pages' bleed has no room, in a sentence, or nil.
      def bleed_in_words
        lost = sides.flat_map(&:placed).filter_map { |item| narrowest(item) }.min_by { |room, wanted| room - wanted }
        return nil unless lost
        room, wanted = lost.map { |mm| Units::Number.plain(mm, decimals: 1) }
        "Of the pages’ bleed of #{wanted} mm, #{room} mm is printed where they are closest; a wider gap or margin would take all of it."
      end

      private

      # [room, wanted] of the side of a page whose bleed is cut most; nil where none is, or where only the fold is.
      def narrowest(item)
        wanted = bleed(item.page) * item.factor
        rooms = item.bleed.compact
        least = rooms.min
        (least && least < wanted - 1e-6) ? [least, wanted] : nil
      end

      def bleed(page) = @bleeds[page] || 0.0

      # Of all pages together.
      MOST_SIDES = 20_000

      # A wide page over small paper takes more sides than anyone would print.
      def demand_few
        return unless @form.manner_of == PARTS
        total = @sizes.sum { |width, height| count(width, room[0]) * count(height, room[1]) }
        return if total <= MOST_SIDES
        raise Refusal.new(
          "output.too_many_sides",
          total: Units::Number.grouped(total),
          most: Units::Number.grouped(MOST_SIDES),
          at: "#{@form.path}/paper"
        )
      end

      def refuse = raise(Refusal.new("output.no_room_on_paper", paper: @form.paper, at: "#{@form.path}/margin_mm"))

      # [width, height] of the paper; as fits: the way round in which pages become larger.
      def paper
        @paper ||=
          begin
            short, long = Layout::PageSize::ALL.fetch(@form.paper)
            case @form.orientation
            when "portrait"
              [short, long]
            when "landscape"
              [long, short]
            else
              [[short, long], [long, short]].max_by { |size| fitness(size) }
            end
          end
      end

      def fitness(size)
        width, height = @sizes.first
        if @form.manner_of == PARTS
          inner = size.map { |side| side - 2 * @form.margin_mm }
          return 0 if inner.any? { |side| side <= @form.overlap_mm }
          return -count(width, inner[0]) * count(height, inner[1])
        end
        columns, rows = raster
        cell = cell(size, columns, rows)
        [cell[0] / width, cell[1] / height].min
      end

      def room = paper.map { |side| side - 2 * @form.margin_mm }

      def raster = (@form.manner_of == BOOKLET) ? [2, 1] : [@form.across, @form.down]

      def gap = (@form.manner_of == BOOKLET) ? 0.0 : @form.gap_mm

      def cell(size, columns, rows)
        inner = size.map { |side| side - 2 * @form.margin_mm }
        [(inner[0] - (columns - 1) * gap) / columns, (inner[1] - (rows - 1) * gap) / rows]
      end

      def several
        columns, rows = raster
        @sizes
          .each_index
          .each_slice(columns * rows)
          .with_index
          .map { |pages, index| side(pages, columns, rows, (index + 1).to_s) }
      end

      # In the order in which sides come to lie when the paper is folded and put together: the last beside the first
      # (common practice). Blank pages fill up to whole sheets of four.
      def booklet
        total = (@sizes.length / 4.0).ceil * 4
        order =
          (0...total / 4).flat_map do |sheet|
            [[total - 1 - 2 * sheet, 2 * sheet], [2 * sheet + 1, total - 2 - 2 * sheet]]
          end
        order.each_with_index.map do |pages, index|
          side(
            pages.map { |page| (page < @sizes.length) ? page : nil },
            2,
            1,
            "#{index / 2 + 1} #{index.even? ? "outside" : "inside"}"
          )
        end
      end

      # pages: places among the pages, nil for one that stays blank.
      def side(pages, columns, rows, title)
        cell = cell(paper, columns, rows)
        placed =
          pages.each_with_index.filter_map do |page, index|
            next unless page
            placed(page, cell, index % columns, index / columns)
          end
        marks = @form.marks? ? clear_marks(placed) : []
        Side.new(width: paper[0], height: paper[1], placed: placed, marks: marks, words: nil, title: title)
      end

      # As large as its place lets it be; a booklet's pages meet in the fold.
      def placed(page, cell, column, row)
        width, height = @sizes[page]
        factor = [cell[0] / width, cell[1] / height].min
        factor = [factor, 1.0].min if @form.true_size?
        left = @form.margin_mm + column * (cell[0] + gap)
        spare = cell[0] - width * factor
        x =
          left +
          (
            if @form.manner_of == BOOKLET
              column.zero? ? spare : 0
            else
              spare / 2
            end
          )
        y = @form.margin_mm + row * (cell[1] + gap) + (cell[1] - height * factor) / 2
        top = @form.margin_mm + row * (cell[1] + gap)
        box = Geometry::Box.at(x, y, width * factor, height * factor)
        rooms = [
          x - left + beside(column.zero?),
          y - top + beside(row.zero?),
          left + cell[0] - box.max_x + beside(column == raster[0] - 1),
          top + cell[1] - box.max_y + beside(row == raster[1] - 1)
        ]
        within(Placed.new(page: page, x: x, y: y, factor: factor), box, rooms, folded(column))
      end

      # What lies between a page's place and the next one's, to the middle, or the margin of the paper.
      def beside(outermost) = outermost ? @form.margin_mm : gap / 2

      # The side on which a booklet's page meets the other in the fold: its place in left, top, right, bottom; else nil.
      def folded(column)
        return nil unless @form.manner_of == BOOKLET
        column.zero? ? 2 : 0
      end

      # A page with its bleed as far as there is room; at a fold there is none, and none is missed.
      def within(item, box, rooms, fold = nil)
        bleeds =
          rooms.each_with_index.map { |room, side| (side == fold) ? 0.0 : [bleed(item.page) * item.factor, room].min }
        item.bleed = bleeds.each_with_index.map { |mm, side| (side == fold) ? nil : mm }
        left, top, right, bottom = bleeds
        item.clip = Geometry::Box.new(box.min_x - left, box.min_y - top, box.max_x + right, box.max_y + bottom)
        item
      end

      # Marks to cut by that lie on no page and in no bleed.
      def clear_marks(placed)
        placed
          .flat_map { |item| cut_marks(box_of(item), bleeds: item.bleed) }
          .reject { |line| placed.any? { |item| in_the_way?(line, item.clip) } }
      end

      def in_the_way?((x1, y1, x2, y2), box)
        [x1, x2].max > box.min_x + HAIR_MM && [x1, x2].min < box.max_x - HAIR_MM &&
          [y1, y2].max > box.min_y + HAIR_MM && [y1, y2].min < box.max_y - HAIR_MM
      end

      HAIR_MM = 1e-6

      def box_of(item) =
        @sizes[item.page].then do |width, height|
          Geometry::Box.at(item.x, item.y, width * item.factor, height * item.factor)
        end

      # As long as there is room.
      def mark_mm
        room = [@form.margin_mm - GAP_MM, gap / 2].max
        (room < MARK_MM) ? room : MARK_MM
      end

      # Beside each corner, outside the page and its bleed (on the left, top, right and bottom).
      def cut_marks(box, bleeds: [])
        left, top, right, bottom = (0..3).map { |side| bleeds[side] || 0.0 }
        [[box.min_x, -1, left], [box.max_x, 1, right]].product([[box.min_y, -1, top], [box.max_y, 1, bottom]])
          .flat_map do |(x, side_x, bleed_x), (y, side_y, bleed_y)|
            near_x, near_y = bleed_x + GAP_MM, bleed_y + GAP_MM
            [
              [x + side_x * near_x, y, x + side_x * (near_x + mark_mm), y],
              [x, y + side_y * near_y, x, y + side_y * (near_y + mark_mm)]
            ]
          end
      end

      def count(length, inner) = [((length - @form.overlap_mm) / (inner - @form.overlap_mm)).ceil, 1].max

      # Each page in its own size over as many papers as it takes; neighbours show the overlap both.
      def parts
        @sizes.each_index.flat_map do |page|
          width, height = @sizes[page]
          columns, rows = count(width, room[0]), count(height, room[1])
          (0...rows).to_a.product((0...columns).to_a).map { |row, column| part(page, row, column, rows, columns) }
        end
      end

      def part(page, row, column, rows, columns)
        width, height = @sizes[page]
        from_x, from_y = column * (room[0] - @form.overlap_mm), row * (room[1] - @form.overlap_mm)
        shown = [[room[0], width - from_x].min, [room[1], height - from_y].min]
        clip = Geometry::Box.at(@form.margin_mm, @form.margin_mm, *shown)
        item = Placed.new(page: page, x: clip.min_x - from_x, y: clip.min_y - from_y, factor: 1.0)
        inner = [column.positive?, row.positive?, column < columns - 1, row < rows - 1]
        beyond = [@form.margin_mm, @form.margin_mm, paper[0] - clip.max_x, paper[1] - clip.max_y]
        within(item, clip, inner.zip(beyond).map { |goes_on, room| goes_on ? 0.0 : room })
        # Where another part goes on there is no bleed to miss.
        item.bleed = item.bleed.zip(inner).map { |mm, goes_on| goes_on ? nil : mm }
        Side.new(
          width: paper[0],
          height: paper[1],
          placed: [item],
          marks: @form.marks? ? cut_marks(clip, bleeds: item.bleed) + crosses(clip, row, column, rows, columns) : [],
          words: "part #{row + 1}-#{column + 1} of #{rows} × #{columns}",
          title: "#{page + 1}: #{row + 1}-#{column + 1}"
        )
      end

      # In the middle of each overlap, at the same places of the page on both papers.
      def crosses(clip, row, column, rows, columns)
        half = @form.overlap_mm / 2.0
        return [] if half.zero?
        xs = [(clip.min_x + half if column.positive?), (clip.max_x - half if column < columns - 1)].compact
        ys = [(clip.min_y + half if row.positive?), (clip.max_y - half if row < rows - 1)].compact
        places =
          xs.product([clip.min_y + clip.height / 3, clip.max_y - clip.height / 3]) +
          [clip.min_x + clip.width / 3, clip.max_x - clip.width / 3].product(ys)
        places.flat_map { |x, y| [[x - CROSS_MM, y, x + CROSS_MM, y], [x, y - CROSS_MM, x, y + CROSS_MM]] }
      end
    end
  end
end
