# frozen_string_literal: true

require "forwardable"

module TileLoom
  module Type
    # A face with others that give the characters which it has not: what texts are set in. It is its first face in all
    # but how it sets.
    class FaceStack
      extend Forwardable

      # The Face that it is of.
      attr_reader :first

      def_delegators :first,
        :key,
        :family,
        :weight,
        :style,
        :file,
        :css_family,
        :bytes,
        :font,
        :compact?,
        :units_per_em,
        :cap_height,
        :cap_height_mm,
        :ascent_mm,
        :descent_mm,
        :glyph,
        :advance,
        :italic_angle,
        :stem_width,
        :character,
        :shows?

      # others: gives the list of them, once it is asked for.
      def initialize(face, &others)
        @first = face
        @others = others
        @runs = {}
        @widths = {}
        @inks = {}
      end

      # Run list of a line, from left to right.
      def runs(string)
        @runs.clear if @runs.size > Face::MOST_SHAPED
        @runs[string] ||= itemizer.runs(string)
      end

      # In mm at a size in points, kerned; tracking_pt: added after each character.
      def width_mm(string, size_pt, tracking_pt: 0.0)
        @widths.clear if @widths.size > Face::MOST_SHAPED
        (@widths[string] ||= {})[[size_pt, tracking_pt]] ||= runs(string).sum do |run|
          run.width_mm(size_pt, tracking_pt: tracking_pt)
        end
      end

      # [lowest, highest] that the ink of a line reaches from its baseline, in sizes of the type, y up.
      def ink(string)
        @inks.clear if @inks.size > Face::MOST_SHAPED
        @inks[string] ||= begin
          reaches =
            runs(string).flat_map do |run|
              run.glyphs.filter_map do |glyph|
                run.face.ink(glyph.glyph)&.map { |units| (units + glyph.y_offset) / run.face.units_per_em }
              end
            end
          reaches.empty? ? [0.0, 0.0] : [reaches.map(&:first).min, reaches.map(&:last).max]
        end
      end

      # Characters that none of the faces has.
      def missing(string) = itemizer.missing(string)

      private

      def itemizer = @itemizer ||= Itemizer.new([first, *@others.call])
    end
  end
end
