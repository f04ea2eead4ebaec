# frozen_string_literal: true

module TileLoom
  module Data
    # A source of features (see MemorySource) as a view of another reference sees them. What was brought there once is
    # kept for the next sheet.
    class Elsewhere
      # So many features are kept.
      MOST_KEPT = 20_000

      # kept: a Hash that others of the same passage share. The block gives the Crs passage (see Crs::Passages).
      def initialize(source, kept = {}, &passage)
        @source, @kept, @passage = source, kept, passage
      end

      def features(layer_id, box, detail: nil)
        passage = @passage.call
        from = box && passage.back(box)
        @source
          .features(layer_id, from)
          .filter_map do |feature|
            wkb = kept(layer_id, feature) { Crs::Passages.wkb(passage, feature.wkb) }
            wkb && Feature.new(id: feature.id, wkb: wkb, attributes: feature.attributes)
          end
      end

      # Near enough: those about the box.
      def count(layer_id, box)
        passage = @passage.call
        @source.count(layer_id, box && passage.back(box))
      end

      def attribute_names(layer_id) = @source.attribute_names(layer_id)

      def telling_field(layer_id) = @source.telling_field(layer_id)

      def raster(layer_id) = @source.raster(layer_id)

      def extent(layer_id)
        Geometry::Geos.extent(features(layer_id, nil).map(&:wkb))
      end

      private

      def kept(layer_id, feature)
        key = [layer_id, feature.id]
        return @kept[key] if @kept.key?(key)
        yield.tap { |wkb| @kept[key] = wkb if @kept.length < MOST_KEPT }
      end
    end
  end
end
