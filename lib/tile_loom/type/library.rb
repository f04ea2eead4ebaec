# frozen_string_literal: true

module TileLoom
  module Type
    # The faces that ship, by key. CSS and PDF name a face by the same key.
    module Library
      FOLDER = File.join(ROOT, "fonts")

      FACES = [
        ["sans", "Loom Sans", 400, "normal", "SourceSans3-Regular.ttf"],
        ["sans-semibold", "Loom Sans", 600, "normal", "SourceSans3-Semibold.ttf"],
        ["sans-bold", "Loom Sans", 700, "normal", "SourceSans3-Bold.ttf"],
        ["sans-italic", "Loom Sans", 400, "italic", "SourceSans3-It.ttf"],
        ["serif", "Loom Serif", 400, "normal", "SourceSerif4-Regular.ttf"],
        ["serif-italic", "Loom Serif", 400, "italic", "SourceSerif4-It.ttf"]
      ].to_h { |key, family, weight, style, file| [key, Face.new(key, family, weight, style, File.join(FOLDER, file))] }.freeze

      module_function

      def face(key)
        FACES.fetch(key.to_s) { raise Invalid.new("“#{key}” is not a typeface of this book; use one of #{FACES.keys.join(", ")}.") }
      end

      def keys = FACES.keys
    end
  end
end
