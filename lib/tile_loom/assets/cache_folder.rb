# frozen_string_literal: true

require "digest"
require "fileutils"
require "tmpdir"

module TileLoom
  module Assets
    # What was made of files on this disk, kept for the next time: each in a folder of its own, named by all that it is
    # made from.
    class CacheFolder
      # Days that one lies unused.
      DAYS = 30

      # Where those of a kind lie for the user of this machine (XDG Base Directory Specification); where nothing can be
      # written there, in a folder that is gone with this process.
      def self.of_user(kind) = File.join(root, kind)

      def self.root
        stated = ENV["XDG_CACHE_HOME"].to_s
        own = File.join(stated.empty? ? File.join(Dir.home, ".cache") : stated, "tile-loom")
        FileUtils.mkdir_p(own, mode: 0o700)
        raise Errno::EACCES, own unless File.writable?(own)
        own
      rescue SystemCallError, ArgumentError => error
        @passing ||= passing(error)
      end
      private_class_method :root

      def self.passing(error)
        warn "What was read from files cannot be saved for the next time: #{error.message}."
        Dir.mktmpdir("tile-loom-cache").tap { |folder| at_exit { FileUtils.rm_rf(folder) } }
      end
      private_class_method :passing

      # Tells files from others, and from what they were before.
      def self.known(files) = files.map { |file| [file, File.size(file), File.mtime(file).to_f] }

      def initialize(folder) = @folder = folder

      # Where the one of this key lies, or would lie. key: plain values.
      def path(key) = File.join(@folder, Digest::SHA256.hexdigest(key.inspect))

      def kept?(key) = File.directory?(path(key))

      # Its path; where it is not there the block makes it, in a folder aside. Who else asks for it meanwhile waits.
      def fetch(key, &block)
        alone(key) { make(path(key), &block) unless kept?(key) } unless kept?(key)
        path(key).tap { |target| FileUtils.touch(target) }
      end

      # What cannot be used is made anew the next time.
      def forget(key) = FileUtils.rm_rf(path(key))

      private

      # The lock ends with the process that holds it.
      def alone(key)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        File.open("#{path(key)}.lock", File::RDWR | File::CREAT, 0o600) do |lock|
          lock.flock(File::LOCK_EX)
          yield
        end
      end

      def make(target)
        sweep
        Dir.mktmpdir("part-", @folder) do |aside|
          yield aside
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
