# frozen_string_literal: true

module App
  # Keeps the coarser levels of a large layer's geometry: see TileLoom::Data::Generalisation.
  class CoarseLevels
    def initialize(layer) = @layer = layer

    # Layers that are shown by a picture from afar need none.
    def wanted? =
      !@layer.far? &&
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
      fields = TileLoom::Data::Generalisation.deciding_fields(each_feature.lazy.map(&:attributes))
      levels.each do |level, tolerance|
        fill(level, TileLoom::Data::Generalisation.new(tolerance, fields))
        yield if block_given?
      end
      @layer.update_columns(coarse_levels: levels)
    end

    def drop
      @layer.update_columns(coarse_levels: nil)
      FeatureBlock.where(layer_id: @layer.id).where("level > 0").delete_all
    end

    private

    def each_feature(&block)
      return to_enum(:each_feature) unless block
      DrawnBlocks.new(@layer, 0).each(nil) { |one| one.features(nil).each(&block) }
    end

    def fill(level, generalisation)
      blocks = TileLoom::Data::BlockBuilder.new
      each_feature do |feature|
        coarse = generalisation.of(feature.wkb, feature.attributes) or next
        blocks.add(feature.id, coarse, feature.attributes)
      end
      FeatureBlock.keep(@layer, blocks, level: level)
    end
  end
end
