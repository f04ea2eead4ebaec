# frozen_string_literal: true

module TileLoom
  module Data
    # Opens a data file: GeoJSON of moderate size directly, anything else through GDAL.
    module FileReader
      LARGEST_BYTES = 2 * 1024**3
      # Beyond this, GeoJSON streams through GDAL too.
      LARGEST_DIRECT_BYTES = 64 * 1024**2

      module_function

      # A GeojsonReader for one layer of the file, into the target reference (see GdalReader#open).
      def open(file, target:, layer: nil, reference: nil, lenient: false, columns: Columns.new, wanted: nil, scale: nil)
        raise Refusal.new("data.no_such_file", name: File.basename(file)) unless File.file?(file)
        if File.size(file) > LARGEST_BYTES
          raise Refusal.new("data.file_too_large", name: File.basename(file), most_gb: LARGEST_BYTES / 1024**3)
        end
        if direct?(file)
          return (
            GeojsonReader.from_text(
              File.binread(file),
              target: target,
              reference: reference,
              lenient: lenient,
              scale: scale
            )
          )
        end
        GdalReader.new(file, columns: columns, wanted: wanted).open(
          layer,
          target: target,
          reference: reference,
          lenient: lenient,
          scale: scale
        )
      rescue Errno::EACCES
        raise Refusal.new("data.no_permission", name: File.basename(file))
      end

      # Is it there to be read by GDAL, as a file of one of its formats?
      def by_gdal?(file) =
        File.file?(file) && File.extname(file) != FeatureLines::ENDING && !direct?(file) &&
          File.size(file) <= LARGEST_BYTES

      # Is the file read without GDAL?
      def direct?(file) =
        %w[.geojson .json].include?(File.extname(file).downcase) && File.size(file) <= LARGEST_DIRECT_BYTES &&
          !topojson?(file)

      def topojson?(file) = File.open(file, "rb") { |io| io.read(2000) }.to_s.match?(/"type"\s*:\s*"Topology"/)
    end
  end
end
