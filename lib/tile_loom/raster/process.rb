# frozen_string_literal: true

module TileLoom
  module Raster
    # A GDAL tool over pixels: memory flat, nothing written beside the files, time for large ones.
    class Process < Data::GdalProcess
      def initialize(name, drivers:, wanted: nil, seconds: SECONDS)
        super(name, drivers: drivers, wanted: wanted)
        @seconds = seconds
      end

      private

      attr_reader :seconds

      def environment(folder) =
        super.merge("GDAL_CACHEMAX" => "256", "GDAL_MAX_DATASET_POOL_SIZE" => "64", "OPJ_NUM_THREADS" => "1")
    end
  end
end
