# frozen_string_literal: true

module TileLoom
  module Data
    # A layer of a MemorySource whose features are in memory, under a spatial tree.
    class MemoryLayer
      # extent: the Box round all of them, or nil.
      attr_reader :extent

      # features: Feature list.
      def initialize(features)
        @features = features
        @tree = features.empty? ? nil : ::Geos::STRtree.new(10)
        boxes =
          features.each_with_index.map do |feature, index|
            geometry = Geometry::Geos.read(feature.wkb)
            @tree.insert(geometry, index)
            Geometry::Geos.envelope(geometry)
          end
        @extent = boxes.compact.reduce { |a, b| a.union(b) }
      end

      def features(box)
        return @features if box.nil? || @tree.nil?
        @tree.query(Geometry::Geos.box(box)).sort.map { |index| @features[index] }
      end

      # In the order in which they first come.
      def attribute_names = @attribute_names ||= @features.flat_map { |feature| feature.attributes.keys }.uniq

      def telling_field = (@telling_field ||= [TellingField.of(@features.map(&:attributes))]).first

      def raster = nil
    end
  end
end
