# frozen_string_literal: true

require "open3"

module TileLoom
  module Ground
    # A GDAL tool in a process of its own, with limits on time, memory and output, and without a network
    # where the system lets a process give it up.
    class GdalProcess
      SECONDS = 900
      MEMORY_BYTES = 4 * 1024**3
      MOST_OUTPUT_BYTES = 16 * 1024**3

      # Drivers that would follow a file to other files, databases or hosts.
      SKIPPED = %w[VRT OGR_VRT HTTP WFS OAPIF CSW PLSCENES Carto Elasticsearch AmigoCloud NGW MongoDBv3 PostgreSQL MySQL ODBC MSSQLSpatial PGeo GMLAS OGR_PDS].freeze
      ENVIRONMENT = {"OGR_SKIP" => SKIPPED.join(","), "GDAL_SKIP" => SKIPPED.join(","), "CPL_VSIL_CURL_ALLOWED_EXTENSIONS" => ".none", "GDAL_HTTP_TIMEOUT" => "1", "LC_ALL" => "C.UTF-8"}.freeze

      # name: of the file, for what is said when it goes wrong.
      def initialize(name) = @name = name

      # All that the tool prints, as UTF-8.
      def capture(*command)
        out, err, status = Open3.capture3(ENVIRONMENT, *limits, *command, stdin_data: "", binmode: true)
        refuse(err) unless status.success?
        out.force_encoding(Encoding::UTF_8)
      end

      # Yields each line that the tool prints; stops the tool when the block leaves early.
      def each_line(*command)
        Open3.popen3(ENVIRONMENT, *limits, *command, pgroup: true) do |input, output, errors, waiter|
          input.close
          said = Thread.new { errors.read(64 * 1024).tap { errors.read } }
          said.report_on_exception = false
          total = 0
          output.each_line do |line|
            total += line.bytesize
            raise Invalid.new("#{@name} unfolds to more than #{MOST_OUTPUT_BYTES / 1024**3} GB, the most that is taken.") if total > MOST_OUTPUT_BYTES
            yield line.force_encoding(Encoding::UTF_8)
          end
          refuse(said.value.to_s) unless waiter.value.success?
        ensure
          stop(waiter)
        end
      end

      # unshare takes the network away; some systems do not let a user do that.
      def self.offline
        @offline ||= begin
          command = %w[unshare --map-root-user --net]
          _, status = Open3.capture2e(*command, "true")
          status.success? ? command : []
        rescue Errno::ENOENT
          []
        end
      end

      private

      def limits = [*self.class.offline, "timeout", SECONDS.to_s, "prlimit", "--as=#{MEMORY_BYTES}"]

      def stop(waiter)
        Process.kill("KILL", -waiter.pid) if waiter.alive?
      rescue Errno::ESRCH
        nil
      end

      def refuse(err)
        reason = err.dup.force_encoding(Encoding::UTF_8).scrub.lines.grep_v(/\AWarning/).grep(/ERROR|FAILURE|Unable/i).first.to_s.strip[0, 160]
        raise Invalid.new("#{@name} could not be read: #{reason.empty? ? "it took too long or too much memory" : reason}.")
      end
    end
  end
end
