# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # ISO/IEC 10918, with a world file beside it.
      class Jpeg < Format
        kind "jpeg", "JPEG"
        reads ".jpg", ".jpeg", driver: "JPEG"

        def self.lossy?(_info) = true
      end
    end
  end
end
