# frozen_string_literal: true

require "json"
require "open3"
require "tmpdir"
require_relative "../setup/embedded_database"
require_relative "../setup/gems"

module Bench
  # A town of 300,000 buildings, from its file to its sheets, beside what ogr2ogr needs to turn the same file into
  # FlatGeobuf.
  class TownMeasures
    RUBY = %w[ruby --yjit --yjit-exec-mem-size=64].freeze

    # Rows of the table: [what, value].
    def rows
      Dir.mktmpdir("tile-loom-town") do |folder|
        file = GeneratedTown.new.write(folder)
        yardstick = seconds_of_ogr2ogr(file, folder)
        found = measure(file)
        [*started(found, yardstick), *drawn(found), *from_the_command_line(file, folder)]
      end
    end

    private

    def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def seconds_of_ogr2ogr(file, folder)
      start = clock
      %w[district buildings roads hydrants].each do |layer|
        system("ogr2ogr", "-f", "FlatGeobuf", File.join(folder, "#{layer}.fgb"), file, layer, err: File::NULL)
      end
      clock - start
    end

    def measure(file)
      Dir.mktmpdir("tile-loom-store") do |store|
        Setup::EmbeddedDatabase.temporary do |environment|
          own = environment.merge(Setup::Gems::BULK_WORK).merge("STORE" => store)
          out, status = Open3.capture2(own, *RUBY, File.join(__dir__, "town_child.rb"), file)
          raise "the measurement of the town failed" unless status.success?
          JSON.parse(out.lines.last)
        end
      end
    end

    def started(found, yardstick)
      [
        ["A town of 300,000 buildings: its file looked at", format("%.1f s", found["looked"])],
        [
          "A town: from its file to the index",
          format(
            "%.1f s; %.1f × ogr2ogr’s %.1f s to FlatGeobuf; peak %d MB",
            found["started"],
            found["started"] / yardstick,
            yardstick,
            found["start_megabytes"]
          )
        ],
        [
          "A town as it looks from afar, drawn after that",
          format("%.0f s; peak %d MB", *found.values_at("levels", "levels_megabytes"))
        ]
      ]
    end

    def drawn(found)
      [
        [
          "A town: proof of its #{found["cold"].length} densest sheets (#{found["most_buildings"]} buildings), p50 · p95",
          pair(found["cold"])
        ],
        ["A town: the same when a text of the book changed, p50 · p95", pair(found["text_changed"])],
        ["A town: the same when an element of the page changed, p50 · p95", pair(found["element_changed"])],
        ["A town: first picture of all of it", format("%.0f ms", found["first_map"] * 1000)],
        *found["maps"].map do |share, times|
          ["A town: map on the screen, #{format("%g", share.to_f * 100)} % of its width, p50 · p95", pair(times)]
        end,
        [
          "A town: its #{found["cells"]} sheets at 1:10,000 to PDF, two processes",
          format("%.1f a second", found["cells"] / found["pressed"])
        ],
        ["A town: picture of its index", format("%.0f ms", found["index"] * 1000)]
      ]
    end

    def pair(times)
      sorted = times.sort
      format("%.0f ms · %.0f ms", *[0.5, 0.95].map { |share| sorted[((sorted.length - 1) * share).round] * 1000 })
    end

    # One sheet of the middle of the town, and all of them, with a cache of their own that is empty at first.
    def from_the_command_line(file, folder)
      book = File.join(folder, "book.json")
      File.write(book, JSON.generate(settings(File.basename(file))))
      {
        "one sheet from its file" => %w[--sheets 27],
        "all sheets, two processes" => %w[--processes 2]
      }.map do |what, some|
        cache = File.join(folder, "cache-#{some.last}")
        first, again = Array.new(2) { made(book, File.join(folder, "sheets.pdf"), some, cache) }
        [
          "A town: `bin/loom make` of #{what}, the first time · again",
          [first, again].map { |seconds, megabytes| format("%.1f s, peak %d MB", seconds, megabytes) }.join(" · ")
        ]
      end
    end

    KINDS = {"district" => "area", "buildings" => "area", "roads" => "line", "hydrants" => "point"}.freeze
    private_constant :KINDS

    def settings(name) =
      TileLoom::Document::Starter.document(
        title: "Town",
        reference: GeneratedTown::REFERENCE,
        area: "district",
        scale: 10_000,
        layers: KINDS.map { |id, kind| {id: id, title: id, kind: kind, data: {"file" => name, "layer" => id}} }
      )

    # [seconds, MB] of the command as anybody runs it.
    def made(book, out, some, cache)
      start, peak = clock, "#{out}.peak"
      own = {"XDG_CACHE_HOME" => cache, "RUBYOPT" => "-r#{File.join(__dir__, "peak.rb")}", "PEAK_FILE" => peak}
      loom = File.expand_path("../bin/loom", __dir__)
      system(own, loom, "make", book, *some, "--out", out, out: File::NULL, err: File::NULL, exception: true)
      [clock - start, Integer(File.read(peak))]
    end
  end
end
