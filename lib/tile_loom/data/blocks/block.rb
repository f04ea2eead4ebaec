# frozen_string_literal: true

module TileLoom
  module Data
    # Some hundred features that lie together, packed as they are kept and fetched: their identities, boxes and shapes
    # one after the other, then their attributes. Little-endian: how many features; the identity of each (uint32); its
    # box (four doubles); where its shape ends in the last part (uint32); the length of the part of attributes, and this
    # part (see BlockAttributes); all shapes.
    class Block
      # A block holds so many features, or fewer where their shapes are large.
      FEATURES, BYTES = 512, 256 * 1024
      BOX_BYTES = 32
      private_constant :BOX_BYTES

      # Bytes of features in lists of the same order: identities, boxes (packed, each of four doubles), shapes; rows,
      # layouts: see BlockAttributes.
      def self.dump(ids, boxes, shapes, rows, layouts)
        at = 0
        ends = shapes.map { |shape| at += shape.bytesize }
        attributes = BlockAttributes.dump(rows, layouts)
        [ids.length, *ids].pack("V*") << boxes.join << ends.pack("V*") << [attributes.bytesize].pack("V") <<
          attributes << shapes.join
      end

      attr_reader :count, :bytesize

      # bytes: as dump gives them.
      def initialize(bytes)
        @bytes, @bytesize = bytes, bytes.bytesize
        @count = bytes.unpack1("V")
      end

      def ids = @ids ||= @bytes.unpack("V#{@count}", offset: 4)

      # Those whose box meets a Box, all where it is nil. thinned: see Feature.
      def features(box, thinned: false) = places(box).map { |place| BlockFeature.new(self, place, ids[place], thinned) }

      # How many those are.
      def count_in(box) = places(box).length

      # Well-known binary of the feature at a place.
      def shape(place)
        from = place.zero? ? 0 : ends[place - 1]
        @bytes.byteslice(shapes_at + from, ends[place] - from)
      end

      # [min_x, min_y, max_x, max_y] of it.
      def sides(place) = boxes[place * 4, 4]

      def attributes(place) = (@attributes ||= read_attributes)[place]

      private

      def places(box)
        return (0...@count).to_a if box.nil?
        min_x, min_y, max_x, max_y = box.to_a
        found, place, at, all = [], 0, 0, boxes
        while place < @count
          found << place if all[at] <= max_x && all[at + 2] >= min_x && all[at + 1] <= max_y && all[at + 3] >= min_y
          place += 1
          at += 4
        end
        found
      end

      def boxes = @boxes ||= @bytes.unpack("E#{4 * @count}", offset: 4 + 4 * @count)

      def ends_at = 4 + (4 + BOX_BYTES) * @count

      def ends = @ends ||= @bytes.unpack("V#{@count}", offset: ends_at)

      # Where the length of the attributes stands.
      def attributes_at = ends_at + 4 * @count

      def attributes_bytes = @bytes.unpack1("V", offset: attributes_at)

      def read_attributes = BlockAttributes.new(@bytes.byteslice(attributes_at + 4, attributes_bytes))

      def shapes_at = @shapes_at ||= attributes_at + 4 + attributes_bytes
    end
  end
end
