# frozen_string_literal: true

require "open3"
require "tmpdir"
require "vips"

# Rasters made for an example, and what GDAL's own tools say of them: an opinion from outside.
module Rasters
  def self.included(example) = example.let(:folder) { @folder }

  def with_folder = Dir.mktmpdir("rasters") { |folder| (@folder = folder) && yield }

  def tool(*command, input: nil)
    out, status = Open3.capture2e({"GDAL_PAM_ENABLED" => "NO"}, *command, stdin_data: input.to_s)
    raise "#{command.first}: #{out}" unless status.success?
    out
  end

  # A GeoTIFF of a Vips::Image; ullr: [west, north, east, south] in the reference.
  def geotiff(name, image, crs, ullr, *options)
    plain = File.join(folder, "plain-#{name}.tif")
    image.tiffsave(plain)
    File
      .join(folder, "#{name}.tif")
      .tap { |path| tool("gdal_translate", "-q", "-a_srs", crs, "-a_ullr", *ullr.map(&:to_s), *options, plain, path) }
  end

  # A smooth image of three bands of bytes, so that neighbours differ by little.
  def smooth(width, height, seed: 1) =
    (0..2)
      .map do |band|
        Vips::Image.perlin(width, height, cell_size: 120, seed: seed + band).linear(100, 128).rint.cast(:uchar)
      end
      .then { |bands| bands.first.bandjoin(bands.drop(1)).copy(interpretation: :srgb) }

  def found_in(path) =
    TileLoom::Raster::Bundle
      .new(path)
      .open { |parts| parts.flat_map { |part| TileLoom::Raster::Inspection.new(part).all } }

  # A Prepared of a file.
  def prepared(path, **choice)
    target = Dir.mktmpdir("prepared", folder)
    TileLoom::Raster::Cache.prepare([path], target, **choice)
    TileLoom::Raster::Prepared.read(target)
  end

  def raster_layer(look, **more) =
    TileLoom::Symbology::Layer.new(
      {"id" => "pixels", "title" => "Pixels", "raster" => look, **more.transform_keys(&:to_s)}
    )

  # A View::FrameView of so many mm of a reference about a place.
  def raster_view(code, centre, scale, width_mm: 100.0, height_mm: 80.0, rotation_deg: 0.0)
    crs = TileLoom::Crs::System.find(code)
    per_mm = scale / 1000.0 / crs.metres_per_unit
    TileLoom::View::FrameView.new(
      frame: TileLoom::Geometry::Box.at(20.0, 15.0, width_mm, height_mm),
      ground: TileLoom::Geometry::TurnedRectangle.new(*centre, width_mm * per_mm, height_mm * per_mm, rotation_deg),
      crs: crs
    )
  end

  # The Scene::Image of a raster in a view, or nil.
  def drawn(raster, look, view, ppi: 300)
    TileLoom::View::RasterDrawing
      .new(layer: raster_layer(look), raster: raster, view: view, ppi: ppi)
      .group
      .children
      .first
  end

  # What gdalwarp makes of a file on the very pixels of a drawn image: a Vips::Image.
  def warped(path, image, view, way: "bilinear", options: [])
    pixels = image.raster
    step = image.width_mm / pixels.width_px
    map = view.inverse
    x, y = view.to_ground([image.x, image.y])
    numbers = [x, map.a * step, map.c * step, y, map.b * step, map.d * step]
    target = File.join(folder, "target.tif")
    black = File.join(folder, "black.tif")
    Vips::Image.black(pixels.width_px, pixels.height_px, bands: pixels.image.bands).tiffsave(black)
    description = File.join(folder, "target.vrt")
    bands =
      (1..pixels.image.bands).map do |band|
        "<VRTRasterBand dataType=\"Byte\" band=\"#{band}\"><SimpleSource><SourceFilename>#{black}</SourceFilename>" \
          "<SourceBand>#{band}</SourceBand></SimpleSource></VRTRasterBand>"
      end
    size = %(rasterXSize="#{pixels.width_px}" rasterYSize="#{pixels.height_px}")
    srs = %(<SRS dataAxisToSRSAxisMapping="1,2">#{CGI.escapeHTML(view.crs.wkt)}</SRS>)
    place = "<GeoTransform>#{numbers.map { |number| format("%.16e", number) }.join(",")}</GeoTransform>"
    File.write(description, "<VRTDataset #{size}>#{srs}#{place}#{bands.join}</VRTDataset>")
    tool("gdal_translate", "-q", description, target)
    tool("gdalwarp", "-q", "-et", "0", "-r", way, *options, path, target)
    Vips::Image.tiffload(target)
  end
end
