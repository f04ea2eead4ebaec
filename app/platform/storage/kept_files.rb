# frozen_string_literal: true

require "shrine"
require "shrine/storage/file_system"

module App
  # Files that are kept beside the database: in a folder of the store, or where a variable says: a folder, or
  # s3://BUCKET/PREFIX (any server that speaks S3; keys, region and endpoint as the AWS variables name them).
  class KeptFiles
    # variable: of the environment; folder: of the store where it says nothing.
    def initialize(variable, folder)
      @variable, @folder = variable, folder
    end

    # A Shrine storage.
    def storage
      Shrine.storages[@variable.downcase.to_sym] ||= make(ENV[@variable].to_s.strip)
    end

    def make(where)
      unless where.include?("://")
        return (
          Shrine::Storage::FileSystem.new(
            where.empty? ? File.join(Store.folder, @folder) : File.expand_path(where),
            permissions: 0o600,
            directory_permissions: 0o700
          )
        )
      end
      address = where.match(%r{\As3://([^/]+)/?(.*)\z}) or
        raise TileLoom::Failure.new("platform.kept_files", variable: @variable, where: where)
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

    # The folder where they lie, or nil where that is elsewhere.
    def folder = storage.respond_to?(:directory) ? storage.directory.to_s : nil

    # The path of one of them, or nil where that is elsewhere.
    def path(id) = storage.respond_to?(:path) ? storage.path(id).to_s : nil

    # An IO of one of them, to be closed.
    def open(id) = storage.open(id)

    def drop(id)
      storage.delete(id)
    rescue SystemCallError
      nil
    end

    # Yields the path of a local file with the bytes; one from elsewhere is gone afterwards.
    def with_file(id)
      return yield(path(id)) if storage.respond_to?(:path)
      Dir.mktmpdir("tile-loom-kept") do |folder|
        path = File.join(folder, File.basename(id))
        remote = storage.open(id)
        File.open(path, "wb") { |file| IO.copy_stream(remote, file) }
        remote.close
        yield path
      end
    end
  end
end
