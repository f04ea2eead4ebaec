# frozen_string_literal: true

module TileLoom
  module Data
    # Features held in memory under a spatial tree, or read as they are asked for (WindowedLayer): the source that
    # prints a book from files.
    #
    # A source is anything that answers
    #   features(layer_id, box, detail: nil)  the Features whose box meets `box` (ground units), or all
    #                                         with nil; where detail finer than so many ground units is not
    #                                         looked at, a source may answer with coarser geometry
    #   count(layer_id, box)                  how many `features` would answer
    #   extent(layer_id)                      the Box of the layer, or nil when it is empty
    #   attribute_names(layer_id)             what its features have
    #   telling_field(layer_id)               the field that tells its features apart, or nil
    #   raster(layer_id)                      of a layer of pixels, what answers as Raster::Prepared does; else nil
    # in a stable order, so that the same book draws the same.
    class MemorySource
      def initialize(layers = {})
        @layers = {}
        layers.each { |id, features| add(id, features) }
      end

      # Takes Features in as a layer.
      def add(layer_id, features)
        tree = features.empty? ? nil : ::Geos::STRtree.new(10)
        boxes =
          features.each_with_index.map do |feature, index|
            geometry = Geometry::Geos.read(feature.wkb)
            tree.insert(geometry, index)
            Geometry::Geos.envelope(geometry)
          end
        @layers[layer_id] = {features: features, tree: tree, extent: boxes.compact.reduce { |a, b| a.union(b) }}
      end

      # The Features of a layer in a Box of the book's reference, all where it is nil; detail: of no account here.
      def features(layer_id, box, detail: nil)
        layer = @layers[layer_id] or return []
        return layer[:windowed].features(box) if layer[:windowed]
        return layer[:features] if box.nil? || layer[:tree].nil?
        layer[:tree].query(Geometry::Geos.box(box)).sort.map { |index| layer[:features][index] }
      end

      def count(layer_id, box) = features(layer_id, box).length

      # Names of attributes in the order in which they first come.
      def attribute_names(layer_id) =
        @layers.dig(layer_id, :windowed)&.attribute_names ||
          (@names ||= {})[layer_id] ||= (@layers.dig(layer_id, :features) || [])
            .flat_map { |feature| feature.attributes.keys }
            .uniq

      # The field that tells its features apart, or nil.
      def telling_field(layer_id) =
        @layers.dig(layer_id, :windowed)&.telling_field ||
          (
            (@telling ||= {})[layer_id] ||= [
              TellingField.of((@layers.dig(layer_id, :features) || []).map(&:attributes))
            ]
          ).first

      def extent(layer_id) = @layers.dig(layer_id, :extent)

      # layer: a WindowedLayer, which reads what is asked for.
      def add_windowed(layer_id, layer)
        @layers[layer_id] = {windowed: layer, extent: layer.extent}
      end

      # raster: see Raster::Prepared; extent: its Box in the book's reference.
      def add_raster(layer_id, raster, extent)
        @layers[layer_id] = {features: [], tree: nil, extent: extent, raster: raster}
      end

      def raster(layer_id) = @layers.dig(layer_id, :raster)
    end
  end
end
