# frozen_string_literal: true

require "json"

module TileLoom
  module Raster
    # A GDAL tool over pixels: memory flat, time for large ones.
    class PixelProcess < Sandbox::GdalProcess
      # JSON has no such numbers, which gdalinfo writes all the same.
      NO_NUMBER = /(?<=[:\s\[,])-?(?:nan|inf)(?=[,\s\]}])/i

      def initialize(name, drivers:, seconds: SECONDS, **more)
        super(name, drivers: drivers, **more)
        @seconds = seconds
      end

      # gdalinfo's report of a file, parsed; Refusal where there is none.
      def info(path, *options)
        text = capture("gdalinfo", "-json", "-nofl", *options, path)
        JSON.parse(text[text.index("{")..].gsub(NO_NUMBER, "null"))
      rescue JSON::ParserError, ArgumentError, NoMethodError
        raise Refusal.new("raster.unreadable", name: @name)
      end

      private

      attr_reader :seconds

      def environment(folder) =
        super.merge("GDAL_CACHEMAX" => "256", "GDAL_MAX_DATASET_POOL_SIZE" => "64", "OPJ_NUM_THREADS" => "1")
    end
  end
end
