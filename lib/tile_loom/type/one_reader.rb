# frozen_string_literal: true

require "monitor"
require "ttfunk"

module TileLoom
  module Type
    # TTFunk reads the tables of a font when they are first asked for, from one place in its bytes that all of them
    # share (TTFunk::Reader): two threads at it at once would read on where the other stands. So one reads at a time.
    module OneReader
      LOCK = Monitor.new

      # bytes: of a font file, or of a collection with a font at an offset.
      def self.open(bytes, offset = 0) = TTFunk::File.new(bytes, offset)

      private

      def parse_from(...) = LOCK.synchronize { super }
    end

    TTFunk::Reader.prepend(OneReader)
  end
end
