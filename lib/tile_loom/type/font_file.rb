# frozen_string_literal: true

require "ttfunk"

module TileLoom
  module Type
    # A font file (TrueType or OpenType) that somebody brings in: is it one, may it be embedded, what is it?
    class FontFile
      LARGEST_BYTES = 20 * 1024 * 1024
      # First four bytes of fonts that are read, and of what is refused by its name.
      READ = ["\x00\x01\x00\x00".b, "true".b, "OTTO".b].freeze
      OTHERS = {
        "ttcf" => "a collection of several faces; import one face of it as TTF or OTF",
        "wOFF" => "a web font; import its TTF or OTF",
        "wOF2" => "a web font; import its TTF or OTF"
      }.freeze
      # OpenType, OS/2 table, fsType: the lowest four bits say what its licence lets one do; 2 alone is
      # "must not be embedded".
      RESTRICTED = 0x0002
      USAGE = 0x000f
      TABLES = %w[cmap head hhea hmtx maxp name].freeze

      # bytes: of the whole file; name: for what is said of it.
      def initialize(bytes, name:)
        @bytes, @name = bytes.b, name
        check
      rescue Refusal
        raise
      rescue
        # Broken tables show as errors of whatever kind, wherever they are read.
        refuse("type.font_ends_early")
      end

      # A Face under a key of the book.
      def face(key)
        Face.new(
          key,
          family,
          weight,
          italic? ? "italic" : "normal",
          nil,
          bytes: @bytes,
          css_family: "Loom own #{TileLoom::Assets::Enclosures.content_of(@bytes)[0, 12]}"
        )
      end

      def family = naming(16) || naming(1) || @name

      def title = [family, naming(17) || naming(2)].compact.join(" ")

      def weight = font.os2.exists? ? font.os2.weight_class.clamp(1, 1000) : 400

      def italic? =
        font.header.mac_style.anybits?(2) || (font.postscript.exists? && font.postscript.italic_angle.to_i != 0)

      private

      def refuse(code, **values) = raise(Refusal.new(code, name: @name, **values))

      def check
        refuse("type.font_too_large", most_mb: LARGEST_BYTES / 1024 / 1024) if @bytes.bytesize > LARGEST_BYTES
        refuse("type.other_font", found: OTHERS[@bytes[0, 4]]) if OTHERS.key?(@bytes[0, 4])
        refuse("type.no_font") unless READ.include?(@bytes[0, 4])
        missing = TABLES.reject { |table| font.directory.tables.key?(table) }
        refuse("type.font_lacks", tables: missing.join(", ")) if missing.any?
        refuse("type.no_unicode_map") if font.cmap.unicode.empty?
        refuse("type.no_outlines") unless font.directory.tables.key?("glyf") || font.directory.tables.key?("CFF ")
        refuse("type.may_not_be_embedded") if font.os2.exists? && (font.os2.type & USAGE) == RESTRICTED
        unless %w[n A 0].any? { |letter| FaceStack.new(face("trial")) { [] }.width_mm(letter, 10) > 0 } || letters?
          refuse("type.no_widths")
        end
      end

      # A face of another script may have no Latin letter at all.
      def letters? =
        font
          .cmap
          .unicode
          .first
          .code_map
          .values
          .uniq
          .first(200)
          .any? { |glyph| glyph.positive? && font.horizontal_metrics.for(glyph).advance_width.positive? }

      def font = @font ||= OneReader.open(@bytes)

      def naming(id)
        text = font.name.strings[id]&.find { |string| string.to_s.strip != "" }
        text &&
          text.to_s.dup.force_encoding(Encoding::UTF_8).scrub("").delete("\u0000").strip[0, 100].then do |clean|
            clean.empty? ? nil : clean
          end
      end
    end
  end
end
