# frozen_string_literal: true

module TileLoom
  module MapLegend
    # A legend on one sheet: its rows measured, made smaller and flowed into columns as far as it may, and laid out in
    # its box. What does not fit goes on in a legend that continues it, or is left out and told.
    class Composition
      # A size and a number of columns, tried.
      Attempt = Struct.new(:manner, :columns, :title, :blocks, :flow, :width, keyword_init: true)

      # Where a row stands: Placed, Geometry::Box in page mm.
      Standing = Struct.new(:placed, :box)

      # design: the legend element; rows: Placed list; box: page mm; faces: gives the Type::Face of a key.
      def initialize(design, rows:, box:, sheet:, faces:)
        @design, @rows, @box, @sheet, @faces = design, rows, box, sheet, faces
      end

      # Scene nodes: its backing, its title, its rows.
      def nodes =
        [*backing, *title, *attempt.flow.placed.each_with_index.flat_map { |column, index| column(column, index) }]

      # How many rows there are, and are there all of them?
      def count = speaking.length

      def whole? = left.empty?

      def fitting = count - left.length

      # Placed list of the rows that have no room.
      def left = @left ||= speaking.drop(attempt.flow.count)

      # In points, and how many columns it has.
      def size_pt = @design.size_pt * attempt.manner.factor

      def columns = attempt.flow.placed.length

      # Standing list.
      def standing
        attempt.flow.placed.each_with_index.flat_map do |column, index|
          column.map do |place, top|
            Standing.new(
              speaking[place],
              Geometry::Box.at(left_of(index), rows_top + top, column_width, attempt.blocks[place].height_mm)
            )
          end
        end
      end

      # What of the rows that stand is not as asked for, in sentences.
      def notices
        here = attempt.flow.placed.flatten(1).map(&:first)
        here.flat_map { |place| attempt.blocks[place].notices } + here.filter_map { |place| too_wide(place) }
      end

      # The box in page mm that it takes up.
      def extent
        return @box unless grows?
        width = content_width + 2 * padding
        height = title_height + attempt.flow.height_mm + 2 * padding
        top, left = @design.grows_from.split
        Geometry::Box.at(
          (left == "left") ? @box.min_x : @box.max_x - width,
          (top == "top") ? @box.min_y : @box.max_y - height,
          width,
          height
        )
      end

      private

      def grows? = !@design.grows_from.nil?

      def padding = @design.padding_mm

      def room = @room ||= @box.grow(-padding)

      # Rows that say nothing on this sheet are none.
      def speaking = @speaking ||= @rows.select { |placed| at_full_width[placed] }

      # Placed → its Block at full size over the whole width.
      def at_full_width
        @at_full_width ||=
          {}.compare_by_identity.tap do |found|
            @rows.each { |placed| found[placed] = placed.row.block(placed, plain, room.width) }
          end
      end

      def plain = @plain ||= manner(1.0)

      def symbols
        @symbols ||=
          @rows
            .filter_map { |placed| placed.entries.first }
            .select(&:symbol)
            .map { |entry| [entry.symbol, entry.shape] }
      end

      def manner(factor) = Manner.new(@design, factor: factor, sheet: @sheet, faces: @faces, symbols: symbols)

      # The first that holds all rows; else the first of those that hold most.
      def attempt = @attempt ||= found

      def found
        best = nil
        counts.each do |columns|
          whole =
            Type::Shrinking.first(factors) do |factor|
              tried = attempted(columns, factor)
              best = tried if best.nil? || tried.flow.count > best.flow.count
              tried.flow.whole? && wide_enough?(tried)
            end
          return attempted(columns, whole) if whole
        end
        best
      end

      def attempted(columns, factor) = (@attempted ||= {})[[columns, factor]] ||= try(columns, factor)

      def counts = (@design.columns..[@design.columns, @design.most_columns || 0].max)

      # Shares of its own size, the largest first.
      def factors
        sizes = Type::Shrinking.sizes(@design.size_pt, @design.minimum_pt)
        [1.0, *sizes.drop(1).map { |size| size / @design.size_pt.to_f }]
      end

      def try(columns, factor)
        manner = (factor >= 1.0) ? plain : manner(factor)
        width = [(room.width - (columns - 1) * @design.column_gap_mm) / columns, 1.0].max
        title = heading(manner)
        list =
          if manner.equal?(plain) && columns == 1
            at_full_width.values_at(*speaking)
          else
            speaking.map { |placed| placed.row.block(placed, manner, width) }
          end
        height = room.height - title&.height_mm.to_f
        Attempt.new(
          manner: manner,
          columns: columns,
          title: title,
          blocks: list,
          width: width,
          flow: Flow.new(list, columns: columns, height_mm: height)
        )
      end

      def too_wide(place)
        over = attempt.blocks[place].natural_mm - attempt.width
        return unless over > HAIR_MM
        "The row “#{speaking[place].name}” is #{Units::Number.plain(over, decimals: 1)} mm wider than its column; " \
        "make the legend wider, or its type smaller."
      end

      HAIR_MM = 0.05

      # Does every row have the width that it needs? A hair is forgiven.
      def wide_enough?(tried) = tried.blocks.all? { |block| block.natural_mm <= tried.width + HAIR_MM }

      def heading(manner)
        words = @design.legend_title
        return nil if words.nil? || words.empty?
        words = @sheet.live_text(words, path: "#{@design.path}/legend_title")
        block = manner.paragraph(words, room.width, manner.title)
        block.with_room(manner.heading_gap_mm)
      end

      def title_height = attempt.title&.height_mm.to_f

      # Columns are as wide as their rows need where the legend grows with what it holds.
      def column_width =
        @column_width ||= grows? ? [attempt.blocks.map(&:natural_mm).max.to_f, attempt.width].min : attempt.width

      def content_width
        rows = columns * column_width + [columns - 1, 0].max * @design.column_gap_mm
        [rows, attempt.title&.natural_mm.to_f, 0.0].max.clamp(0.0, [room.width, 0.0].max)
      end

      def inner = @inner ||= grows? ? extent.grow(-padding) : room

      def rows_top = inner.min_y + title_height

      def left_of(column) = inner.min_x + column * (column_width + @design.column_gap_mm)

      def backing = @design.backing(extent)

      def title = attempt.title ? attempt.title.nodes(inner.min_x, inner.min_y) : []

      def column(list, index) =
        list.flat_map { |place, top| attempt.blocks[place].nodes(left_of(index), rows_top + top) }
    end
  end
end
