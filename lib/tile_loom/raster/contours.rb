# frozen_string_literal: true

require "json"
require "tmpdir"

module TileLoom
  module Raster
    # Contours of heights, traced by GDAL's gdal_contour, as features of lines.
    class Contours
      # Lines at most.
      MOST = 200_000

      # raster: Prepared; interval, base: in the units of its values; every: how many lines from one index line to the
      # next.
      def initialize(raster, interval:, base: 0.0, every: 5, wanted: nil)
        @raster, @interval, @base, @every, @wanted = raster, interval, base, every, wanted
        facts = raster.facts
        raise Refusal.new("raster.contours_of_values") unless facts.heights?
        count = (facts.highest.first - facts.lowest.first) / interval
        raise Refusal.new("raster.contours_too_many", count: Units::Number.grouped(count.round)) if count > 2_000
        raise Refusal.new("raster.contours_none", interval: Units::Number.plain(interval, decimals: 4)) if levels.zero?
      end

      # Between the lowest and the highest value.
      def levels
        facts = @raster.facts
        ((facts.highest.first - @base) / @interval).floor - ((facts.lowest.first - @base) / @interval).ceil + 1
      end

      # Writes a GeoJSON collection in the raster's own reference: features with "height" and "index" (is it an index
      # line?). Yields the count so far.
      def write(path)
        count = 0
        File.open(path, "w") do |io|
          io.write('{"type":"FeatureCollection","features":[')
          lines do |feature|
            io.write(count.zero? ? "\n" : ",\n", JSON.generate(feature))
            count += 1
            raise Refusal.new("raster.contours_too_many", count: Units::Number.grouped(count)) if count > MOST
            yield count if block_given? && (count % 100).zero?
          end
          io.write("]}\n")
        end
        count
      end

      private

      # In a file first: GDAL's lines of GeoJSON would be in longitude and latitude, by a way of its own.
      def lines
        Dir.mktmpdir("tile-loom-contours") do |folder|
          target = File.join(folder, "lines.geojson")
          traced(target)
          File.foreach(target) do |line|
            next unless line.start_with?("{ \"type\": \"Feature\"")
            yield feature(JSON.parse(line.strip.delete_suffix(",")))
          end
        end
      end

      def traced(target)
        nodata = @raster.facts.nodata
        PixelProcess.new(
          "The heights",
          drivers: %w[GTiff GeoJSON],
          wanted: @wanted,
          seconds: Prepare::SECONDS,
          reads: [@raster.folder],
          writes: [File.dirname(target)]
        ).capture(
          "gdal_contour",
          "-q",
          "-a",
          "height",
          "-i",
          @interval.to_s,
          "-off",
          @base.to_s,
          *((nodata.nil? || nodata == "nan") ? [] : ["-snodata", nodata.to_s]),
          "-f",
          "GeoJSON",
          "-lco",
          "RFC7946=NO",
          "-lco",
          "COORDINATE_PRECISION=#{@raster.grid.system.geographic? ? 9 : 4}",
          File.join(@raster.folder, Prepared::PIXELS),
          target
        )
      end

      def feature(found)
        height = found["properties"]["height"]
        number = ((height - @base) / @interval).round
        height = height.to_i if height == height.to_i
        {
          "type" => "Feature",
          "properties" => {
            "height" => height,
            "index" => (number % @every).zero?
          },
          "geometry" => found["geometry"]
        }
      end
    end
  end
end
