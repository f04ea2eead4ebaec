# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # GeoJSON, RFC 7946.
      class Geojson < Format
        kind "geojson", "GeoJSON", rank: 1
        reads ".geojson", ".json", drivers: %w[GeoJSON TopoJSON]
        writes ".geojson", type: "application/geo+json", driver: "GeoJSON"

        # RFC 7946, 4.
        def self.degrees? = true

        def self.layer_options(degree_places:, **) =
          ["-lco", "RFC7946=YES", "-lco", "COORDINATE_PRECISION=#{degree_places}"]
      end
    end
  end
end
