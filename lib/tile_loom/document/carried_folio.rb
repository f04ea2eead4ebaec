# frozen_string_literal: true

module TileLoom
  module Document
    # A book that is a file with data beside it, as it goes out as another file: see Carrier.
    class CarriedFolio
      # folio: a Folio; source: its own.
      def initialize(folio, source = folio.source)
        @folio, @source = folio, source
      end

      def settings
        @settings ||=
          @folio
            .document
            .carried(@source)
            .then { |carried| carried.merge("layers" => carried["layers"].map { |entry| entry.except("data") }) }
      end

      def date = @folio.document.parsed_date

      def features(entry)
        @source
          .features(entry["id"], nil)
          .lazy
          .map { |feature| Geometry::Geojson.feature(feature.id, feature.attributes, feature.wkb) }
      end

      def pixels(entry)
        layer = @folio.document.layers.find { |known| known.id == entry["id"] }
        return nil if layer.data.nil?
        Carrier::Pixels.new(@folio.files(layer), layer.data.slice("layer", "taken_as", "crs"))
      end

      def bytes(entry) = @folio.document.enclosures.bytes(TileLoom::Assets::Enclosure.new(entry))
    end
  end
end
