# frozen_string_literal: true

require "zip"

module TileLoom
  module Sandbox
    # Takes files out of a zip archive, counted while they are written: a list of contents may lie about their sizes.
    class Unzipping
      PART_BYTES = 1024 * 1024
      # The disk is looked at again after so many.
      LOOKED_AT_EVERY_BYTES = 256 * 1024 * 1024

      # zip: a Zip::File; name: as its sender calls it; most: bytes of all that is taken out; wanted: see
      # LimitedProcess.
      def initialize(zip, name:, most: ZipCheck::MOST_BYTES, wanted: nil)
        @zip, @name, @most, @wanted = zip, name, most, wanted
        @total = @since_look = 0
      end

      # entry: of the archive; path: to write to; most: bytes of it.
      def write(entry, path, most)
        raise Refusal.new("data.file_too_large", name: entry.name, most_gb: most / 1024**3) if entry.size > most
        Assets::FreeDisk.demand(File.dirname(path), entry.size, @name)
        @zip.get_input_stream(entry) { |input| File.open(path, "wb") { |output| copy(input, output, entry) } }
      rescue Zip::Error, Zlib::Error, EOFError
        raise Refusal.new("data.no_zip", name: @name)
      end

      private

      def copy(input, output, entry)
        written = 0
        while (part = input.read(PART_BYTES))
          break if part.empty?
          raise Refusal.new("data.not_wanted", name: @name) if @wanted && !@wanted.call
          written += part.bytesize
          raise Refusal.new("data.zip_lies", name: @name, entry: entry.name[0, 60]) if written > entry.size
          counted(part.bytesize, File.dirname(output.path))
          output.write(part)
        end
      end

      def counted(bytes, folder)
        @total += bytes
        raise Refusal.new("data.unfolds_too_large", name: @name, most_gb: @most / 1024**3) if @total > @most
        @since_look += bytes
        return if @since_look < LOOKED_AT_EVERY_BYTES
        @since_look = 0
        Assets::FreeDisk.demand(folder, 0, @name)
      end
    end
  end
end
