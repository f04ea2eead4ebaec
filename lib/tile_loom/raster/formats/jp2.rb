# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # ISO/IEC 15444.
      class Jp2 < Format
        kind "jp2", "JPEG 2000"
        reads ".jp2", ".j2k", ".jpx", driver: "JP2OpenJPEG"

        def self.lossy?(info) = info.dig("metadata", "IMAGE_STRUCTURE", "COMPRESSION_REVERSIBILITY") != "LOSSLESS"
      end
    end
  end
end
