# frozen_string_literal: true

module App
  # Features of a layer that lie together, packed as they are drawn (TileLoom::Data::Block): at level 0 as they are,
  # above it drawn coarsely.
  class FeatureBlock < ActiveRecord::Base
    self.primary_key = %i[layer_id edition level number]

    belongs_to :layer

    # Those of a layer as it is drawn now.
    def self.of(layer, level = 0, edition: layer.edition) =
      where(layer_id: layer.id, edition: edition, level: level)

    # Keeps what a TileLoom::Data::BlockBuilder builds. Yields the count of features so far after each block.
    def self.keep(layer, built, level: 0, edition: layer.edition)
      done = 0
      built.each do |block|
        insert!(
          {
            layer_id: layer.id,
            edition: edition,
            level: level,
            number: block.number,
            feature_count: block.count,
            bytes: block.bytes,
            **Layer.bounds(block.box)
          }
        )
        yield done += block.count if block_given?
      end
    end
  end
end
