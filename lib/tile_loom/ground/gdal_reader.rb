# frozen_string_literal: true

require "open3"

module TileLoom
  module Ground
    # Reads the many formats of GDAL through its command-line tool, in a process of its own with limits
    # on time and memory, as GeoJSON in the file's own reference.
    class GdalReader
      SECONDS = 120
      MEMORY_KB = 4 * 1024 * 1024

      def initialize(file) = @file = File.expand_path(file)

      # The names of the layers in the file.
      def layers
        out = run("ogrinfo", "-ro", "-q", @file)
        out.lines.filter_map { |line| line[/\A\d+: (.+?)(?: \([^()]*\))?\s*\z/, 1] }
      end

      # GeoJSON text of one layer (the first with nil).
      def geojson(layer = nil)
        names = layers
        raise Invalid.new("#{File.basename(@file)} holds no layer that can be read.") if names.empty?
        if layer && !names.include?(layer)
          raise Invalid.new("#{File.basename(@file)} has no layer “#{layer}”; it has #{names.join(", ")}.")
        end
        run("ogr2ogr", "-f", "GeoJSON", "-lco", "COORDINATE_PRECISION=10", "-dim", "XY", "/vsistdout/", @file, layer || names.first)
      end

      private

      # Arguments go to the program as they are, never through a shell; prlimit and timeout hold the limits.
      def run(*command)
        out, err, status = Open3.capture3({"GDAL_HTTP_TIMEOUT" => "1", "CPL_VSIL_CURL_ALLOWED_EXTENSIONS" => ".none"},
          "timeout", SECONDS.to_s, "prlimit", "--as=#{MEMORY_KB * 1024}", *command, stdin_data: "", binmode: true)
        return out.force_encoding(Encoding::UTF_8) if status.success?
        reason = err.force_encoding(Encoding::UTF_8).scrub.lines.grep(/ERROR|Unable/i).first.to_s.strip[0, 160]
        raise Invalid.new("#{File.basename(@file)} could not be read: #{reason.empty? ? "it took too long or too much memory" : reason}.")
      end
    end
  end
end
