# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # Tracks, routes and points of receivers.
      class Gpx < Format
        kind "gpx", "GPX", rank: 8
        reads ".gpx", drivers: %w[GPX]
      end
    end
  end
end
