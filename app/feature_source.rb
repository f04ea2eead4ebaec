# frozen_string_literal: true

module App
  # Answers the core's question for features from the database (see TileLoom::Ground::MemorySource).
  class FeatureSource
    def initialize(layers)
      @layers = layers.to_h { |layer| [layer.key, layer] }
    end

    def features(layer_id, box)
      layer = @layers[layer_id] or return []
      rows = Feature.where(layer_id: layer.id)
      # Binary data are quoted as a hexadecimal literal.
      rows = rows.where("MBRIntersects(shape, ST_GeomFromWKB(?))", ActiveModel::Type::Binary::Data.new(TileLoom::Geometry::Wkb.box(box))) if box
      rows.order(:identity).pluck(:identity, :shape, :properties).map do |identity, shape, properties|
        TileLoom::Ground::Feature.new(id: identity, wkb: shape, attributes: properties)
      end
    end

    def extent(layer_id) = @layers[layer_id]&.extent
  end
end
