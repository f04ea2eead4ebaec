# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # KML, OGC 12-007.
      class Kml < Format
        kind "kml", "KML", rank: 5
        reads ".kml", ".kmz", drivers: %w[LIBKML KML]
      end
    end
  end
end
