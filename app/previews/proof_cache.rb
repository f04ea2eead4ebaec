# frozen_string_literal: true

require "digest"
require "fileutils"
require "zlib"

module App
  # Finished pages for the browser, compressed, by a fingerprint of all that they are drawn from (document, cells, data,
  # the drawing code itself), so that one that was drawn for any reader, by any process, before any change that was
  # undone since, is not drawn again. Of several who ask for one at once, one draws and the others wait for it.
  module ProofCache
    MOST_FILES = 3_000

    # Of the code that draws: pages of another version are not these.
    CODE =
      Dir[File.join(TileLoom::ROOT, "{lib,fonts}/**/*"), File.join(TileLoom::ROOT, "app/previews/snapshot.rb")]
        .sort
        .select { |file| File.file?(file) }
        .reduce(Digest::SHA256.new) { |sum, file| sum << file << File.size(file).to_s << File.mtime(file).to_f.to_s }
        .hexdigest

    module_function

    # Gzipped SVG; the block draws it.
    def fetch(fingerprint)
      name = Digest::SHA256.hexdigest([CODE, *fingerprint].join("\n"))
      path = File.join(folder, name[0, 2], "#{name}.svgz")
      read(path) ||
        File.open(lock_of(name), File::RDWR | File::CREAT, 0o600) do |lock|
          lock.flock(File::LOCK_EX)
          read(path) || Zlib.gzip(yield, level: 4).tap { |bytes| keep(path, bytes) }
        end
    end

    def folder = File.join(Store.folder, "proofs")

    # A cache that cannot be written is no reason not to show a page.
    def keep(path, bytes)
      FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
      part = "#{path}.#{Process.pid}.#{Thread.current.object_id}"
      File.open(part, File::WRONLY | File::CREAT, 0o600) { |io| io.binmode && io.write(bytes) }
      File.rename(part, path)
      sweep if rand(200).zero?
    rescue SystemCallError
      FileUtils.rm_f(part) if part
    end

    # The longest unused go.
    def sweep
      files = Dir[File.join(folder, "*/*")]
      return 0 if files.length <= MOST_FILES
      gone = files.sort_by { |file| used(file) }.first(files.length - MOST_FILES * 3 / 4)
      FileUtils.rm_f(gone)
      gone.length
    end

    # When it was used last; one that another process has swept meanwhile long ago.
    def used(file)
      File.mtime(file)
    rescue Errno::ENOENT
      Time.at(0)
    end

    def read(path)
      bytes = File.binread(path)
      File.utime(nil, nil, path)
      bytes
    rescue SystemCallError
      nil
    end

    # So many at once are drawn side by side.
    LOCKS = 64

    def lock_of(name) = File.join(FileUtils.mkdir_p(folder, mode: 0o700).first, "lock-#{name.to_i(16) % LOCKS}")
  end
end
