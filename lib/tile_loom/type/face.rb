# frozen_string_literal: true

require "ttfunk"
require "ttfunk/subset"

module TileLoom
  module Type
    # One font file, of those that ship with Tile Loom or of a book's own. The same file draws the page in
    # the browser, measures text here and is embedded in the PDF.
    class Face
      attr_reader :key, :family, :weight, :style, :file, :css_family

      # file: its path; or bytes: of a file that is kept elsewhere. css_family: what SVG calls it.
      def initialize(key, family, weight, style, file, bytes: nil, css_family: family)
        @key, @family, @weight, @style, @file, @bytes, @css_family = key, family, weight, style, file, bytes, css_family
        @advances = {}
        @shaped = {}
      end

      # Strings whose shape is remembered.
      MOST_SHAPED = 5_000

      # Shaper::Glyph list of a string that runs from left to right, kerned.
      def shape(string)
        @shaped.clear if @shaped.size > MOST_SHAPED
        @shaped[string] ||= shaper.shape(string)
      end

      # Of a part of a string: see Shaper#shape.
      def shape_part(string, start, length, rtl:, script:) =
        shaper.shape(string, start: start, length: length, rtl: rtl, script: script)

      # Height of capitals, and the ascent and descent (below zero) of the line, in mm at a size.
      def cap_height_mm(size_pt) = metric(cap_height, size_pt)

      # Of capitals, in font units. Fonts of before 2000 do not tell it (OS/2 table, version 2): theirs is that of an H.
      def cap_height
        @cap_height ||= stated_cap_height || outline_height("H") || font.ascent * 0.7
      end

      # How far its strokes lean, in degrees counter-clockwise from upright (OpenType, post table: signed, 16.16 bits).
      def italic_angle = [font.postscript.italic_angle.to_i].pack("L").unpack1("l") / 65_536.0

      # Of its upright strokes, in font units; 0 where that is not known.
      def stem_width = @stem_width ||= Stem.width(self)

      def ascent_mm(size_pt) = metric(font.ascent, size_pt)

      def descent_mm(size_pt) = metric(font.descent, size_pt)

      def glyph(codepoint) = cmap[codepoint] || 0

      # Advance of a glyph in font units.
      def advance(glyph) = @advances[glyph] ||= font.horizontal_metrics.for(glyph).advance_width

      # The character that a glyph is reached by, of several one that is no other's compatibility form (a Greek mu, not
      # a micro sign); nil where it comes by shaping alone.
      def character(glyph)
        @characters ||= {}
        return @characters[glyph] if @characters.key?(glyph)
        @reached ||=
          cmap
            .code_map
            .reject do |codepoint, _|
              codepoint < 32 || codepoint.between?(127, 159) || SHAPED.any? { |range| range.cover?(codepoint) }
            end
            .group_by(&:last)
        @characters[glyph] = @reached[glyph]
          &.map { |codepoint, _| [codepoint].pack("U") }
          &.min_by { |character| [(character.unicode_normalize(:nfkc) == character) ? 0 : 1, character] }
      end

      # Arabic letters as they look at a place in a word (Unicode's presentation forms).
      SHAPED = [0xFB50..0xFDFF, 0xFE70..0xFEFF].freeze

      # See Shaper#outline.
      def outline(glyph) = (@outlines ||= {})[glyph] ||= shaper.outline(glyph)

      # See Shaper#ink.
      def ink(glyph)
        @inks ||= {}
        @inks.fetch(glyph) { @inks[glyph] = shaper.ink(glyph) }
      end

      # A font file of the characters alone, with what they are shaped by.
      def subset(characters) = Subset.of(bytes, characters)

      def shows?(string) = string.each_codepoint.all? { |codepoint| codepoint < 32 || glyph(codepoint) != 0 }

      def units_per_em = @units_per_em ||= font.header.units_per_em.to_f

      # Its tables are read by one thread at a time (OneReader).
      def font = @font ||= OneReader.open(bytes)

      # Of the whole file.
      def bytes = @bytes ||= File.binread(file)

      # Are its outlines in the compact font format (OpenType CFF), not TrueType's?
      def compact? = font.directory.tables.key?("CFF ")

      # Can a browser be given its file? Otherwise what is set in it is drawn.
      def sent? = true

      MM_PER_PT = 25.4 / 72

      private

      def stated_cap_height
        return nil unless font.os2.exists? && font.os2.version.to_i >= 2
        font.os2.cap_height if font.os2.cap_height.to_i.positive?
      end

      # From TrueType's outlines; nil where the font has others, or none of it.
      def outline_height(letter)
        return nil if compact? || glyph(letter.ord).zero?
        font.glyph_outlines.for(glyph(letter.ord))&.y_max
      end

      def shaper = @shaper ||= Shaper.new(bytes)

      def metric(units, size_pt) = units * size_pt / units_per_em * MM_PER_PT

      def cmap = @cmap ||= font.cmap.unicode.first
    end
  end
end
