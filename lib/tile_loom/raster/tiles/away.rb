# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"

module TileLoom
  module Raster
    module Tiles
      # Hosts that did not answer: each is left alone for a while, the longer the more often it did not, and all
      # processes that share the folder know.
      class Away
        WAITS_S = [30, 60, 120, 300].freeze

        # clock: gives the seconds since 1970.
        def initialize(folder, clock: -> { Time.now.to_f })
          @folder, @clock = folder, clock
        end

        # Is a host left alone now?
        def away?(uri) = read(uri)["until"].to_f > @clock.call

        # It did not answer. Several who asked at once count as one.
        def failed(uri)
          change(uri) do |known|
            next known if known["until"].to_f > @clock.call
            times = known["times"].to_i
            {"times" => times + 1, "until" => @clock.call + WAITS_S[[times, WAITS_S.length - 1].min]}
          end
        end

        def answered(uri)
          FileUtils.rm_f(path(uri)) if File.exist?(path(uri))
        end

        private

        def path(uri) = File.join(@folder, "away-#{Digest::SHA256.hexdigest("#{uri.host}:#{uri.port}")[0, 16]}")

        def read(uri)
          JSON.parse(File.read(path(uri)))
        rescue SystemCallError, JSON::ParserError
          {}
        end

        def change(uri)
          FileUtils.mkdir_p(@folder, mode: 0o700)
          File.open("#{path(uri)}.lock", File::RDWR | File::CREAT, 0o600) do |lock|
            lock.flock(File::LOCK_EX)
            File.write(path(uri), JSON.generate(yield(read(uri))))
          end
        rescue SystemCallError
          nil
        end
      end
    end
  end
end
