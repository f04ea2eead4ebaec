# frozen_string_literal: true

module TileLoom
  module Type
    # The faces that ship, by key. CSS and PDF name a face by the same key.
    module Library
      FOLDER = File.join(ROOT, "fonts")

      FACES =
        [
          ["sans-light", "Loom Sans", 300, "normal", "SourceSans3-Light.ttf"],
          ["sans", "Loom Sans", 400, "normal", "SourceSans3-Regular.ttf"],
          ["sans-semibold", "Loom Sans", 600, "normal", "SourceSans3-Semibold.ttf"],
          ["sans-bold", "Loom Sans", 700, "normal", "SourceSans3-Bold.ttf"],
          ["sans-italic", "Loom Sans", 400, "italic", "SourceSans3-It.ttf"],
          ["sans-semibold-italic", "Loom Sans", 600, "italic", "SourceSans3-SemiboldIt.ttf"],
          ["sans-bold-italic", "Loom Sans", 700, "italic", "SourceSans3-BoldIt.ttf"],
          ["serif", "Loom Serif", 400, "normal", "SourceSerif4-Regular.ttf"],
          ["serif-semibold", "Loom Serif", 600, "normal", "SourceSerif4-Semibold.ttf"],
          ["serif-bold", "Loom Serif", 700, "normal", "SourceSerif4-Bold.ttf"],
          ["serif-italic", "Loom Serif", 400, "italic", "SourceSerif4-It.ttf"],
          ["serif-semibold-italic", "Loom Serif", 600, "italic", "SourceSerif4-SemiboldIt.ttf"],
          ["serif-bold-italic", "Loom Serif", 700, "italic", "SourceSerif4-BoldIt.ttf"],
          ["condensed", "Loom Condensed", 400, "normal", "RobotoCondensed_400Regular.ttf"],
          ["condensed-semibold", "Loom Condensed", 600, "normal", "RobotoCondensed_600SemiBold.ttf"],
          ["condensed-bold", "Loom Condensed", 700, "normal", "RobotoCondensed_700Bold.ttf"],
          ["condensed-italic", "Loom Condensed", 400, "italic", "RobotoCondensed_400Regular_Italic.ttf"]
        ].to_h do |key, family, weight, style, file|
          [key, Face.new(key, family, weight, style, File.join(FOLDER, file))]
        end
          .freeze

      # Of scripts that these have not, always behind them: nobody asks for one by its key.
      FALLBACKS =
        [
          ["fallback-arabic", "Loom Arabic", 400, "NotoSansArabic_400Regular.ttf"],
          ["fallback-arabic-bold", "Loom Arabic", 700, "NotoSansArabic_700Bold.ttf"],
          ["fallback-hebrew", "Loom Hebrew", 400, "NotoSansHebrew_400Regular.ttf"],
          ["fallback-hebrew-bold", "Loom Hebrew", 700, "NotoSansHebrew_700Bold.ttf"],
          ["fallback-devanagari", "Loom Devanagari", 400, "NotoSansDevanagari_400Regular.ttf"],
          ["fallback-devanagari-bold", "Loom Devanagari", 700, "NotoSansDevanagari_700Bold.ttf"],
          ["fallback-thai", "Loom Thai", 400, "NotoSansThai_400Regular.ttf"],
          ["fallback-thai-bold", "Loom Thai", 700, "NotoSansThai_700Bold.ttf"]
        ].to_h { |key, family, weight, file| [key, Face.new(key, family, weight, "normal", File.join(FOLDER, file))] }
          .freeze

      # Chinese, Japanese and Korean, where the machine has Debian's fonts-noto-cjk.
      COLLECTED =
        {"" => [400, "Regular"], "-bold" => [700, "Bold"]}.map do |ending, (weight, name)|
          [ending, weight, "/usr/share/fonts/opentype/noto/NotoSansCJK-#{name}.ttc"]
        end
          .select { |_, _, file| File.file?(file) }
          .to_h do |ending, weight, file|
            key = "fallback-cjk#{ending}"
            [key, CollectedFace.new(key, "Loom CJK", weight, "normal", file)]
          end
          .freeze

      # Each with the others behind it, the most alike first, for characters that it has not.
      STACKS = FACES.transform_values { |face| FaceStack.new(face) { alike(face) } }.freeze

      # All others, by slant, weight and place in the list.
      def self.alike(face)
        [*files, *COLLECTED.values].reject { |other| other.equal?(face) || other.family == face.family }
          .sort_by
          .with_index do |other, index|
            [ranked(other), (other.style == face.style) ? 0 : 1, (other.weight - face.weight).abs, index]
          end
      end

      module_function

      # A FaceStack.
      def face(key)
        STACKS.fetch(key.to_s) do
          raise Refusal.new("type.no_such_typeface", typeface: key, known: FACES.keys.join(", "))
        end
      end

      def keys = FACES.keys

      # A Face as a file embeds it, whichever it is.
      def embedded(key) = FALLBACKS[key] || COLLECTED[key] || face(key)

      # All font files that ship: Face list.
      def files = [*FACES.values, *FALLBACKS.values]

      # In the order in which they are asked for what another has not.
      def ranked(face) = if FACES.key?(face.key)
                           0
                         else
                           (FALLBACKS.key?(face.key) ? 1 : 2)
                         end
    end
  end
end
