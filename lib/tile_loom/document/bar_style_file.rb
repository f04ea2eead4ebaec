# frozen_string_literal: true

require "json"

module TileLoom
  module Document
    # A style of scale bars on its own: what of an element's settings is style, and the file that it travels as.
    module BarStyleFile
      FORMAT = "tile-loom-scale-bar"
      LARGEST_BYTES = 100_000

      module_function

      # Names of the settings that are style and not place or measure.
      def keys = Bar::Style.keys

      def of(settings) = settings.slice(*keys)

      # An element's settings in another style.
      def put_on(settings, style) = settings.except(*keys).merge(style)

      # JSON text of a style under its title.
      def write(title, style) =
        JSON.pretty_generate({"format" => FORMAT, "version" => Contents::VERSION, "title" => title, "style" => style})

      # JSON text → [title, style]; Refusal says what is wrong.
      def read(text)
        raise Refusal.new("bar.style_file_too_large") if text.bytesize > LARGEST_BYTES
        document = Assets::JsonText.parse(text, what: "The file", nesting: 20)
        unless document.is_a?(Hash) && document["format"] == FORMAT
          raise Refusal.new("bar.no_style_file", format: FORMAT)
        end
        unless document["version"] == Contents::VERSION
          raise Refusal.new(
            "bar.style_file_version",
            found: document["version"].inspect,
            known: Contents::VERSION,
            at: "/version"
          )
        end
        [document["title"].to_s[0, 200], checked(document["style"])]
      end

      # A style that fits the schema.
      def checked(style)
        finding = Schema.part_findings("scaleBarStyle", style, path: "/style").first
        raise finding if finding
        style
      end
    end
  end
end
