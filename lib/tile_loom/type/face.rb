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

      # Shaper::Glyph list of a string, kerned.
      def shape(string)
        @shaped.clear if @shaped.size > MOST_SHAPED
        @shaped[string] ||= shaper.shape(string)
      end

      # Width in mm of a string at a size in points, kerned; tracking_pt: added after each character.
      def width_mm(string, size_pt, tracking_pt: 0.0)
        glyphs = shape(string)
        (glyphs.sum(&:advance) * size_pt / units_per_em + tracking_pt * glyphs.length) * MM_PER_PT
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

      def font = @font ||= TTFunk::File.new(bytes)

      # Of the whole file.
      def bytes = @bytes ||= File.binread(file)

      # Are its outlines in the compact font format (OpenType CFF), not TrueType's?
      def compact? = font.directory.tables.key?("CFF ")

      MM_PER_PT = 25.4 / 72

      private

      def shaper = @shaper ||= Shaper.new(bytes)

      def metric(units, size_pt) = units * size_pt / units_per_em * MM_PER_PT

      def cmap = @cmap ||= font.cmap.unicode.first
    end
  end
end
