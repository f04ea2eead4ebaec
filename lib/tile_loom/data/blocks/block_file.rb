# frozen_string_literal: true

module TileLoom
  module Data
    # Features as Blocks in a file, with a list of where each lies and what it holds, so that a part of them is found
    # without reading the rest.
    class BlockFile
      BLOCKS, LIST = "blocks", "list.json"
      # Blocks that were used last, of all files, by their bytes.
      USED = RecentlyUsed.new(24 * 1024**2)

      # What was written is not there whole.
      Damaged = Class.new(StandardError)

      # bytes: where they begin, and how many.
      Entry = Struct.new(:from, :bytes, :box)
      private_constant :Entry, :USED

      # Into a folder. built: BlockBuilder::Built, one at a time; notices: sentences on the features.
      def self.write(folder, built, notices)
        list = []
        File.open(File.join(folder, BLOCKS), "wb") do |io|
          built.each do |block|
            list << [io.pos, block.bytes.bytesize, block.count, *block.box.to_a]
            io.write(block.bytes)
          end
        end
        File.write(File.join(folder, LIST), JSON.generate("notices" => notices, "blocks" => list))
      end

      attr_reader :notices, :count

      # folder: that it was written into. Raises Damaged.
      def initialize(folder)
        @path = File.join(folder, BLOCKS)
        list = JSON.parse(File.read(File.join(folder, LIST)))
        @notices, blocks = list.values_at("notices", "blocks")
        @count = blocks.sum { |block| block[2] }
        raise Damaged unless File.size(@path) == blocks.sum { |block| block[1] }
        @entries = blocks.map { |from, bytes, _, *sides| Entry.new(from, bytes, Geometry::Box.new(*sides)) }
      rescue JSON::ParserError, SystemCallError
        raise Damaged
      end

      # The Box round all of them, or nil.
      def box = @entries.map(&:box).reduce { |all, other| all.union(other) }

      # The Features whose box meets a Box, all where it is nil, by their identities.
      def features(box = nil)
        met = box ? @entries.select { |entry| entry.box.intersects?(box) } : @entries
        met.flat_map { |entry| block(entry).features(box) }.sort_by!(&:id)
      end

      private

      def block(entry)
        key = [@path, entry.from]
        USED[key] ||
          Block.new(File.binread(@path, entry.bytes, entry.from)).tap { |block| USED.keep(key, block, entry.bytes) }
      end
    end
  end
end
