# frozen_string_literal: true

module TileLoom
  module Data
    # What was read of a layer of a file on this disk into the reference of a book, kept for the next time: parts of it,
    # or all.
    class KeptReadings
      # Another way of reading makes other features.
      VERSION = 1

      # key: plain values that tell the layer as it is read from all others.
      def initialize(key)
        @key = key
        @cache = Assets::CacheFolder.new(Assets::CacheFolder.of_user("layers"))
      end

      # Is what meets a Box (all with nil) there already?
      def kept?(box) = @cache.kept?(key(box))

      # The BlockFile of what meets a Box, of all with nil; where it is not there, the block gives the FeatureReader of
      # it. Refusal as the reader has it.
      def fetch(box, &reader)
        file(box, &reader)
      rescue BlockFile::Damaged
        @cache.forget(key(box))
        file(box, &reader)
      end

      private

      def file(box) = BlockFile.new(@cache.fetch(key(box)) { |folder| write(folder, yield, nothing: !box.nil?) })

      def key(box) = [VERSION, @key, box&.to_a]

      # nothing: is it no fault of the file where it holds nothing?
      def write(folder, reader, nothing:)
        blocks = BlockBuilder.new(processes: SharedReading::PROCESSES, some: false)
        begin
          reader.each_packed(processes: SharedReading::PROCESSES) { |batch| blocks.add_batch(batch) }
        rescue Refusal => error
          raise unless nothing && error.code == "data.no_features"
        end
        BlockFile.write(folder, blocks.each, reader.notices)
      end
    end
  end
end
