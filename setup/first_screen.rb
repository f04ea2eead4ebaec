# frozen_string_literal: true

require "json"
require "zlib"
require_relative "front_end"

module Setup
  # What a browser fetches of scripts before a book is shown first, on Weave: as Vite's manifest has it, as gzip.
  class FirstScreen
    MOST_KB = 250
    PARTS = %w[index.html src/start.tsx src/weave/WeaveStep.tsx].freeze
    BUILT = File.join(FrontEnd::WEB, "dist")

    # Says what it comes to; is that little enough?
    def check
      found = kilobytes
      Shell.say "· The first screen takes #{found} kB of scripts; #{MOST_KB} is the most."
      found <= MOST_KB
    end

    def kilobytes
      sizes = chunks.map { |key| Zlib.gzip(File.binread(File.join(BUILT, manifest.fetch(key).fetch("file")))).bytesize }
      (sizes.sum / 1000.0).ceil
    end

    private

    def manifest = @manifest ||= JSON.parse(File.read(File.join(BUILT, ".vite/manifest.json")))

    # Those parts with all that they import at once.
    def chunks
      found, waiting = [], PARTS.dup
      while (key = waiting.shift)
        next if found.include?(key)
        found << key
        waiting.concat(manifest.fetch(key)["imports"] || [])
      end
      found
    end
  end
end
