# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # OGC 19-008r4, cloud-optimised ones among them.
      class Geotiff < Format
        kind "geotiff", "GeoTIFF"
        reads ".tif", ".tiff", driver: "GTiff"

        def self.lossy?(info) = info.dig("metadata", "IMAGE_STRUCTURE", "COMPRESSION").to_s.match?(/JPEG|WEBP|LERC_/)
      end
    end
  end
end
