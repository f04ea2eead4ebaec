# frozen_string_literal: true

module TileLoom
  module Type
    # A part of a line in one face, one script and one direction, shaped. string: its characters in the order in which
    # they are read; glyphs: Shaper::Glyph list from left to right; face: a Face.
    Run =
      Struct.new(:string, :face, :rtl, :glyphs, keyword_init: true) do
        # mm at a size in points; tracking_pt: added after each character that takes room of its own.
        def width_mm(size_pt, tracking_pt: 0.0)
          (glyphs.sum(&:advance) * size_pt / face.units_per_em + tracking_pt * spaced) * Face::MM_PER_PT
        end

        # How many characters take room of their own; marks stand on others.
        def spaced = glyphs.count { |glyph| glyph.advance.positive? }
      end
  end
end
