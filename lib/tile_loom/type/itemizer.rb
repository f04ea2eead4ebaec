# frozen_string_literal: true

module TileLoom
  module Type
    # Parts a line into runs of one face, script and direction, in the order in which they stand.
    class Itemizer
      # Letters, signs and spaces of the scripts that run from left to right and need no more than their glyphs side by
      # side: such a text is one run.
      PLAIN =
        /\A[\u0020-\u02FF\u0370-\u0482\u048A-\u052F\u1E00-\u1FFF\u2000-\u200A\u2010-\u2027\u202F-\u205F\u2070-\u209F\u20A0-\u20CF\u2100-\u2BFF]*\z/
      # Characters that draw nothing (Unicode's Default_Ignorable_Code_Point, those that occur in texts).
      UNSEEN =
        /[\u00AD\u034F\u061C\u115F\u1160\u17B4\u17B5\u180B-\u180F\u200B-\u200F\u202A-\u202E\u2060-\u206F\u3164\uFE00-\uFE0F\uFEFF\uFFA0\u{E0000}-\u{E0FFF}[:cntrl:]]/

      # faces: Face list; the first one that has a character gives it.
      def initialize(faces) = @faces = faces

      # Run list from left to right.
      def runs(string)
        return [] if string.empty?
        face = @faces.first
        if string.match?(PLAIN) && face.shows?(string)
          return [Run.new(string: string, face: face, rtl: false, glyphs: face.shape(string))]
        end
        parts = parts(string)
        Bidi.visual(parts, parts.map(&:level)).map { |part| shaped(string, part) }
      end

      # Characters of a string that none of the faces has.
      def missing(string)
        return [] if string.match?(PLAIN) && @faces.first.shows?(string)
        lost(string)
      end

      private

      def lost(string) =
        string
          .each_grapheme_cluster
          .reject { |cluster| @faces.any? { |face| has?(face, cluster) } }
          .flat_map(&:chars)
          .reject { |character| character.match?(UNSEEN) || @faces.any? { |face| has?(face, character) } }
          .uniq

      # Of a line; start: byte of the string at which it begins.
      Part = Struct.new(:start, :string, :level, :script, :face)

      def parts(string)
        at, byte, last = 0, 0, nil
        levels = Bidi.levels(string)
        string
          .each_grapheme_cluster
          .with_object([]) do |cluster, found|
            mine = Part.new(byte, cluster, levels[at], script(cluster) || last&.script, face_for(cluster, last))
            joins?(last, mine) ? last.string += cluster : found << (last = mine)
            last.script ||= mine.script
            at += cluster.length
            byte += cluster.bytesize
          end
      end

      # A script that is not known yet, of signs at the beginning, is that of what follows.
      def joins?(last, mine) =
        last && last.level == mine.level && last.face.equal?(mine.face) &&
          (last.script.nil? || last.script == mine.script)

      # The script of a cluster's first character that has one of its own.
      def script(cluster) =
        cluster
          .each_codepoint
          .lazy
          .map { |codepoint| Shaper.script(codepoint) }
          .find { |found| !Shaper::SHARED.include?(found) }

      # Signs and spaces stay with what stands before them, where that face has them.
      def face_for(cluster, last)
        return last.face if last && script(cluster).nil? && has?(last.face, cluster)
        @faces.find { |face| has?(face, cluster) } || @faces.first
      end

      def has?(face, cluster) = face.shows?(cluster.gsub(UNSEEN, ""))

      def shaped(string, part)
        Run.new(
          string: part.string,
          face: part.face,
          rtl: part.level.odd?,
          glyphs:
            part.face.shape_part(string, part.start, part.string.bytesize, rtl: part.level.odd?, script: part.script)
        )
      end
    end
  end
end
