# frozen_string_literal: true

require "tmpdir"

module App
  # Features written as a file in an open format by GDAL, in the book's reference (GeoJSON: in longitude and
  # latitude, as RFC 7946 asks).
  class VectorFile
    # Ending of the file that GDAL writes (which tells it the format), ending of the download, type. GDAL zips
    # a Shapefile whose name ends in .shp.zip by itself.
    FORMATS = {"geojson" => [".geojson", ".geojson", "application/geo+json"], "gpkg" => [".gpkg", ".gpkg", "application/geopackage+sqlite3"],
               "shp" => [".shp.zip", ".zip", "application/zip"], "csv" => [".csv", ".csv", "text/csv"]}.freeze

    # GDAL's name of what writes each, its last word.
    DRIVERS = {"geojson" => "GeoJSON", "gpkg" => "GPKG", "shp" => "Shapefile", "csv" => "CSV"}.freeze

    attr_reader :type

    # title: of the file; layer: of the layer in it; among: the formats to choose from; of: what is written, in
    # words; degree_places: decimals of longitude and latitude; shape: what a table calls its well-known text.
    def initialize(title, format, reference:, among:, of:, layer: title, degree_places: 9, shape: "shape")
      raise TileLoom::Invalid.new("“#{format}” is not a format for #{of}; use one of #{among.join(", ")}.") unless among.include?(format)
      @title, @layer, @format, @reference, @degree_places, @shape = title, layer, format, reference, degree_places, shape
      @written, @ending, @type = FORMATS.fetch(format)
    end

    # Of the download.
    def name = "#{@title}#{@ending}"

    # features: hashes of GeoJSON Features in the book's reference, one at a time. Yields the finished file,
    # which is gone after the block.
    def make(features)
      Dir.mktmpdir("tile-loom-export") do |folder|
        source = File.join(folder, "source.geojsonl")
        File.open(source, "w") { |io| features.each { |feature| io.puts(JSON.generate(feature)) } }
        written = File.join(folder, "#{@title}#{@written}")
        TileLoom::Ground::GdalProcess.new(name, drivers: [DRIVERS.fetch(@format)]).capture("ogr2ogr", "-s_srs", @reference, *options, "-nln", @layer, written, source)
        yield written
      end
    end

    private

    def options
      case @format
      when "geojson" then ["-t_srs", "OGC:CRS84", "-lco", "RFC7946=YES", "-lco", "COORDINATE_PRECISION=#{@degree_places}"]
      when "shp" then ["-t_srs", @reference, "-lco", "ENCODING=UTF-8"]
      when "csv" then ["-t_srs", @reference, "-lco", "GEOMETRY=AS_WKT", "-lco", "GEOMETRY_NAME=#{@shape}"]
      else ["-t_srs", @reference]
      end
    end
  end
end
