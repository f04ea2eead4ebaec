# frozen_string_literal: true

require "tmpdir"

module App
  # A layer's features as a file in an open format, in the book's reference (GeoJSON: in longitude and
  # latitude, as RFC 7946 asks).
  class LayerExport
    # Ending of the file that GDAL writes (which tells it the format), ending of the download, type.
    FORMATS = {"geojson" => [".geojson", ".geojson", "application/geo+json"], "gpkg" => [".gpkg", ".gpkg", "application/geopackage+sqlite3"], "shp" => [".shp.zip", ".zip", "application/zip"]}.freeze

    def initialize(layer, format)
      @layer = layer
      @written, @ending, @type = FORMATS.fetch(format) { raise TileLoom::Invalid.new("“#{format}” is not a format for layers; use one of #{FORMATS.keys.join(", ")}.") }
    end

    attr_reader :type

    def name = "#{@layer.key}#{@ending}"

    # Yields the finished file, which is gone after the block. GDAL zips a Shapefile whose name ends in
    # .shp.zip by itself.
    def make
      Dir.mktmpdir("tile-loom-export") do |folder|
        source = File.join(folder, "source.geojsonl")
        File.open(source, "w") { |io| @layer.each_geojson { |identity, feature| io.puts(JSON.generate(feature.merge("id" => identity))) } }
        written = File.join(folder, "#{@layer.key}#{@written}")
        TileLoom::Ground::GdalProcess.new(name).capture("ogr2ogr", *options, written, source)
        yield written
      end
    end

    private

    # Longitude and latitude for GeoJSON; else the book's reference, texts in UTF-8.
    def options
      reference = @layer.book.reference
      given = case @written
      when ".geojson" then ["-t_srs", "OGC:CRS84", "-lco", "RFC7946=YES", "-lco", "COORDINATE_PRECISION=9"]
      when ".shp.zip" then ["-t_srs", reference, "-lco", "ENCODING=UTF-8"]
      else ["-t_srs", reference]
      end
      ["-s_srs", reference, *given, "-nln", @layer.key]
    end
  end
end
