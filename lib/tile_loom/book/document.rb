# frozen_string_literal: true

require "date"
require "json"

module TileLoom
  module Book
    # A book as the rest of the core sees it: read from the document, checked against the schema.
    class Document
      LARGEST_BYTES = 200 * 1024 * 1024

      attr_reader :settings

      # Reads JSON text; Invalid for what is not JSON.
      def self.parse(text)
        raise Invalid.new("The book is larger than #{LARGEST_BYTES / 1024 / 1024} MB.") if text.bytesize > LARGEST_BYTES
        text = text.dup.force_encoding(Encoding::UTF_8)
        raise Invalid.new("The book is not UTF-8 text.") unless text.valid_encoding?
        new(JSON.parse(text, max_nesting: 100))
      rescue JSON::ParserError => error
        raise Invalid.new("The book is not JSON: #{error.message.lines.first.to_s.strip[0, 120]}.")
      end

      # settings: the parsed document. Refuses one that does not fit the schema.
      def initialize(settings)
        findings = settings.is_a?(Hash) ? Schema.findings(settings) : [Invalid.new("The book is not a JSON object.", path: "/")]
        raise findings.first unless findings.empty?
        @settings = settings
      end

      %w[title subtitle author subject source date].each do |name|
        define_method(name) { settings[name] }
      end

      def parsed_date
        (date.to_s == "") ? nil : Date.iso8601(date)
      rescue Date::Error
        raise Invalid.new("“#{date}” is not a day of the calendar.", path: "/date")
      end

      # PROJ objects belong to threads, so the reference is looked up anew for each.
      def crs
        Reference::Crs.find(settings["reference"]).for_fixed_scale!
      rescue Invalid => error
        raise Invalid.new(error.message, path: "/reference")
      end

      def layers = @layers ||= settings["layers"].each_with_index.map { |layer, index| Ground::Layer.new(layer, path: "/layers/#{index}") }

      def layout = @layout ||= Layout::Layout.new(settings["layout"])

      def index = @index ||= Index.new(settings["index"])

      # The cells of the index over the study area that the source holds.
      def cells(source) = @cells ||= weave(source).cells

      # Uses cells that were woven before (and kept elsewhere) in place of weaving again.
      def with_cells(cells) = tap { @cells = cells }

      def weave(source) = index.weave(crs: crs, frame: layout.frame_box, features: source.features(index.area, nil))
    end
  end
end
