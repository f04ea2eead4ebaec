# frozen_string_literal: true

require "zip_kit"

module TileLoom
  module Output
    # A zip file (ISO/IEC 21320-1) that is written front to back, file by file, without any of them in memory.
    class Archive
      # io: anything that takes bytes with <<; date: that the files have, a Date or nil.
      def initialize(io, date: nil)
        @streamer = ZipKit::Streamer.new(io)
        @time = date ? Time.utc(date.year, date.month, date.day) : Time.utc(2000, 1, 1)
      end

      # name: in the zip; source: the path of a file, or an IO. What is compressed already is kept as it is.
      def add(name, source)
        method = name.match?(/\.(svg|tif)\z/i) ? :write_deflated_file : :write_stored_file
        @streamer.public_send(method, name, modification_time: @time) do |sink|
          if source.is_a?(String)
            File.open(source, "rb") { |io| IO.copy_stream(io, sink) }
          else
            IO.copy_stream(source, sink)
          end
        end
      end

      # A file of what the block writes with <<, compressed.
      def write(name, &block) = @streamer.write_deflated_file(name, modification_time: @time, &block)

      def close = @streamer.close
    end
  end
end
