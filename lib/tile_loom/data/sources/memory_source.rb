# frozen_string_literal: true

module TileLoom
  module Data
    # Layers of features in memory (MemoryLayer), or read as they are asked for (WindowedLayer), and of pixels
    # (PixelLayer): the source that prints a book from files.
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
      def add(layer_id, features) = take(layer_id, MemoryLayer.new(features))

      # raster: see Raster::Prepared; extent: its Box in the book's reference.
      def add_raster(layer_id, raster, extent) = take(layer_id, PixelLayer.new(raster, extent))

      # layer: what answers features(box), attribute_names, telling_field, extent and raster.
      def take(layer_id, layer) = @layers[layer_id] = layer

      # detail: of no account here.
      def features(layer_id, box, detail: nil) = @layers[layer_id]&.features(box) || []

      def count(layer_id, box) = features(layer_id, box).length

      def attribute_names(layer_id) = @layers[layer_id]&.attribute_names || []

      def telling_field(layer_id) = @layers[layer_id]&.telling_field

      def extent(layer_id) = @layers[layer_id]&.extent

      def raster(layer_id) = @layers[layer_id]&.raster
    end
  end
end
