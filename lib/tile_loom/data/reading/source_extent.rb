# frozen_string_literal: true

module TileLoom
  module Data
    # How far the coordinates of parsed GeoJSON reach, before any of it is read further.
    module SourceExtent
      module_function

      # [west, south, east, north] in their own reference; nil where there are none, or where features come one by one.
      def of(document)
        found = [Float::INFINITY, Float::INFINITY, -Float::INFINITY, -Float::INFINITY]
        geometries(document).each { |geometry| grow(found, geometry) }
        found.all?(&:finite?) ? found : nil
      end

      def geometries(document)
        return [] unless document.is_a?(Hash)
        features = document["features"]
        return features.filter_map { |feature| feature["geometry"] if feature.is_a?(Hash) } if features.is_a?(Array)
        return [] if features
        [document["geometry"] || document]
      end
      private_class_method :geometries

      def grow(box, geometry)
        return unless geometry.is_a?(Hash)
        Array(geometry["geometries"]).each { |part| grow(box, part) }
        positions(box, geometry["coordinates"], 0)
      end
      private_class_method :grow

      MOST_DEPTH = 8

      def positions(box, part, depth)
        return unless part.is_a?(Array) && depth < MOST_DEPTH
        x, y = part
        if x.is_a?(Numeric) && y.is_a?(Numeric)
          box[0] = x if x < box[0]
          box[1] = y if y < box[1]
          box[2] = x if x > box[2]
          box[3] = y if y > box[3]
        else
          part.each { |inner| positions(box, inner, depth + 1) }
        end
      end
      private_class_method :positions
    end
  end
end
