# frozen_string_literal: true

module TileLoom
  module Table
    # Rows of cells measured at one size and drawn below one another, as many as there is room for.
    class Rows
      # What they look like. style: a Type::TextStyle of cells, head: of the heads; leading; padding_mm: in each cell;
      # rule: Scene::Stroke between rows and below the head, or nil; head_fill, band_fill: Scene::Fill or nil (behind
      # the head, behind every other row).
      Look = Struct.new(:style, :head, :leading, :padding_mm, :rule, :head_fill, :band_fill, keyword_init: true)

      # columns: Column list; heads: their titles filled in, or nil for none; cells: lists of texts, a list a row.
      def initialize(columns, heads:, cells:, box:, look:)
        @columns, @heads, @cells, @box, @look = columns, heads, cells, box, look
      end

      # How many rows of cells stand in the box. (Those below are not measured.)
      def fitting = tops.length - 1

      HAIR_MM = 0.001

      def whole? = fitting == @cells.length && columns_fit?

      # Height of what stands.
      def height_mm = fitting.zero? ? head_height : bottom(fitting - 1)

      # Is every word narrow enough for its column?
      def columns_fit? = [*(@heads ? [@heads] : []), *@cells.first(fitting)].all? { |row| narrow?(row) }

      def nodes =
        [*fills, *rules, *heads, *(0...fitting).flat_map { |index| row(@cells[index], @look.style, top(index)) }]

      private

      def widths
        @widths ||=
          begin
            given = @columns.sum { |column| column.width_mm.to_f }
            open = @columns.count { |column| column.width_mm.nil? }
            rest = open.zero? ? 0.0 : [(@box.width - given) / open, LEAST_MM].max
            @columns.map { |column| column.width_mm || rest }
          end
      end

      LEAST_MM = 2.0

      def lefts = @lefts ||= widths.each_with_object([0.0]) { |width, found| found << found.last + width }

      def block(text, style, column) = Type::TextBlock.plain(text, style, align: column.align, leading: @look.leading)

      def inner(index) = [widths[index] - 2 * @look.padding_mm, 0.1].max

      def height_of(row, style)
        text =
          row.each_with_index.map { |cell, index| block(cell, style, @columns[index]).height_mm(inner(index)) }.max.to_f
        text + 2 * @look.padding_mm
      end

      def narrow?(row) =
        row.each_with_index.all? do |cell, index|
          block(cell, @look.style, @columns[index])
            .lines(inner(index))
            .all? { |line| line.width_mm <= inner(index) + HAIR_MM }
        end

      def head_height = @head_height ||= @heads ? height_of(@heads, @look.head) : 0.0

      # Distances of the rows that stand from the box's upper edge, and of the end of the last.
      def tops
        @tops ||=
          @cells.each_with_object([head_height]) do |row, found|
            below = found.last + height_of(row, @look.style)
            break found if below > @box.height + HAIR_MM
            found << below
          end
      end

      def top(index) = tops[index]

      def bottom(index) = tops[index + 1]

      def heads = @heads ? row(@heads, @look.head, 0.0) : []

      def row(cells, style, top)
        cells.each_with_index.flat_map do |cell, index|
          left = @box.min_x + lefts[index] + @look.padding_mm
          room = Geometry::Box.new(left, @box.min_y + top + @look.padding_mm, left + inner(index), @box.max_y)
          block(cell, style, @columns[index]).set(room)
        end
      end

      def strip(top, bottom) =
        Geometry::Box.new(@box.min_x, @box.min_y + top, @box.min_x + lefts.last, @box.min_y + bottom)

      def fills
        bands =
          if @look.band_fill
            (0...fitting).select(&:odd?).map { |index| painted(strip(top(index), bottom(index)), @look.band_fill) }
          else
            []
          end
        head = (@heads && @look.head_fill) ? [painted(strip(0.0, head_height), @look.head_fill)] : []
        head + bands
      end

      def painted(box, fill) = Scene::Path.new(runs: [box.corners], closed: true, fill: fill)

      # Below the head and every row.
      def rules
        return [] unless @look.rule
        places = [*(@heads ? [head_height] : []), *(0...fitting).map { |index| bottom(index) }]
        runs = places.map { |place| [@box.min_x, @box.min_y + place, @box.min_x + lefts.last, @box.min_y + place] }
        runs.empty? ? [] : [Scene::Path.new(runs: runs, closed: false, stroke: @look.rule)]
      end
    end
  end
end
