# frozen_string_literal: true

require "fileutils"
require "tmpdir"

module TileLoom
  module Command
    # A fault of ours: one sentence for whoever runs the command, and what led to it in a file for whoever mends it.
    class Fault
      # error: the exception; arguments: of the command.
      def initialize(error, arguments)
        @error, @arguments = error, arguments
      end

      def sentence =
        "Tile Loom failed over something that it does not expect (#{@error.class}). " \
        "#{(file = write) ? "What led to it is in #{file}; please send it with your report." : "What led to it could not be " \
        "written to a file."}"

      private

      # The path of the file, or nil where none can be written.
      def write
        path = File.join(Dir.tmpdir, "tile-loom-fault-#{Time.now.strftime("%Y%m%d-%H%M%S")}-#{Process.pid}.log")
        File.open(path, File::WRONLY | File::CREAT | File::EXCL, 0o600) do |io|
          io.puts(@arguments.join(" "), "#{@error.class}: #{@error.message}", *@error.backtrace)
        end
        path
      rescue SystemCallError
        nil
      end
    end
  end
end
