# frozen_string_literal: true

require "digest"
require "fileutils"
require "tmpdir"

module TileLoom
  module Raster
    # Rasters that were prepared from files on this disk, kept for the next time a book of them is read.
    class Cache
      # Days that one lies unused.
      DAYS = 30
      # Another way of preparing makes another raster.
      VERSION = 2

      def self.folder = File.join(ENV["XDG_CACHE_HOME"] || File.join(Dir.home, ".cache"), "tile-loom", "rasters")

      def initialize(folder = self.class.folder)
        @folder = folder
      end

      # files: paths; choice: picture, kind, reference, see Prepare.open. Returns a Prepared.
      def fetch(files, **choice)
        target = target(files, choice)
        make(files, target, choice) unless kept?(files, **choice)
        FileUtils.touch(target)
        Prepared.read(target)
      end

      # Is it there already?
      def kept?(files, **choice) = File.file?(File.join(target(files, choice), Prepared::FACTS))

      # Into a folder; see #fetch.
      def self.prepare(files, folder, **choice) = Prepare.open(files, **choice) { |prepare| prepare.write(folder) }

      private

      # Where it lies, by all that it is made from.
      def target(files, choice)
        known = files.map { |file| [file, File.size(file), File.mtime(file).to_f] }
        File.join(
          @folder,
          Digest::SHA256.hexdigest([VERSION, known, choice.values_at(:picture, :kind, :reference)].inspect)
        )
      end

      def make(files, target, choice)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        sweep
        Dir.mktmpdir("part-", @folder) do |aside|
          self.class.prepare(files, aside, **choice)
          begin
            File.rename(aside, target)
          rescue Errno::ENOTEMPTY, Errno::EEXIST
            # Another process made it meanwhile.
            nil
          end
          FileUtils.mkdir_p(aside)
        end
      end

      # What was not asked for in a long while goes.
      def sweep
        Dir[File.join(@folder, "*")].each do |old|
          FileUtils.rm_rf(old) if File.mtime(old) < Time.now - DAYS * 86_400
        rescue Errno::ENOENT
          nil
        end
      end
    end
  end
end
