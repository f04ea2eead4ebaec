# frozen_string_literal: true

module App
  # Some hundred features of a layer as they came, in one row: their attributes as JSON, which the database can search
  # and sort, and their shapes. What is drawn of them lies in a FeatureBlock.
  #
  # records: a list of each feature's identity and then its values, in the order of the layer's fields; one that ends
  # early, or a list in the place of a value, is a field that a feature does not have. originals: how long each shape is
  # (uint32), then all shapes, well-known binary in their own reference. lowest, highest: of the identities.
  class FeatureBatch < ActiveRecord::Base
    self.primary_key = %i[layer_id number]

    belongs_to :layer

    # A feature as it came: its identity, {name → value}, its shape or nil where shapes were not asked for.
    Kept = Struct.new(:identity, :properties, :original)

    # So many of them one query fetches.
    AT_ONCE = 8

    def self.of(layer) = where(layer_id: layer.id)

    # The originals of so many shapes.
    def self.packed(shapes) = shapes.map(&:bytesize).pack("V*") << shapes.join

    # The Kept of a layer, a batch at a time, in the order that they came in. Of batches of such numbers alone, or all.
    def self.each_kept(layer, shapes: false, numbers: nil)
      return to_enum(:each_kept, layer, shapes: shapes, numbers: numbers) unless block_given?
      numbers ||= of(layer).order(:number).pluck(:number)
      names = layer.fields.to_h.keys
      columns = shapes ? %i[records originals] : %i[records]
      numbers.each_slice(AT_ONCE) do |some|
        of(layer)
          .where(number: some)
          .order(:number)
          .pluck(*columns)
          .each { |records, originals| yield kept(names, records, originals) }
      end
    end

    def self.kept(names, records, originals)
      found = JSON.parse(records)
      shapes = originals && shapes_of(originals.to_s.b, found.length)
      found.map.with_index do |(identity, *values), place|
        Kept.new(identity, TileLoom::Data::BlockAttributes.named(names, values), shapes && shapes[place])
      end
    end
    private_class_method :kept

    # Of bytes as packed gives them, which begin with so many lengths.
    def self.shapes_of(bytes, count)
      at = count * 4
      bytes.unpack("V#{count}").map { |length| bytes.byteslice(at, length).tap { at += length } }
    end
    private_class_method :shapes_of
  end
end
