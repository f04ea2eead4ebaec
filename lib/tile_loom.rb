# frozen_string_literal: true

require "ffi-geos"
# Before libvips, which brings another libxml with it.
require "nokogiri"
require "proj"
# GeoTIFF has tags that libvips does not know and need not; set before it loads.
ENV["VIPS_WARNING"] ||= "0"
require "zeitwerk"

# The core of Tile Loom: the rules and the computation of a map book.
# Nothing here knows of HTTP or of a database.
module TileLoom
  ROOT = File.expand_path("..", __dir__)

  LOADER = Zeitwerk::Loader.for_gem
  # Folders that part a large room by what its files are for; they are no namespaces of their own.
  LOADER.collapse(
    "#{__dir__}/tile_loom/data/{reading,blocks,sources}",
    "#{__dir__}/tile_loom/index/{study,placing,sequence,coverage,hand_work}"
  )
  # For development (bin/dev).
  LOADER.enable_reloading if ENV["RELOAD"]
  LOADER.setup
end
