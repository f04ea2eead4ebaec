# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # Tiles of a pyramid in an SQLite file.
      class Mbtiles < Format
        kind "mbtiles", "MBTiles"
        reads ".mbtiles", driver: "MBTiles", inside: %w[SQLite PNG JPEG WEBP]

        def self.check(file, name) = Sandbox::SqliteCheck.new(file, name: name).demand

        def self.lossy?(info) = info["bands"].to_a.length >= 3
      end
    end
  end
end
