# frozen_string_literal: true

module TileLoom
  module Ground
    # Reads the many formats of GDAL through its command-line tools: the features stream through a pipe
    # as GeoJSON lines in the file's own reference, so that none but a batch is in memory.
    class GdalReader
      def initialize(file)
        @file = File.expand_path(file)
        @format = FileFormat.of(file)
        @inspection = Inspection.new(file)
      end

      # The names of the layers in the file.
      def layers = @inspection.layers.map(&:name)

      # A GeojsonReader over one layer (the first with nil). reference: a Crs in place of what the file
      # says, or for one that says nothing; lenient: what cannot be read is listed, the rest comes in.
      def open(layer = nil, target:, reference: nil, lenient: false)
        found = find(layer)
        GeojsonReader.new({"type" => "FeatureCollection", "features" => stream(found.name)}, target: target,
          reference: reference || stated(found), lenient: lenient)
      end

      private

      def find(layer)
        return @inspection.layers.first unless layer
        @inspection.layers.find { |found| found.name == layer } or
          raise Invalid.new("#{File.basename(@file)} has no layer “#{layer}”; it has #{layers.join(", ")}.")
      end

      # A file that says nothing of its reference is taken for longitude and latitude if it could be.
      def stated(found)
        return Reference::Crs.find(found.reference) if found.reference
        return Reference::Crs.find("OGC:CRS84") if found.degrees?
        raise Invalid.new("#{File.basename(@file)} does not say which reference its coordinates are in; name one.", path: "/reference")
      end

      def stream(layer)
        Enumerator.new do |features|
          command = ["ogr2ogr", "-f", "GeoJSONSeq", "-a_srs", "none", "-lco", "COORDINATE_PRECISION=10", "-dim", "XY", *@format.options, "/vsistdout/", @format.address(@file), layer]
          GdalProcess.new(File.basename(@file)).each_line(*command) do |line|
            features << JSON.parse(line.scrub, max_nesting: 60) unless line.strip.empty?
          end
        end
      end
    end
  end
end
