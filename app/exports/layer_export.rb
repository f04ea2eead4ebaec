# frozen_string_literal: true

module App
  # A layer's features as a file in an open format.
  class LayerExport
    FORMATS = TileLoom::Data::Formats.of_layers.map(&:key).freeze

    def initialize(layer, format)
      @layer = layer
      @file = TileLoom::Data::VectorFile.new(layer.key, format, crs: layer.book.crs, among: FORMATS, of: "layers")
    end

    def type = @file.type

    def name = @file.name

    # Yields the finished file, which is gone after the block.
    def make(&block) = @file.make(features, &block)

    private

    def features = @layer.to_enum(:each_geojson).lazy.map { |identity, feature| feature.merge("id" => identity) }
  end
end
