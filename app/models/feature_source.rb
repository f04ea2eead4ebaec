# frozen_string_literal: true

module App
  # Answers the core's question for features from the database (see TileLoom::Data::MemorySource).
  class FeatureSource
    def initialize(layers)
      @layers = layers.to_h { |layer| [layer.key, layer] }
    end

    def features(layer_id, box, detail: nil)
      layer = @layers[layer_id] or return []
      level = detail && layer.coarse_levels&.select { |_, tolerance| tolerance <= detail }&.last
      rows(layer, box, level)
        .order(:identity)
        .pluck(:identity, :shape, :properties)
        .map do |identity, shape, properties|
          TileLoom::Data::Feature.new(id: identity, wkb: shape, attributes: properties, thinned: !level.nil?)
        end
    end

    def count(layer_id, box) = @layers[layer_id].then { |layer| layer ? rows(layer, box, nil).count : 0 }

    # As the import counted them.
    def attribute_names(layer_id) = @layers[layer_id]&.fields.to_h.keys

    # Of larger layers it is not looked for.
    MOST_TOLD_APART = 50_000
    TELLING = TileLoom::Assets::Readings.new(200)
    private_constant :TELLING

    # A layer's features never change: an update makes another layer.
    def telling_field(layer_id)
      layer = @layers[layer_id] or return nil
      return nil if layer.feature_count > MOST_TOLD_APART
      TELLING
        .fetch(layer.id) { [TileLoom::Data::TellingField.of(Feature.where(layer_id: layer.id).pluck(:properties))] }
        .first
    end

    def extent(layer_id) = @layers[layer_id]&.extent

    def raster(layer_id) = (@rasters ||= {})[layer_id] ||= @layers[layer_id]&.drawn

    private

    def rows(layer, box, level)
      rows = level ? CoarseFeature.where(layer_id: layer.id, level: level[0]) : Feature.where(layer_id: layer.id)
      return rows if box.nil? || all_of?(layer, box)
      # Binary data are quoted as a hexadecimal literal.
      rows.where(
        "MBRIntersects(shape, ST_GeomFromWKB(?))",
        ActiveModel::Type::Binary::Data.new(TileLoom::Geometry::Wkb.box(box))
      )
    end

    # Where the whole layer is asked for, its own index is the quicker way.
    def all_of?(layer, box)
      extent = layer.extent
      extent && box.min_x <= extent.min_x && box.min_y <= extent.min_y && box.max_x >= extent.max_x &&
        box.max_y >= extent.max_y
    end
  end
end
