# frozen_string_literal: true

require "shrine"
require "shrine/storage/file_system"

module App
  # The files that layers came from, as they came. They lie in a folder of the store, or where ORIGINALS
  # says: a folder, or s3://BUCKET/PREFIX (any server that speaks S3; keys, region and endpoint as the
  # AWS variables name them).
  module Originals
    module_function

    # A Shrine storage.
    def storage
      Shrine.storages[:originals] ||= make(ENV["ORIGINALS"].to_s.strip)
    end

    def make(where)
      unless where.include?("://")
        return (
          Shrine::Storage::FileSystem.new(
            where.empty? ? File.join(Store.folder, "originals") : File.expand_path(where),
            permissions: 0o600,
            directory_permissions: 0o700
          )
        )
      end
      address = where.match(%r{\As3://([^/]+)/?(.*)\z}) or
        raise TileLoom::Failure.new("platform.originals", where: where)
      require "shrine/storage/s3"
      Shrine::Storage::S3.new(
        **{
          bucket: address[1],
          prefix: address[2].empty? ? nil : address[2].chomp("/"),
          endpoint: ENV["AWS_ENDPOINT_URL_S3"],
          force_path_style: ENV.key?("AWS_ENDPOINT_URL_S3")
        }.compact
      )
    end

    # io: read from where it stands to its end.
    def keep(io, id)
      storage.upload(io, id)
      return unless storage.respond_to?(:path)
      # On the disk before it is said to be here.
      File.open(storage.path(id).to_s) { |file| file.fsync }
    end

    def kept?(id) = storage.exists?(id)

    # The folder where originals lie, or nil where that is elsewhere.
    def folder = storage.respond_to?(:directory) ? storage.directory.to_s : nil

    def drop(id)
      storage.delete(id)
    rescue SystemCallError
      nil
    end

    # Yields the path of a local file with the original's bytes; one from elsewhere is gone afterwards.
    def with_file(id)
      return yield(storage.path(id).to_s) if storage.respond_to?(:path)
      Dir.mktmpdir("tile-loom-original") do |folder|
        path = File.join(folder, File.basename(id))
        remote = storage.open(id)
        File.open(path, "wb") { |file| IO.copy_stream(remote, file) }
        remote.close
        yield path
      end
    end
  end
end
