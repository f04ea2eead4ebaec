# frozen_string_literal: true

require "json"
require "open3"
require "tmpdir"
require "vips"
require_relative "apart"

module Bench
  # Sheets wholly under a photograph of 0.25 m, beside gdalwarp's own time for the same window; memory over many sheets.
  class RasterMeasures
    SCALE = 3_000
    WIDTH, HEIGHT = 12_000, 10_000
    WEST, NORTH = 403_000.0, 6_530_000.0
    ROUNDS = 5
    # Width and height of frames in mm. A thousand of the larger would take a quarter of an hour.
    A3, SMALL = [420.0, 297.0], [140.0, 99.0]

    # Rows of the table: [what, value].
    def rows
      Dir.mktmpdir("tile-loom-bench") do |folder|
        photograph = photograph(folder)
        started = clock
        raster = prepared(photograph, folder)
        came_in = clock - started
        [
          ["A photograph of 120 million px made ready (JPEG GeoTIFF)", format("%.1f s", came_in)],
          *sheet_rows(raster, photograph, folder),
          ["The same on a sheet turned by 30°, in its own CRS", format("%.2f s", turned(raster))],
          ["A3 under the photograph at screen resolution, p50 · p95", format("%.0f ms · %.0f ms", *proofs(raster))],
          ["A3 under the photograph, peak memory for 20 sheets", memory(raster, 20, *A3)],
          *[20, 1_000].map do |count|
            ["A ninth of A3 under the photograph, peak memory for #{count} sheets", memory(raster, count, *SMALL)]
          end
        ]
      end
    end

    # One child: draws so many sheets of a size and prints its peak memory in MB.
    def self.child(folder, count, *size)
      bench = new
      raster = TileLoom::Raster::Prepared.read(folder)
      count.times { |index| bench.page(raster, bench.view(index, size: size)) }
      print Apart.megabytes
    end

    def view(index = 0, crs: "EPSG:25829", size: A3, turned: 0.0)
      system = TileLoom::Crs::System.find(crs)
      width, height = size
      centre = [WEST + 1_400 + index % 20 * 10, NORTH - 1_200 - index / 20 % 20 * 10]
      unless crs == "EPSG:25829"
        centre = TileLoom::Crs::Transform.between(TileLoom::Crs::System.find("EPSG:25829"), system).point(*centre)
      end
      TileLoom::View::FrameView.new(
        frame: TileLoom::Geometry::Box.at(0.0, 0.0, width, height),
        ground: TileLoom::Geometry::TurnedRectangle.new(*centre, width * SCALE / 1000, height * SCALE / 1000, turned),
        crs: system
      )
    end

    def page(raster, view, ppi: 300)
      layer = TileLoom::Symbology::Layer.new({"id" => "p", "title" => "P", "raster" => {"kind" => "picture"}})
      group = TileLoom::View::RasterDrawing.new(layer: layer, raster: raster, view: view, ppi: ppi).group
      drawing = TileLoom::Scene::Drawing.new(width_mm: view.frame.width, height_mm: view.frame.height, nodes: [group])
      [TileLoom::Output::Pdf::Page.of(drawing), drawing]
    end

    private

    def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def median(times) = times.sort[times.length / 2]

    def timed = clock.then { |started| yield.then { clock - started } }

    def photograph(folder)
      plain, path = File.join(folder, "plain.tif"), File.join(folder, "photograph.tif")
      bands =
        [7, 8, 9].map do |seed|
          Vips::Image.perlin(WIDTH, HEIGHT, cell_size: 64, seed: seed).linear(90, 128).cast(:uchar)
        end
      bands.first.bandjoin(bands.drop(1)).tiffsave(plain, tile: true)
      place = [WEST, NORTH, WEST + WIDTH * 0.25, NORTH - HEIGHT * 0.25].map(&:to_s)
      run(
        "gdal_translate",
        "-q",
        "-a_srs",
        "EPSG:25829",
        "-a_ullr",
        *place,
        *%w[-co COMPRESS=JPEG -co TILED=YES],
        plain,
        path
      )
      File.delete(plain)
      path
    end

    def prepared(photograph, folder)
      target = File.join(folder, "prepared")
      Dir.mkdir(target)
      TileLoom::Raster::Cache.prepare([photograph], target)
      TileLoom::Raster::Prepared.read(target)
    end

    def run(*command) = system(*command) || raise("#{command.first} failed")

    def sheet_rows(raster, _photograph, folder)
      [["its own CRS", "EPSG:25829"], ["another CRS", "EPSG:3035"]].map do |words, crs|
        ours = median(Array.new(ROUNDS) { timed { page(raster, view(0, crs: crs)) } })
        theirs = median(Array.new(3) { timed { warp(raster, view(0, crs: crs), folder) } }) - start_up
        [
          "A3 at 300 ppi wholly under a 0.25 m photograph, in #{words}, to PDF",
          format("%.2f s; gdalwarp alone %.2f s", ours, theirs)
        ]
      end
    end

    def turned(raster) = median(Array.new(ROUNDS) { timed { page(raster, view(turned: 30.0)) } })

    def start_up = @start_up ||= median(Array.new(3) { timed { run("gdalinfo", "--version", out: File::NULL) } })

    def warp(raster, view, folder)
      box = view.ground.box
      pixels = [view.frame.width, view.frame.height].map { |mm| (mm / 25.4 * 300).ceil.to_s }
      run(
        "gdalwarp",
        "-q",
        "-overwrite",
        "-r",
        "bilinear",
        "-t_srs",
        view.crs.code,
        "-te",
        *box.to_a.map(&:to_s),
        "-ts",
        *pixels,
        "-co",
        "TILED=YES",
        File.join(raster.folder, TileLoom::Raster::Prepared::PIXELS),
        File.join(folder, "warped.tif")
      )
    end

    def proofs(raster)
      times =
        Array
          .new(40) { |index| timed { TileLoom::Output::Svg.new(page(raster, view(index), ppi: 72).last).to_s } }
          .drop(3)
          .sort
      [times[times.length / 2], times[(times.length * 0.95).floor]].map { |seconds| seconds * 1000 }
    end

    def memory(raster, count, *size)
      program =
        "require 'tile_loom'; require '#{__FILE__}'; " \
          "Bench::RasterMeasures.child(ARGV[0], ARGV[1].to_i, *ARGV.drop(2).map(&:to_f))"
      lib = File.expand_path("../lib", __dir__)
      out, status =
        Open3.capture2(
          "ruby",
          "--yjit",
          "--yjit-exec-mem-size=64",
          "-I#{lib}",
          "-rbundler/setup",
          "-e",
          program,
          raster.folder,
          count.to_s,
          *size.map(&:to_s)
        )
      raise "the measurement of memory failed" unless status.success?
      "#{out.to_i} MB"
    end
  end
end
