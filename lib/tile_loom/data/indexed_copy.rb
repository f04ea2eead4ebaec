# frozen_string_literal: true

require "digest"
require "fileutils"
require "tmpdir"

module TileLoom
  module Data
    # A layer of a file as a GeoPackage with a spatial index, kept for the next time: of formats that have none. Its
    # rows are numbered as they come.
    module IndexedCopy
      # Days that one lies unused.
      DAYS = 30
      # Another way of copying makes another copy.
      VERSION = 1
      LAYER = "layer"

      module_function

      def folder = File.join(ENV["XDG_CACHE_HOME"] || File.join(Dir.home, ".cache"), "tile-loom", "layers")

      # The path of the copy. file: a path; layer: its name in it; the block writes it to a path.
      def of(file, layer)
        known = [VERSION, File.expand_path(file), File.size(file), File.mtime(file).to_f, layer]
        target = File.join(folder, "#{Digest::SHA256.hexdigest(known.inspect)}.gpkg")
        make(target) { |path| yield path } unless File.file?(target)
        FileUtils.touch(target)
        target
      end

      def make(target)
        FileUtils.mkdir_p(folder, mode: 0o700)
        sweep
        Dir.mktmpdir("part-", folder) do |aside|
          path = File.join(aside, "copy.gpkg")
          yield path
          File.rename(path, target)
        end
      end
      private_class_method :make

      # What was not asked for in a long while goes.
      def sweep
        Dir[File.join(folder, "*")].each do |old|
          FileUtils.rm_rf(old) if File.mtime(old) < Time.now - DAYS * 86_400
        rescue Errno::ENOENT
          nil
        end
      end
      private_class_method :sweep
    end
  end
end
