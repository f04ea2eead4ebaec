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
      DrawnBlocks.new(layer, level ? level[0] : 0).features(box, thinned: !level.nil?)
    end

    def count(layer_id, box)
      layer = @layers[layer_id] or return 0
      total = 0
      DrawnBlocks.new(layer, 0).each(box) { |block| total += block.count_in(box) }
      total
    end

    # As the import counted them.
    def attribute_names(layer_id) = @layers[layer_id]&.fields.to_h.keys

    TELLING = TileLoom::Assets::Readings.new(200)
    private_constant :TELLING

    # A layer's features never change: an update makes another layer.
    def telling_field(layer_id)
      layer = @layers[layer_id] or return nil
      return nil if layer.feature_count > TileLoom::Data::TellingField::MOST
      TELLING
        .fetch(layer.id) do
          [TileLoom::Data::TellingField.of(FeatureBatch.each_kept(layer).flat_map { |batch| batch.map(&:properties) })]
        end
        .first
    end

    def extent(layer_id) = @layers[layer_id]&.extent

    def raster(layer_id) = (@rasters ||= {})[layer_id] ||= @layers[layer_id]&.drawn
  end
end
