# frozen_string_literal: true

module TileLoom
  module Labelling
    # The text of a label in its type: how much paper it takes, all in mm from the start of its first baseline, y down.
    class SetText
      # One line: its string, its width, how far its ink reaches above (negative) and below its baseline.
      Line = Struct.new(:string, :width, :top, :bottom)

      attr_reader :rule, :lines, :width, :cap, :advance

      # lines: strings; rule: a Symbology::Labels::Rule.
      def initialize(lines, rule)
        @rule = rule
        @face, @size_pt = rule.face, rule.size_pt
        @letter_pt, @word_pt = rule.letter_spacing_pt, rule.word_spacing_pt
        face, size = @face, @size_pt
        em = size * Type::Face::MM_PER_PT
        @lines =
          lines.map do |string|
            low, high = face.ink(string)
            Line.new(string, width_of(string, face, size), -high * em, -low * em)
          end
        @backed = !rule.backing.nil?
        @plain = @lines.length == 1 && !@backed
        @width = @lines.map(&:width).max
        @cap = face.cap_height_mm(size)
        @advance = em * rule.line_spacing
      end

      # Its size, its face, and what is added after letters and to spaces, in points.
      attr_reader :size_pt, :face, :letter_pt, :word_pt

      # Of the last baseline below the first.
      def depth = (@lines.length - 1) * @advance

      def backed? = @backed

      # One line with nothing behind it?
      def plain? = @plain

      def one? = @lines.length == 1

      # How far the ink reaches from the first baseline.
      def top = @top ||= [@lines.first.top, -@cap].min

      def bottom = @bottom ||= depth + [@lines.last.bottom, 0.0].max

      # Where a line starts of a text that stands with its lines flush left, flush right or centred.
      def indent(line, align)
        return 0.0 if @lines.length == 1
        case align
        when :left
          0.0
        when :right
          @width - line.width
        else
          (@width - line.width) / 2
        end
      end

      # Letters of the first line, from left to right: [advance in mm, Type::Run] each, marks with
      # their letters.
      def letters = @letters ||= clusters

      private

      def width_of(string, face, size)
        spacing = letter_pt
        width = face.width_mm(string, size, tracking_pt: spacing)
        # Nothing is added after the last letter.
        width - spacing * Type::Face::MM_PER_PT + string.count(" ") * word_pt * Type::Face::MM_PER_PT
      end

      def clusters
        spacing, word = [letter_pt, word_pt].map { |pt| pt * Type::Face::MM_PER_PT }
        @rule
          .face
          .runs(@lines.first.string)
          .flat_map do |run|
            per_unit = size_pt * Type::Face::MM_PER_PT / run.face.units_per_em
            groups(run).map do |glyphs|
              text = glyphs.map(&:text).join
              advance = glyphs.sum(&:advance) * per_unit + spacing + ((text == " ") ? word : 0.0)
              [advance, Type::Run.new(string: text, face: run.face, rtl: run.rtl, glyphs: glyphs)]
            end
          end
      end

      # Glyphs that stand for a character together; a mark that is a character of its own goes with what it stands on,
      # which is before it where the run goes from left to right, behind it where it does not.
      def groups(run)
        parts = run.glyphs.slice_before { |glyph| !glyph.text.empty? }.to_a
        mark = ->(part) { part.all? { |glyph| glyph.advance.zero? } }
        parts.slice_when { |one, other| run.rtl ? !mark.call(one) : !mark.call(other) }.map { |list| list.flatten(1) }
      end
    end
  end
end
