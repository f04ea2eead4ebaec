# frozen_string_literal: true

module TileLoom
  module Type
    # Paragraphs set in a box: broken into lines, in columns, each line in its place; gives scene nodes.
    class TextBlock
      # Of a list: how far its paragraphs are set in, and how far its marks stand before them, in ems.
      LIST_EM, MARK_EM = 1.5, 0.4
      # A hair over the edge is forgiven.
      HAIR_MM = 1e-6

      # How paragraphs are set. align: left, centre, right, justify; anchor: top, middle, bottom; leading: line pitch
      # over size; indents and gaps in mm; stops: TabStop list; columns, column_gap_mm; hyphenation: a Hyphenation or
      # nil.
      Manner =
        Struct.new(
          :align,
          :anchor,
          :leading,
          :first_indent_mm,
          :indent_mm,
          :right_indent_mm,
          :paragraph_gap_mm,
          :stops,
          :columns,
          :column_gap_mm,
          :hyphenation,
          keyword_init: true
        ) do
          def initialize(
            align: "left",
            anchor: "top",
            leading: 1.2,
            first_indent_mm: 0.0,
            indent_mm: 0.0,
            right_indent_mm: 0.0,
            paragraph_gap_mm: 0.0,
            stops: [],
            columns: 1,
            column_gap_mm: 4.0,
            hyphenation: nil
          ) = super
        end

      # A line in its column: its top and its pitch, the width that it has, and its left from the column's.
      Row = Struct.new(:line, :paragraph, :style, :top, :pitch, :left, :width, :column, :first, keyword_init: true)

      # Of a text in one style; manner: members of a Manner.
      def self.plain(string, style, **manner) =
        new(Paragraph.plain(string, style), base: style, manner: Manner.new(**manner))

      # paragraphs: Paragraph list; base: the TextStyle of lines without text.
      def initialize(paragraphs, base:, manner: Manner.new)
        @paragraphs, @base, @manner = paragraphs, base, manner
      end

      # Scene nodes for the box.
      def set(box)
        rows = rows(box)
        off = offset(rows, box)
        rows.flat_map do |row|
          nodes(row, box.min_x + row.column * (column_width(box) + @manner.column_gap_mm), box.min_y + off)
        end
      end

      # Do all lines stand in the box, none too long and none below its edge?
      def fits?(box)
        rows = rows(box)
        rows.all? { |row| row.line.width_mm <= row.width + HAIR_MM } && bottom(rows) <= box.height + HAIR_MM
      end

      # Line list for a width, of one column.
      def lines(width_mm) = rows(Geometry::Box.new(0, 0, width_mm, Float::INFINITY)).map(&:line)

      # Of all lines in one column of a width.
      def height_mm(width_mm) = bottom(rows(Geometry::Box.new(0, 0, width_mm, Float::INFINITY)))

      private

      def column_width(box) = (box.width - (@manner.columns - 1) * @manner.column_gap_mm) / @manner.columns

      # The height is of account where there is another column to go on in.
      def rows(box)
        key = [box.width.round(6), (box.height if @manner.columns > 1)]
        (@rows ||= {})[key] ||= placed(column_width(box), box.height)
      end

      def bottom(rows) = rows.map { |row| row.top + row.pitch }.max.to_f

      def placed(width, height)
        at, column = 0.0, 0
        @paragraphs.each_with_index.flat_map do |paragraph, number|
          at += @manner.paragraph_gap_mm if number.positive? && at.positive?
          of_paragraph(paragraph, width).map do |row|
            if at + row.pitch > height + HAIR_MM && column < @manner.columns - 1 && at.positive?
              column += 1
              at = 0.0
            end
            row.top, row.column = at, column
            at += row.pitch
            row
          end
        end
      end

      def of_paragraph(paragraph, width)
        set_in = @manner.indent_mm + paragraph.level * LIST_EM * em
        left = ->(index) { set_in + ((index.zero? && paragraph.level.zero?) ? @manner.first_indent_mm : 0.0) }
        room = ->(index) { width - left.call(index) - @manner.right_indent_mm }
        LineBreaking
          .new(paragraph, stops: @manner.stops, hyphenation: @manner.hyphenation)
          .lines(&room)
          .each_with_index
          .map do |line, index|
            style = line.tallest || paragraph.pieces.first&.last || @base
            Row.new(
              line: line,
              paragraph: paragraph,
              style: style,
              pitch: style.size_pt * @manner.leading * Face::MM_PER_PT,
              left: left.call(index),
              width: room.call(index),
              first: index.zero?
            )
          end
      end

      def em = @base.size_pt * Face::MM_PER_PT

      # From the box's upper edge to the first line.
      def offset(rows, box)
        case @manner.anchor
        when "middle"
          (box.height - bottom(rows)) / 2
        when "bottom"
          box.height - bottom(rows)
        else
          0.0
        end
      end

      # A baseline sits so that ascent and descent of its line share the leading evenly.
      def nodes(row, left, top)
        ascent, descent = row.style.face.ascent_mm(row.style.size_pt), row.style.face.descent_mm(row.style.size_pt)
        y = top + row.top + (row.pitch - (ascent - descent)) / 2 + ascent
        x = left + row.left
        [*mark(row, x, y), *SetLine.new(row.line, word_pt: word_pt(row)).nodes(x + start(row), y)]
      end

      def align(row) = row.paragraph.align || @manner.align

      # Lines with tabs begin at the left.
      def start(row)
        return 0.0 if row.line.tabbed?
        case align(row)
        when "centre"
          (row.width - row.line.width_mm) / 2
        when "right"
          row.width - row.line.width_mm
        else
          0.0
        end
      end

      # What each space of a justified line gets on top; the last line of a paragraph stays as it is.
      def word_pt(row)
        spaces = row.line.to_s.count(" ")
        return 0.0 if align(row) != "justify" || row.line.last? || row.line.tabbed? || spaces.zero?
        [(row.width - row.line.width_mm) / spaces / Face::MM_PER_PT, 0.0].max
      end

      def mark(row, x, y)
        return [] unless row.first && row.paragraph.mark
        style = row.style
        width = style.width_mm(row.paragraph.mark)
        SetLine.new(TextLine.new([[[row.paragraph.mark, style]]])).nodes(x - MARK_EM * em - width, y)
      end
    end
  end
end
