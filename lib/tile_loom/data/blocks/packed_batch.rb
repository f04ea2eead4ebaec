# frozen_string_literal: true

module TileLoom
  module Data
    # Features of one batch as they are kept, so that they pass from process to process, into a file and into a database
    # in few and large pieces. ids: their identities; boxes: packed, of each four doubles, or nil for one that has no
    # place; shapes: well-known binary in the book's reference; originals: the same as they came; names: of their
    # fields; rows: of each its values for the names as a JSON list; types: see
    # AttributeTypes; kinds: types of well-known binary among them.
    PackedBatch =
      Struct.new(:ids, :boxes, :shapes, :originals, :names, :rows, :types, :kinds) do
        # originals: FeatureReader::Original list; shapes: of each its well-known binary in the book's reference.
        def self.of(originals, shapes)
          attributes = originals.map(&:attributes)
          names, values, whole = PackedBatch.table(attributes)
          types = AttributeTypes.new
          names.zip(values.transpose) do |name, column|
            types.observe(name, whole ? column : column.reject { |value| value.is_a?(Array) })
          end
          new(
            originals.map(&:id),
            originals.zip(shapes).map { |item, shape| PackedBatch.box(item, shape) },
            shapes,
            originals.map(&:wkb),
            names,
            values.map { |row| JSON.generate(row) },
            types,
            shapes.map { |shape| shape.getbyte(1) }.uniq
          )
        end

        # Four doubles of the box of a shape; nil where it has none.
        def self.box(item, shape) =
          (item.wkb.equal?(shape) && item.box) || Geometry::Wkb.extent([shape])&.to_a&.pack("E4")

        # [names of all fields, of each feature a value for each of them or BlockAttributes::ABSENT, has each all of
        # them?]
        def self.table(attributes)
          names = attributes.first.keys
          return names, attributes.map(&:values), true if attributes.all? { |own| own.keys == names }
          names = attributes.flat_map(&:keys).uniq
          [names, attributes.map { |own| names.map { |name| own.fetch(name, BlockAttributes::ABSENT) } }, false]
        end

        def length = ids.length

        # A point is 16 bytes of well-known binary; the heads count for little.
        def vertices = shapes.sum(&:bytesize) / 16
      end
  end
end
