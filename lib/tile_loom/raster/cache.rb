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
      VERSION = 1

      def self.folder = File.join(ENV["XDG_CACHE_HOME"] || File.join(Dir.home, ".cache"), "tile-loom", "rasters")

      def initialize(folder = self.class.folder)
        @folder = folder
      end

      # files: paths; layer: of a file that holds several; kind, reference: see Prepare, nil for what the file says.
      # Returns a Prepared.
      def fetch(files, picture: nil, kind: nil, reference: nil)
        target = File.join(@folder, key(files, picture, kind, reference))
        make(files, target, picture, kind, reference) unless File.file?(File.join(target, Prepared::FACTS))
        FileUtils.touch(target)
        Prepared.read(target)
      end

      # Into a folder; see #fetch.
      def self.prepare(files, folder, picture: nil, kind: nil, reference: nil)
        Bundle.open_all(files) do |parts|
          found = parts.flat_map { |part| chosen(part, picture) }
          Prepare.new(parts, found, kind: kind || found.first.guess, reference: reference).write(folder)
        end
      end

      def self.chosen(part, picture)
        all = Inspection.new(part).all
        return all.first(1) unless picture
        all.select { |found| found.picture == picture }.first(1)
      end
      private_class_method :chosen

      private

      def key(files, *choice)
        known = files.map { |file| [file, File.size(file), File.mtime(file).to_f] }
        Digest::SHA256.hexdigest([VERSION, known, choice].inspect)
      end

      def make(files, target, picture, kind, reference)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        sweep
        Dir.mktmpdir("part-", @folder) do |aside|
          self.class.prepare(files, aside, picture: picture, kind: kind, reference: reference)
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
