# frozen_string_literal: true

require "tempfile"

module TileLoom
  module Data
    # Packs the features of a layer into Blocks of such as lie together. They come in any order and wait in a file, so
    # that only a few numbers of each are in memory.
    class BlockBuilder
      # number: from 0; box: round its features; level: FEW for those of some of the features, nil for those of all.
      Built = Struct.new(:number, :count, :box, :bytes, :level)

      # Of a layer of more features than MANY, so many that are spread as all are come in blocks of their own as well.
      FEW, MANY, SOME = -1, 5_000, 4_000
      # Those of a layer of so many features are built by several processes, where there are.
      MANY_TO_SHARE = 20_000

      attr_reader :count

      # processes: that build the blocks of many features; some: are those of level FEW wanted?
      def initialize(processes: 1, some: true)
        @processes, @some = processes, some
        # Of each feature its box, shape and values; all the boxes once more, to be read one after the other.
        @spool, @boxes = Array.new(2) { waiting_file }
        @records, @known = +"".b, []
        @count = @waiting = 0
        @sides = Geometry::Box::NO_SIDES
      end

      # The Box round all of them, or nil.
      def box = count.zero? ? nil : Geometry::Box.new(*@sides)

      # Takes a feature: its identity, its shape as well-known binary, its attributes. One without any place is passed
      # over.
      def add(id, wkb, attributes)
        box = Geometry::Wkb.extent([wkb]) or return
        keep([id], [wkb], [JSON.generate(attributes.values)], [box.to_a.pack("E4")], layout(attributes.keys))
      end

      # The same of a PackedBatch.
      def add_batch(batch)
        lists = [batch.ids, batch.shapes, batch.rows, batch.boxes]
        lists = lists.transpose.reject { |feature| feature.last.nil? }.transpose if batch.boxes.include?(nil)
        keep(*lists, layout(batch.names)) if lists.any?
      end

      # Yields the Built blocks, once; what waited is gone then.
      def each(&block)
        return enum_for(:each) unless block
        [@spool, @boxes].each(&:flush)
        return groups(order).each { |group| yield built(*group) } if @processes < 2 || count < MANY_TO_SHARE
        # The file and all that is known of the features is there in those processes, too.
        SharedReading.new(@processes) { |group| built(*group) }.each(groups(order), &block)
      ensure
        [@spool, @boxes].each(&:close) if block
      end

      private

      # Of each feature: bytes of its shape and of its values, its identity, which list of names it has, where it begins
      # in the file.
      RECORD, RECORD_BYTES, BOX_BYTES = "V4Q<", 24, 32
      private_constant :RECORD, :RECORD_BYTES, :BOX_BYTES

      # Gone with this process.
      def waiting_file = Tempfile.create("tile-loom-features", binmode: true).tap { |file| File.unlink(file.path) }

      # Of each block its number, the places of its features, its level (see Built).
      def groups(along)
        Enumerator.new do |found|
          grouped(along).each_with_index { |places, number| found << [number, places] }
          next unless @some && count > MANY
          some = along.each_slice((count / SOME.to_f).ceil).map { |places| places[places.length / 2] }
          grouped(some).each_with_index { |places, number| found << [number, places, FEW] }
        end
      end

      # Which of the lists of names it is.
      def layout(names) = @known.index(names) || (@known << names).length - 1

      # Each a list with an item for each feature, but for the layout, which is that of all.
      def keep(ids, shapes, rows, boxes, layout)
        numbers = []
        ids.each_with_index do |id, index|
          box, wkb, row = boxes[index], shapes[index], rows[index]
          @spool.write(box, wkb, row)
          numbers.push(wkb.bytesize, row.bytesize, id, layout, @waiting)
          @waiting += BOX_BYTES + wkb.bytesize + row.bytesize
        end
        @records << numbers.pack(RECORD * ids.length)
        sides = boxes.join
        @boxes.write(sides)
        @sides = Geometry::Box.widen(@sides, sides.unpack("E*"))
        @count += ids.length
      end

      # Lists of places of features that lie together.
      def grouped(along)
        Enumerator.new do |groups|
          places, bytes = [], 0
          along.each do |place|
            places << place
            bytes += @records.unpack("VV", offset: place * RECORD_BYTES).sum
            next if places.length < Block::FEATURES && bytes < Block::BYTES
            groups << places.sort!
            places, bytes = [], 0
          end
          groups << places.sort! if places.any?
        end
      end

      def built(number, places, level = nil)
        ids, boxes, shapes, rows, layouts = places.map { |place| record(place) }.transpose
        Built.new(
          number,
          places.length,
          Geometry::Box.around(boxes.join.unpack("E*")),
          Block.dump(ids, boxes, shapes, rows, layouts),
          level
        )
      end

      # Identity, box, shape, values and names of the feature at a place.
      def record(place)
        wkb, row, id, layout, from = @records.unpack(RECORD, offset: place * RECORD_BYTES)
        bytes = @spool.pread(BOX_BYTES + wkb + row, from)
        text = bytes.byteslice(BOX_BYTES + wkb, row).force_encoding(Encoding::UTF_8)
        [id, bytes.byteslice(0, BOX_BYTES), bytes.byteslice(BOX_BYTES, wkb), text, @known[layout]]
      end

      # Places of all features along a curve that keeps neighbours together: the digits of their middle's easting and
      # northing, in the grid of all, taken in turn (G. M. Morton, 1966).
      def order
        west, south, east, north = @sides
        across, along = [east - west, north - south].map { |side| side.positive? ? (CELLS - 1) / side / 2 : 0.0 }
        keys = Array.new(count)
        (0...count).step(STEP) do |first|
          some = [STEP, count - first].min
          bytes = @boxes.pread(some * BOX_BYTES, first * BOX_BYTES)
          sides = bytes.unpack("E*")
          (0...sides.length / 4).each do |index|
            at = index * 4
            x = ((sides[at] + sides[at + 2] - 2 * west) * across).to_i
            y = ((sides[at + 1] + sides[at + 3] - 2 * south) * along).to_i
            keys[first + index] = (apart(x) | apart(y) << 1) << PLACE_BITS | (first + index)
          end
          [bytes, sides].each(&:clear)
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
