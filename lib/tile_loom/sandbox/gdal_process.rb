# frozen_string_literal: true

module TileLoom
  module Sandbox
    # A GDAL tool in a limited process, with no drivers but those that it is to use.
    class GdalProcess < LimitedProcess
      # What the tools need for themselves.
      ALWAYS = %w[GeoJSONSeq MEM Memory].freeze

      # drivers: GDAL's short names of those that may open or write the file, their last words; more: see
      # LimitedProcess.
      def initialize(name, drivers:, **more)
        super(name, **more)
        @drivers = drivers
      end

      # Short names of all drivers that this GDAL was built with, which are skipped unless they are allowed: GDAL
      # knows a list of those to leave out alone.
      def self.all_drivers
        @all_drivers ||=
          %w[ogrinfo gdalinfo]
            .map { |tool| Thread.new { Open3.capture2e({"LC_ALL" => "C.UTF-8"}, tool, "--formats").first } }
            .flat_map { |listing| listing.value.scan(/^\s+(\S.*?) -[a-z]/).flatten }
            .uniq
            .freeze
      end

      private

      # A schema is never fetched, nor what a file points to; SQLite extensions stay unloaded.
      def environment(folder)
        skipped = self.class.all_drivers.reject { |name| (@drivers + ALWAYS).include?(name.split.last) }.join(",")
        super.merge(
          "GDAL_SKIP" => skipped,
          "GDAL_DRIVER_PATH" => "disable",
          "CPL_TMPDIR" => folder,
          "CPL_VSIL_CURL_ALLOWED_EXTENSIONS" => ".none",
          "GDAL_HTTP_TIMEOUT" => "1",
          # GDAL leaves out those beyond 2,000 without a word that we would hear; Inspection counts them.
          "OGR_CSV_MAX_FIELD_COUNT" => "100000",
          "GML_DOWNLOAD_SCHEMA" => "NO",
          "GML_SKIP_RESOLVE_ELEMS" => "ALL",
          "PROJ_NETWORK" => "OFF",
          "SQLITE_LOAD_EXTENSIONS" => "NO"
        )
      end

      # The driver's own first complaint in one line, with names of files alone.
      def complaint(said)
        line = said.lines.reject { |text| text.start_with?("Warning") }.grep(/ERROR|FAILURE|Unable/i).first.to_s
        line =
          line
            .strip
            .sub(/\A(ERROR \d+|FAILURE)\s*:\s*/, "")
            .gsub(%r{(?<![\w.])/(?:[^/\s'"`]+/)+([^/\s'"`]*)}, '\1')
            .gsub(/[[:cntrl:]]+/, " ")
            .squeeze(" ")
            .strip
            .chomp(".")[
              0,
              160
          ]
        line unless line.empty? || line.start_with?("Unable to open datasource")
      end
    end
  end
end
