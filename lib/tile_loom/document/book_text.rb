# frozen_string_literal: true

module TileLoom
  module Document
    # A book as one JSON file, its features inside as GeoJSON in the book's own CRS (stated, since RFC 7946 alone would
    # mean longitude and latitude), its typefaces and pictures in base64. Pixels do not go along: a layer of them comes
    # in again without, and waits for its file.
    class BookText
      include Enumerable

      # carrier: see Carrier.
      def initialize(carrier) = @carrier = carrier

      # Yields pieces of text, so that no more than a feature is in memory.
      def each
        return enum_for(:each) unless block_given?
        settings = @carrier.settings
        own =
          Assets::Enclosures.entries(settings) do |entry|
            Assets::Enclosures.with_bytes(entry, @carrier.bytes(entry))
          end
        yield JSON.generate(settings.except("layers").merge(own)).delete_suffix("}")
        yield ',"layers":['
        settings["layers"].each_with_index do |entry, index|
          yield ",\n" if index.positive?
          layer(entry) { |text| yield text }
        end
        yield "]}\n"
      end

      private

      def layer(entry)
        return yield(JSON.generate(entry)) if entry.key?("raster")
        crs = {"type" => "name", "properties" => {"name" => @carrier.settings["crs"]}}
        yield JSON.generate(entry).delete_suffix("}")
        yield %(,"data":{"collection":{"type":"FeatureCollection","crs":#{JSON.generate(crs)},"features":[)
        first = true
        @carrier
          .features(entry)
          .each do |feature|
            yield ",\n" unless first
            first = false
            yield JSON.generate(feature)
          end
        yield "]}}}"
      end
    end
  end
end
