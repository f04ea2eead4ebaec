# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # Tiles in a GeoPackage (OGC 12-128r18).
      class Gpkg < Format
        kind "gpkg", "GeoPackage"
        reads ".gpkg", driver: "GPKG", inside: %w[PNG JPEG WEBP]

        def self.check(file, name) = Sandbox::SqliteCheck.new(file, name: name).demand

        def self.lossy?(info) = info["bands"].to_a.length >= 3

        def self.open_options(name) = name ? ["-oo", "TABLE=#{name}"] : []

        # A file of several tables of tiles lists them as parts.
        def self.pictures(info)
          named = info.dig("metadata", "SUBDATASETS").to_h.select { |key, _| key.end_with?("_NAME") }.values
          named.empty? ? nil : named.map { |text| text.split(":").last }
        end
      end
    end
  end
end
