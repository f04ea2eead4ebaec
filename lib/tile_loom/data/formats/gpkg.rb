# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # GeoPackage, OGC 12-128.
      class Gpkg < Format
        kind "gpkg", "GeoPackage", rank: 3
        reads ".gpkg", drivers: %w[GPKG]
        writes ".gpkg", type: "application/geopackage+sqlite3", driver: "GPKG"

        def self.first_number = 0
      end
    end
  end
end
