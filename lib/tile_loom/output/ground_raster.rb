# frozen_string_literal: true

require "fileutils"
require "tmpdir"

module TileLoom
  module Output
    # Pixels that know where on the ground they lie, as files of GDAL's formats.
    class GroundRaster
      # place: a PlacedPicture.
      def initialize(place) = @place = place

      # image: a Vips::Image; north_up: is a turned one drawn anew so that north is up? Writes a GeoTIFF (OGC 19-008r4).
      def geotiff(image, path, north_up: false)
        in_folder(image, path) do |source|
          source = upright(source) if north_up && @place.turned?
          run("gdal_translate", "-q", "-of", "GTiff", *TIFF, source, path)
        end
      end

      # Tiles of MBTiles in spherical Mercator, with coarser levels.
      # credits: who is to be named for what is in it, or "".
      def mbtiles(image, path, name, credits: "")
        in_folder(image, path) do |source|
          named = ["NAME=#{name}", "DESCRIPTION=#{[name, credits].reject(&:empty?).join(". ")}", "TILE_FORMAT=PNG"]
          named = named.flat_map { |option| ["-co", option] }
          run("gdal_translate", "-q", "-of", "MBTILES", *named, source, path)
          run("gdaladdo", "-q", "-r", "average", path, *levels(image))
          run("sqlite3", path, COARSEST)
        end
      end

      # GDAL says one level too many.
      COARSEST = "UPDATE metadata SET value = (SELECT MIN(zoom_level) FROM tiles) WHERE name = 'minzoom'"

      # Tiles of a GeoPackage (OGC 12-128r18) in the book's own reference, with coarser levels.
      def geopackage(image, path)
        in_folder(image, path) do |source|
          run(
            "gdal_translate",
            "-q",
            "-of",
            "GPKG",
            "-co",
            "TILE_FORMAT=PNG_JPEG",
            "-co",
            "RASTER_TABLE=ground",
            source,
            path
          )
          run("gdaladdo", "-q", "-r", "average", path, *levels(image))
        end
      end

      private

      DRIVERS = %w[VRT GTiff PNG JPEG MBTiles GPKG SQLite].freeze
      TIFF = %w[-co COMPRESS=DEFLATE -co PREDICTOR=2 -co TILED=YES -co BIGTIFF=IF_SAFER].freeze

      # The pixels as a plain TIFF, and beside it what tells where they lie.
      def in_folder(image, path)
        Dir.mktmpdir("tile-loom-raster") do |folder|
          image.tiffsave(File.join(folder, "pixels.tif"), compression: :none, bigtiff: true)
          description = File.join(folder, "pixels.vrt")
          File.write(description, @place.description("pixels.tif", image.width, image.height, image.bands))
          @folders = [folder, File.dirname(File.expand_path(path))]
          yield description
        end
      end

      def upright(source)
        turned = File.join(@folders.first, "upright.tif")
        run("gdalwarp", "-q", "-r", "cubic", "-dstalpha", "-of", "GTiff", source, turned)
        turned
      end

      LEAST_PX = 256

      def levels(image)
        longest = [image.width, image.height].max
        (1..12)
          .map { |power| 2**power }
          .take_while { |factor| longest / factor >= LEAST_PX }
          .then { |found| found.empty? ? [2] : found }
          .map(&:to_s)
      end

      def run(*command)
        Sandbox::GdalProcess.new("The picture", drivers: DRIVERS, writes: @folders).capture(*command)
      end
    end
  end
end
