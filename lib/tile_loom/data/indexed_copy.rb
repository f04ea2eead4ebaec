# frozen_string_literal: true

module TileLoom
  module Data
    # A layer of a file as a GeoPackage with a spatial index, kept for the next time: of formats that have none. Its
    # rows are numbered as they come.
    module IndexedCopy
      # Another way of copying makes another copy.
      VERSION = 2
      LAYER, FILE = "layer", "copy.gpkg"

      module_function

      # The path of the copy. file: a path; layer: its name in it; the block writes it to a path.
      def of(file, layer)
        cache = Assets::CacheFolder.new(Assets::CacheFolder.of_user("layers"))
        key = [VERSION, Assets::CacheFolder.known([File.expand_path(file)]), layer]
        File.join(cache.fetch(key) { |folder| yield File.join(folder, FILE) }, FILE)
      end
    end
  end
end
