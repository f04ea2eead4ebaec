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

      # Each with the others behind it, the most alike first, for characters that it has not.
      STACKS = FACES.transform_values { |face| FaceStack.new(face) { alike(face) } }.freeze

      # All others, by slant, weight and place in the list.
      def self.alike(face)
        FACES
          .values
          .reject { |other| other.equal?(face) || other.family == face.family }
          .sort_by
          .with_index { |other, index| [(other.style == face.style) ? 0 : 1, (other.weight - face.weight).abs, index] }
      end

      module_function

      # A FaceStack.
      def face(key)
        STACKS.fetch(key.to_s) do
          raise Refusal.new("type.no_such_typeface", typeface: key, known: FACES.keys.join(", "))
        end
      end

      def keys = FACES.keys
    end
  end
end
