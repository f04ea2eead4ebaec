# frozen_string_literal: true

module TileLoom
  module Type
    # The typefaces of a book: those that ship, and its own.
    class FaceSet
      # Own faces are read once in a process, whatever book names them.
      READINGS = TileLoom::Assets::Readings.new(24)

      # own: Assets::Enclosure list; enclosures: where their bytes are.
      def initialize(own = [], enclosures: TileLoom::Assets::Enclosures.none)
        @own = own.to_h { |entry| [entry.id, entry] }
        @enclosures = enclosures
        @read, @stacks = {}, {}
      end

      # A FaceStack: the face, behind it the book's own ones, then the shipped ones; Refusal for a key that is neither
      # shipped nor the book's own.
      def face(key)
        key = key.to_s
        return Library.face(key) if @own.empty?
        @stacks[key] ||= FaceStack.new(plain(key)) { others(key) }
      end

      # As a file embeds it: its own, or one of those that ship.
      def embedded(key) = @own.key?(key) ? face(key) : Library.embedded(key)

      BOLD = 700

      # The bold or the italic one of a face's family, which is that face where it is so already; nil where the family
      # has none.
      def variant(face, bold: false, italic: false)
        style = italic ? "italic" : face.style
        return face if style == face.style && (!bold || face.weight >= BOLD)
        family = all.select { |other| other.family == face.family && other.style == style }
        family = family.select { |other| other.weight >= 600 && other.weight > face.weight } if bold
        family.min_by { |other| (other.weight - (bold ? BOLD : face.weight)).abs }
      end

      def keys = Library.keys + @own.keys

      # All faces, the shipped ones first.
      def all = keys.map { |key| face(key) }

      private

      def plain(key)
        return Library.face(key).first unless @own.key?(key)
        @read[key] ||= READINGS.fetch([key, @own[key].content || @own[key].hash]) do
          FontFile.new(@enclosures.bytes(@own[key]), name: @own[key].title).face(key)
        end
      end

      def others(key)
        first = plain(key)
        [*(@own.keys - [key]).map { |other| plain(other) }, *Library.alike(first)]
      end
    end
  end
end
