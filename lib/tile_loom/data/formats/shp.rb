# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # A Shapefile with the files that belong to it; one that is sent comes zipped.
      class Shp < Format
        kind "shp", "Shapefile", rank: 4
        reads ".zip", drivers: %w[Shapefile], zipped: ".shp", beside: ".shp"
        # GDAL zips one whose name ends so by itself.
        writes ".zip", as: ".shp.zip", type: "application/zip", driver: "Shapefile"

        def self.companions = %w[.shx .dbf .prj .cpg .qix .sbn .sbx]

        def self.layer_options(**) = %w[-lco ENCODING=UTF-8]

        def self.first_number = 1
      end
    end
  end
end
