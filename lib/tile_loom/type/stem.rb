# frozen_string_literal: true

module TileLoom
  module Type
    # How thick the upright strokes of a face are, which a PDF says of it (StemV, ISO 32000-1, table 122): measured
    # across an l, half way up.
    module Stem
      LETTER = "l"

      module_function

      # In font units; 0, which is "not known", where the face has no such letter.
      def width(face)
        glyph = face.glyph(LETTER.ord)
        outline = glyph.zero? ? [] : face.outline(glyph)
        lowest, highest = outline.flat_map { |_, coordinates| coordinates.each_slice(2).map(&:last) }.minmax
        return 0 if lowest.nil?
        left, right = crossings(outline, (lowest + highest) / 2.0).minmax
        left ? right - left : 0
      end

      # Where an outline crosses a height. The sides of the letter are straight there, or nearly so.
      def crossings(outline, height)
        at = begun = nil
        outline.filter_map do |kind, coordinates|
          from = at
          at = (kind == :close) ? begun : coordinates.last(2)
          begun = at if kind == :move
          crossing(from, at, height) unless kind == :move
        end
      end

      def crossing(from, to, height)
        return nil if (from[1] < height) == (to[1] < height)
        from[0] + (height - from[1]) / (to[1] - from[1]) * (to[0] - from[0])
      end
    end
  end
end
