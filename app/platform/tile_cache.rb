# frozen_string_literal: true

module App
  # Tiles that came from servers, in the store.
  module TileCache
    module_function

    def folder = File.join(Store.folder, "tiles")

    def fetch = TileLoom::Raster::Tiles::Fetch.new(folder)
  end
end
