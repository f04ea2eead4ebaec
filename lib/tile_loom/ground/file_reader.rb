# frozen_string_literal: true

module TileLoom
  module Ground
    # Opens a data file: GeoJSON directly, anything else through GDAL.
    module FileReader
      LARGEST_BYTES = 1024 * 1024 * 1024

      module_function

      # A GeojsonReader for one layer of the file, into the target reference.
      def open(file, target:, layer: nil)
        raise Invalid.new("The data file #{file} does not exist.") unless File.file?(file)
        raise Invalid.new("The data file #{file} is larger than a gigabyte.") if File.size(file) > LARGEST_BYTES
        text = geojson?(file) ? File.binread(file) : GdalReader.new(file).geojson(layer)
        GeojsonReader.from_text(text, target: target)
      rescue Errno::EACCES
        raise Invalid.new("The data file #{file} cannot be read: permission is denied.")
      end

      def geojson?(file) = %w[.geojson .json].include?(File.extname(file).downcase) && !topojson?(file)

      def topojson?(file) = File.open(file, "rb") { |io| io.read(2000) }.to_s.match?(/"type"\s*:\s*"Topology"/)
    end
  end
end
