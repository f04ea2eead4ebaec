# frozen_string_literal: true

module App
  # A layer's features as a file in an open format.
  class LayerExport
    FORMATS = TileLoom::Data::Formats.of_layers.map(&:key).freeze

    def initialize(layer, format)
      @layer = layer
      @file = file(layer.key, format, layer.book.crs)
    end

    def type = @file.type

    def name = @file.name

    # Yields the finished file, which is gone after the block.
    def make(&block) = @file.make(features, &block)

    private

    def file(key, format, crs) = TileLoom::Data::VectorFile.new(key, format, crs: crs, among: FORMATS, of: "layers")

    def features = @layer.to_enum(:each_geojson).lazy.map { |identity, feature| feature.merge("id" => identity) }
  end
end
