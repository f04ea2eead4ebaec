# frozen_string_literal: true

module App
  # The whole book as one JSON file: the document with each layer's features as GeoJSON inside it, in
  # the book's own reference (stated, since RFC 7946 alone would mean longitude and latitude). Pixels do not go along:
  # a layer of them comes in again without, and waits for its file.
  class BookExport
    include Enumerable

    def initialize(book) = @book = book

    # Pieces of JSON text, so that no more than a batch is in memory.
    def each
      settings = Enclosure.put_in(@book.carried)
      layers = settings.delete("layers")
      yield JSON.generate(settings).delete_suffix("}") + ',"layers":['
      layers.each_with_index do |layer, index|
        yield ",\n" if index.positive?
        next yield(JSON.generate(layer)) if layer.key?("raster")
        yield(
          JSON.generate(layer).delete_suffix("}") +
            %(,"data":{"collection":{"type":"FeatureCollection","crs":#{JSON.generate(crs)},"features":[)
        )
        features(layer["id"]) { |text| yield text }
        yield "]}}}"
      end
      yield "]}\n"
    end

    private

    def crs = {"type" => "name", "properties" => {"name" => @book.reference}}

    def features(key)
      first = true
      @book
        .layers
        .find { |layer| layer.key == key }
        .each_geojson do |_, feature|
          yield ",\n" unless first
          first = false
          yield JSON.generate(feature)
        end
    end
  end
end
