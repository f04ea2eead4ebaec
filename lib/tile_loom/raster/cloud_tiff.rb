# frozen_string_literal: true

module TileLoom
  module Raster
    # A cloud-optimised GeoTIFF (OGC 21-026) written by GDAL, with coarser levels.
    class CloudTiff
      PLAIN = %w[-co BLOCKSIZE=512 -co OVERVIEWS=IGNORE_EXISTING -co BIGTIFF=IF_SAFER -co NUM_THREADS=2].freeze
      QUALITY = 90

      # process: a Process; lossy: as JPEG; shrunk: how the coarser levels come about.
      def initialize(process, lossy: false, shrunk: "AVERAGE")
        @process, @lossy, @shrunk = process, lossy, shrunk
      end

      # options: of gdal_translate. Yields the share that is done.
      def write(source, target, *options, &progress)
        Steps.run(
          @process,
          "gdal_translate",
          "-of",
          "COG",
          *PLAIN,
          *compression,
          "-co",
          "OVERVIEW_RESAMPLING=#{@shrunk}",
          *options,
          source,
          target,
          &progress
        )
      end

      private

      def compression =
        @lossy ? ["-co", "COMPRESS=JPEG", "-co", "QUALITY=#{QUALITY}"] : %w[-co COMPRESS=DEFLATE -co PREDICTOR=YES]
    end
  end
end
