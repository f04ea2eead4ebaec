# frozen_string_literal: true

module App
  # Keeps the coarser levels of a large layer's geometry: see TileLoom::Data::Generalisation.
  class CoarseLevels
    BATCH = 1_000

    def initialize(layer) = @layer = layer

    def wanted? =
      TileLoom::Data::Generalisation.wanted?(
        @layer.extent,
        vertices: @layer.vertex_count,
        features: @layer.feature_count
      )

    # Makes all levels anew; each counts only when it is whole. Yields now and then.
    def build
      drop
      return unless wanted?
      levels = TileLoom::Data::Generalisation.levels(@layer.extent)
      fields = TileLoom::Data::Generalisation.deciding_fields(each_row.lazy.map(&:last))
      levels.each do |level, tolerance|
        fill(level, TileLoom::Data::Generalisation.new(tolerance, fields))
        yield if block_given?
      end
      @layer.update_columns(coarse_levels: levels)
    end

    def drop
      @layer.update_columns(coarse_levels: nil)
      CoarseFeature.where(layer_id: @layer.id).delete_all
    end

    private

    # [identity, shape, properties] of each feature.
    def each_row(&block)
      return to_enum(:each_row) unless block
      @layer.each_batch(BATCH, :shape, :properties) { |rows| rows.each(&block) }
    end

    def fill(level, generalisation)
      rows = []
      each_row do |identity, shape, properties|
        coarse = generalisation.of(shape, properties) or next
        rows << {layer_id: @layer.id, level: level, identity: identity, shape: coarse, properties: properties}
        rows.length >= BATCH && CoarseFeature.insert_all(rows.slice!(0..))
      end
      CoarseFeature.insert_all(rows) if rows.any?
    end
  end
end
