# frozen_string_literal: true

require "ttfunk"
require "ttfunk/subset"

module TileLoom
  module Type
    # One font file of those that ship with Tile Loom. The same file draws the page in the browser,
    # measures text here and is embedded in the PDF.
    class Face
      attr_reader :key, :family, :weight, :style, :file

      def initialize(key, family, weight, style, file)
        @key, @family, @weight, @style, @file = key, family, weight, style, file
        @advances = {}
      end

      # Width in mm of a string at a size in points: the sum of the glyphs' advances.
      def width_mm(string, size_pt)
        units = string.each_codepoint.sum { |codepoint| advance(codepoint) }
        units * size_pt / units_per_em * MM_PER_PT
      end

      # Height of capitals, and the ascent and descent (below zero) of the line, in mm at a size.
      def cap_height_mm(size_pt) = metric(font.os2.exists? ? font.os2.cap_height : font.ascent * 0.7, size_pt)

      def ascent_mm(size_pt) = metric(font.ascent, size_pt)

      def descent_mm(size_pt) = metric(font.descent, size_pt)

      def glyph(codepoint) = cmap[codepoint] || 0

      # Advance in font units.
      def advance(codepoint) = @advances[codepoint] ||= font.horizontal_metrics.for(glyph(codepoint)).advance_width

      def shows?(string) = string.each_codepoint.all? { |codepoint| codepoint < 32 || glyph(codepoint) != 0 }

      def units_per_em = @units_per_em ||= font.header.units_per_em.to_f

      def font = @font ||= TTFunk::File.open(file)

      MM_PER_PT = 25.4 / 72

      private

      def metric(units, size_pt) = units * size_pt / units_per_em * MM_PER_PT

      def cmap = @cmap ||= font.cmap.unicode.first
    end
  end
end
