# frozen_string_literal: true

require "tempfile"

module TileLoom
  module Data
    # Packs the features of a layer into Blocks of such as lie together. They come in any order and wait in a file, so
    # that only a few numbers of each are in memory.
    class BlockBuilder
      # number: from 0; box: round its features.
      Built = Struct.new(:number, :count, :box, :bytes)

      def initialize
        @spool = Tempfile.new("tile-loom-features", binmode: true)
        @names, @sizes, @boxes, @ids = [], +"".b, +"".b, +"".b
        @count = 0
      end

      attr_reader :count

      # Takes a feature: its identity, its shape as well-known binary, its attributes. One without any place is passed
      # over.
      def add(id, wkb, attributes)
        box = Geometry::Wkb.extent([wkb]) or return
        text = JSON.generate(row(attributes))
        @spool.write(wkb, text)
        @sizes << [wkb.bytesize, text.bytesize].pack("VV")
        @boxes << box.to_a.pack("E4")
        @ids << [id].pack("V")
        @box = @box ? @box.union(box) : box
        @count += 1
      end

      # The Box round all of them, or nil.
      attr_reader :box

      # Yields the Built blocks, once; what waited is gone then. Afterwards or in between, types tells what the fields
      # hold.
      def each
        return enum_for(:each) unless block_given?
        @spool.flush
        number = -1
        groups { |places| yield built(number += 1, places) }
      ensure
        @spool.close!
      end

      # AttributeTypes of the blocks that were built.
      def types = @types ||= AttributeTypes.new

      private

      # A value for each name known so far; fresh ones come behind.
      def row(attributes)
        return attributes.values if attributes.keys == @names
        fresh = attributes.keys - @names
        @names.concat(fresh)
        @names.map { |name| attributes.fetch(name, BlockAttributes::ABSENT) }
      end

      # Yields lists of places of features that lie together.
      def groups
        offsets = offsets()
        places, bytes = [], 0
        order.each do |place|
          places << place
          bytes += offsets[place + 1] - offsets[place]
          next if places.length < Block::FEATURES && bytes < Block::BYTES
          yield places.sort
          places, bytes = [], 0
        end
        yield places.sort if places.any?
      end

      # Where each feature begins in the file, and where the last one ends.
      def offsets
        @offsets ||=
          begin
            at = 0
            @sizes.unpack("V*").each_slice(2).map { |wkb, text| at += wkb + text }.unshift(0)
          end
      end

      def built(number, places)
        shapes, texts = places.map { |place| record(place) }.transpose
        boxes = places.map { |place| @boxes.byteslice(place * 32, 32) }
        rows = JSON.parse("[#{texts.join(",")}]")
        learn(rows)
        box = Geometry::Box.new(*extent(boxes))
        ids = places.map { |place| @ids.unpack1("V", offset: place * 4) }
        Built.new(number, places.length, box, Block.dump(ids, boxes, shapes, @names, padded(rows)))
      end

      # Rows from before a name came are shorter.
      def padded(rows)
        width = @names.length
        rows.map { |row| (row.length == width) ? row : row + Array.new(width - row.length, BlockAttributes::ABSENT) }
      end

      def learn(rows)
        @names.each_with_index do |name, index|
          types.observe_all(name, rows.map { |row| row[index] }.reject { |value| value.is_a?(Array) })
        end
      end

      def record(place)
        wkb, text = @sizes.unpack("VV", offset: place * 8)
        bytes = @spool.pread(wkb + text, @offsets[place])
        [bytes.byteslice(0, wkb), bytes.byteslice(wkb, text).force_encoding(Encoding::UTF_8)]
      end

      def extent(boxes)
        all = boxes.map { |box| box.unpack("E4") }.transpose
        [all[0].min, all[1].min, all[2].max, all[3].max]
      end

      # Places of all features along a curve that keeps neighbours together: the digits of their middle's easting and
      # northing, in the grid of all, taken in turn (G. M. Morton, 1966).
      def order
        return [] if @count.zero?
        west, south = box.min_x, box.min_y
        across, along = [box.width, box.height].map { |side| side.positive? ? (CELLS - 1) / side / 2 : 0.0 }
        keys = Array.new(@count)
        (0...@count).step(STEP) do |first|
          sides = @boxes.unpack("E#{4 * [STEP, @count - first].min}", offset: first * 32)
          (0...sides.length / 4).each do |index|
            at = index * 4
            x = ((sides[at] + sides[at + 2] - 2 * west) * across).to_i
            y = ((sides[at + 1] + sides[at + 3] - 2 * south) * along).to_i
            keys[first + index] = (apart(x) | apart(y) << 1) << PLACE_BITS | (first + index)
          end
        end
        keys.sort!
        mask = (1 << PLACE_BITS) - 1
        keys.map! { |key| key & mask }
      end

      # Cells of the grid on a side; bits for the place of a feature beside those of its key in a small integer.
      CELLS, PLACE_BITS, STEP = 65_536, 29, 50_000
      # The bits of a byte with a gap after each.
      GAPS = (0...256).map { |byte| (0...8).sum { |bit| byte[bit] << (2 * bit) } }.freeze
      private_constant :CELLS, :PLACE_BITS, :STEP, :GAPS

      def apart(number) = GAPS[number & 255] | GAPS[number >> 8] << 16
    end
  end
end
