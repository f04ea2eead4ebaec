# frozen_string_literal: true

module TileLoom
  module Raster
    # Rasters that were prepared from files on this disk, kept for the next time a book of them is read.
    class Cache
      # Another way of preparing makes another raster.
      VERSION = 2

      def self.folder = Assets::CacheFolder.of_user("rasters")

      def initialize(folder = self.class.folder)
        @folder = Assets::CacheFolder.new(folder)
      end

      # files: paths; choice: picture, kind, reference, see Prepare.open. Returns a Prepared.
      def fetch(files, **choice) =
        Prepared.read(@folder.fetch(key(files, choice)) { |folder| self.class.prepare(files, folder, **choice) })

      # Is it there already?
      def kept?(files, **choice) = @folder.kept?(key(files, choice))

      # Into a folder; see #fetch.
      def self.prepare(files, folder, **choice) = Prepare.open(files, **choice) { |prepare| prepare.write(folder) }

      private

      # All that it is made from.
      def key(files, choice) =
        [VERSION, Assets::CacheFolder.known(files), choice.values_at(:picture, :kind, :reference)]
    end
  end
end
