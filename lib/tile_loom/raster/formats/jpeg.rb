# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # ISO/IEC 10918, with a world file beside it.
      class Jpeg < Format
        kind "jpeg", "JPEG"
        reads ".jpg", ".jpeg", driver: "JPEG"

        # A block of 64 takes two bits at least (ISO 10918-1, F.1.2), and one of halved colours stands for four.
        def self.samples_per_byte = 64 * 4 * 4

        def self.lossy?(_info) = true
      end
    end
  end
end
