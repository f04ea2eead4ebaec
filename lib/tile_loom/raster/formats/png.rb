# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # ISO/IEC 15948, with a world file beside it.
      class Png < Format
        kind "png", "PNG"
        reads ".png", driver: "PNG"

        # Deflate packs 1,032 bytes into one at most (zlib's own figure), and a byte holds eight pixels of one bit.
        def self.samples_per_byte = 1_032 * 8
      end
    end
  end
end
