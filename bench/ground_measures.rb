# frozen_string_literal: true

require "json"
require "open3"
require "tmpdir"
require_relative "../setup/embedded_database"
require_relative "../setup/gems"

module Bench
  # Bringing data in beside ogr2ogr, which only turns the same file into GeoJSON lines; and the map on
  # the screen over a million vertices, from afar and from near.
  class GroundMeasures
    POINTS = 1_000_000

    # Rows of the table: [what, value].
    def rows
      Dir.mktmpdir("tile-loom-bench") do |folder|
        lines, points = write_lines(folder), write_points(folder)
        yardstick = [lines, points].map { |file| seconds_of_ogr2ogr(file) }
        found = measure(lines, points)
        [
          *import_rows("A million vertices in 2,000 lines", found["lines"], yardstick[0]),
          *import_rows("A million points", found["points"], yardstick[1]),
          ["Coarser levels of the million vertices, made after import", format("%.1f s", found["levels_seconds"])],
          *map_rows(found)
        ]
      end
    end

    private

    def write_lines(folder)
      file = File.join(folder, "lines.fgb")
      text = File.join(folder, "lines.geojson")
      features =
        GeneratedGround.layers["lines"].map do |feature|
          {
            "type" => "Feature",
            "properties" => feature.attributes,
            "geometry" => TileLoom::Geometry::Geojson.of(feature.wkb)
          }
        end
      File.write(text, JSON.generate({"type" => "FeatureCollection", "features" => features}))
      convert(text, file)
    end

    def write_points(folder)
      random = Random.new(5)
      text = File.join(folder, "points.csv")
      File.open(text, "w") do |io|
        io.puts "x,y,n,kind"
        POINTS.times do |n|
          io.puts format(
            "%.2f,%.2f,%d,%s",
            GeneratedGround::WEST + random.rand * GeneratedGround::WIDTH,
            GeneratedGround::SOUTH + random.rand * GeneratedGround::HEIGHT,
            n,
            %w[sound leaking failed][n % 3]
          )
        end
      end
      convert(
        text,
        File.join(folder, "points.fgb"),
        "-oo",
        "X_POSSIBLE_NAMES=x",
        "-oo",
        "Y_POSSIBLE_NAMES=y",
        "-oo",
        "AUTODETECT_TYPE=YES"
      )
    end

    def convert(from, to, *options)
      _, status = Open3.capture2e("ogr2ogr", "-f", "FlatGeobuf", "-a_srs", "EPSG:25829", *options, to, from)
      raise "the data of the measurement could not be written" unless status.success?
      to
    end

    def seconds_of_ogr2ogr(file)
      start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      system("ogr2ogr", "-f", "GeoJSONSeq", "-a_srs", "none", "/vsistdout/", file, out: File::NULL, err: File::NULL)
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
    end

    def measure(lines, points)
      Setup::EmbeddedDatabase.temporary do |environment|
        out, status =
          Open3.capture2(
            environment.merge(Setup::Gems::BULK_WORK),
            "ruby",
            "--yjit",
            "--yjit-exec-mem-size=64",
            File.join(__dir__, "ground_child.rb"),
            lines,
            "EPSG:25829",
            points
          )
        raise "the ground measurement failed" unless status.success?
        JSON.parse(out.lines.last)
      end
    end

    def import_rows(title, found, yardstick)
      seconds = found["seconds"]
      [
        [
          "#{title}: brought in",
          format(
            "%.1f s; %d features, %d vertices a second; peak %d MB; %.1f × ogr2ogr’s %.1f s",
            seconds,
            found["features"] / seconds,
            found["vertices"] / seconds,
            found["megabytes"],
            seconds / yardstick,
            yardstick
          )
        ]
      ]
    end

    def map_rows(found)
      found
        .select { |name, _| name == "whole" || name.start_with?("share") }
        .map do |name, times|
          sorted = times.sort
          p50, p95 = [0.5, 0.95].map { |share| sorted[((sorted.length - 1) * share).round] * 1000 }
          seen = (name == "whole") ? "all of it" : "#{format("%g", name.split.last.to_f * 100)} % of its width"
          ["Map on the screen, a million vertices, #{seen}, p50 · p95", format("%.0f ms · %.0f ms", p50, p95)]
        end
    end
  end
end
