# frozen_string_literal: true

module App
  # A layer's features as a file in an open format.
  class LayerExport
    # So many features and corners are written within a request.
    FEW, FEW_VERTICES = 5_000, 100_000

    FORMATS = TileLoom::Data::Formats.of_layers.map(&:key).freeze

    def initialize(layer, format)
      @layer = layer
      @file = file(layer.key, format, layer.book.crs)
    end

    # Is it a matter of a moment?
    def short? = @layer.feature_count <= FEW && @layer.vertex_count.to_i <= FEW_VERTICES

    def type = @file.type

    def name = @file.name

    # Yields the finished file, which is gone after the block.
    def make(&block) = @file.make(features, &block)

    private

    def file(key, format, crs) = TileLoom::Data::VectorFile.new(key, format, crs: crs, among: FORMATS, of: "layers")

    def features
      TileLoom::Pulse.expect(@layer.feature_count)
      @layer.each_geojson
    end
  end
end
