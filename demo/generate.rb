#!/usr/bin/env ruby
# frozen_string_literal: true

# Draws the invented moor of Skarrow Moss and writes it to demo/skarrow-moss: run `ruby demo/generate.rb`.
# The result is committed; running it again gives the same bytes.

$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "bundler/setup"
require "tile_loom"
require "fileutils"
require "json"
require "tmpdir"
%w[height_field heap drainage curve landscape pictures].each { |name| require_relative name }

module Demo
  # Writes the layers as GeoJSON, heights and pictures as GeoTIFF.
  class Generator
    REFERENCE = "EPSG:25829"
    FOLDER = File.join(__dir__, "skarrow-moss")

    def run
      FileUtils.mkdir_p(FOLDER)
      @field = HeightField.new
      Drainage.new(@field).carve
      drainage = Drainage.new(@field)
      land = Landscape.new(@field, drainage)
      write("restoration-area", land.area)
      write("compartments", land.compartments)
      write("water", land.water)
      write("lochans", land.lochans)
      write("tracks", land.tracks)
      write("boardwalk", land.boardwalk)
      write("fences", land.fences)
      write("dams", land.dams)
      write("huts", land.huts)
      write("hazards", land.hazards)
      Dir.mktmpdir { |folder| heights(folder) }
      Dir.mktmpdir { |folder| Pictures.new(@field, FOLDER, method(:tool)).write(folder) }
    end

    private

    # RFC 7946: longitude and latitude, seven decimals (a centimetre).
    def write(name, features, simplify: nil)
      transform =
        TileLoom::Crs::Transform.between(TileLoom::Crs::System.find(REFERENCE), TileLoom::Crs::System.find("OGC:CRS84"))
      lines =
        features.map do |geometry, attributes|
          moved = {"type" => geometry["type"], "coordinates" => lonlat(geometry["coordinates"], transform)}
          JSON.generate({"type" => "Feature", "properties" => attributes, "geometry" => moved})
        end
      File.write(
        File.join(FOLDER, "#{name}.geojson"),
        %({"type":"FeatureCollection","name":"#{name}","features":[\n#{lines.join(",\n")}\n]}\n)
      )
      puts format("%-18s %5d features", name, features.length)
    end

    def lonlat(coordinates, transform)
      if coordinates.first.is_a?(Numeric)
        return transform.forward(coordinates.map(&:to_f)).map { |degrees| degrees.round(7) }
      end
      return coordinates.map { |part| lonlat(part, transform) } unless coordinates.first.first.is_a?(Numeric)
      transform
        .forward(coordinates.flatten.map(&:to_f))
        .each_slice(2)
        .map { |pair| pair.map { |degrees| degrees.round(7) } }
    end

    # The height field as an ASCII grid; GDAL makes the GeoTIFF and traces the contours.
    def heights(folder)
      ascii = File.join(folder, "heights.asc")
      half = HeightField::STEP / 2
      head =
        "ncols #{HeightField::COLUMNS}\nnrows #{HeightField::ROWS}\nxllcorner #{HeightField::WEST - half}\nyllcorner " \
        "#{HeightField::SOUTH - half}\ncellsize #{HeightField::STEP}\n"
      File.write(
        ascii,
        head + @field.grid.reverse.map { |row| row.map { |height| format("%.2f", height) }.join(" ") }.join("\n") + "\n"
      )
      tool(
        "gdalwarp",
        "-q",
        "-overwrite",
        "-s_srs",
        REFERENCE,
        "-t_srs",
        REFERENCE,
        "-tr",
        "20",
        "20",
        "-r",
        "average",
        "-co",
        "COMPRESS=DEFLATE",
        "-co",
        "PREDICTOR=3",
        ascii,
        File.join(FOLDER, "heights.tif")
      )
      fine = File.join(folder, "fine.tif")
      tool(
        "gdalwarp",
        "-q",
        "-s_srs",
        REFERENCE,
        "-t_srs",
        REFERENCE,
        "-tr",
        "5",
        "5",
        "-r",
        "cubicspline",
        ascii,
        fine
      )
      lines = File.join(folder, "contours.geojson")
      tool("gdal_contour", "-q", "-a", "height_m", "-i", "2", "-f", "GeoJSON", fine, lines)
      write("contours", contours(JSON.parse(File.read(lines))["features"]))
    end

    # Thinned to half a metre; every fifth is an index contour.
    def contours(features)
      features.filter_map do |feature|
        flat = feature["geometry"]["coordinates"].flatten
        shape = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.line(flat))
        next if shape.length < 60
        thin =
          TileLoom::Geometry::Wkb.each_run(TileLoom::Geometry::Geos.write(shape.simplify(0.5))).first[1].each_slice(
            2
          ).to_a
        height = feature["properties"]["height_m"].round
        [{"type" => "LineString", "coordinates" => thin}, {"height_m" => height, "index" => (height % 10).zero?}]
      end
    end

    def tool(*command) = system(*command) || raise("#{command.first} failed; is gdal-bin installed?")
  end
end

Demo::Generator.new.run
