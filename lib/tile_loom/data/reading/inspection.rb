# frozen_string_literal: true

module TileLoom
  module Data
    # What is in a data file, before any of it is kept: its layers with counts, kinds of geometry,
    # attributes with types, extent and reference. From the report of GDAL's ogrinfo.
    class Inspection
      # More fields than anybody draws or labels by make every list of them slow.
      MOST_FIELDS = 2_000

      # columns: of a table, what its places were taken from, or nil where they must be named; own: name → type and
      # subtype of each attribute as GDAL names them.
      Found =
        Struct.new(:name, :count, :geometry, :attributes, :box, :reference, :columns, :own, keyword_init: true) do
          # Can all that it has be handed on as FlatGeobuf?
          def streams? = own.values.all? { |type| STREAMED.include?(type[/\A\w+/]) } && !SURFACES.match?(geometry)

          # May features of it be of any kind?
          def any? = geometry.match?(/Unknown|Curve|Surface|Collection/)

          # name → what an attribute holds that counts as text elsewhere.
          def kinds = own.select { |_, type| type.include?("JSON") }.transform_values { "json" }

          # Could the coordinates be longitude and latitude?
          def degrees? = box.nil? || (box[0] >= -180 && box[2] <= 180 && box[1] >= -90 && box[3] <= 90)
        end

      TYPES = {
        "Integer" => "integer",
        "Integer64" => "integer",
        "Real" => "real",
        "Date" => "date",
        "DateTime" => "date and time",
        "Time" => "time",
        "String" => "text",
        "Binary" => "binary"
      }.freeze

      STREAMED = %w[Integer Integer64 Real String Date DateTime].freeze
      # Kinds of geometry that are more than points, lines and areas.
      SURFACES = /TIN|Polyhedral|Triangle/

      # columns: a Columns, where a table's places were named by hand.
      # wanted: asked now and then; false ends the look. reports: an Assets::CacheFolder, where what GDAL says of a file
      # is kept for the next time.
      def initialize(file, columns: Columns.new, wanted: nil, reports: nil)
        @file, @columns, @wanted, @reports = File.expand_path(file), columns, wanted, reports
        @format = Formats.of_file(file)
      end

      def table? = @format.table?

      # Found entries; Refusal for a file of another kind, or one that holds nothing.
      def layers
        @layers ||=
          begin
            # Our own reader says better than GDAL what is wrong with GeoJSON.
            demand_fields(fields(GeojsonReader.parse(File.binread(@file)))) if FileReader.direct?(@file)
            found = report.split(/^Layer name: /).drop(1).map { |part| layer(part) }
            found = found.reject { |entry| entry.geometry == "None" } unless table?
            raise Refusal.new("data.no_layer_with_geometry", name: name) if found.empty?
            raise Refusal.new("data.no_features_in", name: name) if found.all? { |entry| entry.count.zero? }
            found
          end
      end

      private

      def name = File.basename(@file)

      def report
        return asked unless @reports
        key = [REPORT, Assets::CacheFolder.known(@format.files(@file)), @format.open_options(@columns)]
        folder = @reports.fetch(key) { |aside| File.write(File.join(aside, REPORT), asked) }
        File.read(File.join(folder, REPORT), encoding: Encoding::UTF_8)
      end

      REPORT = "ogrinfo.txt"
      private_constant :REPORT

      def asked =
        Sandbox::GdalProcess.new(name, drivers: @format.drivers, wanted: @wanted, reads: @format.files(@file)).capture(
          "ogrinfo",
          "-ro",
          "-so",
          "-al",
          *@format.open_options(@columns),
          @format.address(@file)
        )

      # As many names of fields as are too many, or all of them.
      def fields(document)
        found = Set.new
        list = document.is_a?(Hash) ? document["features"] : nil
        Array(list).each do |feature|
          properties = feature.is_a?(Hash) ? feature["properties"] : nil
          found.merge(properties.keys) if properties.is_a?(Hash)
          break if found.length > MOST_FIELDS
        end
        found.length
      end

      def demand_fields(count)
        return if count <= MOST_FIELDS
        grouped = ->(number) { Units::Number.grouped(number) }
        raise Refusal.new("data.too_many_fields", name: name, count: grouped[count], most: grouped[MOST_FIELDS])
      end

      def layer(part)
        own = own_types(part)
        attributes = own.map { |title, type| {"name" => title, "type" => TYPES.fetch(type[/\A\w+/], "text")} }
        names = attributes.map { |attribute| attribute["name"] }
        demand_fields(names.length)
        @columns.check(names) if table?
        columns = (@columns.among(names) if table? && !part.match?(/^Geometry: None$/))
        Found.new(
          columns: columns,
          name: part.lines.first.strip,
          count: part[/^Feature Count: (\d+)/, 1].to_i,
          geometry: part[/^Geometry(?: \([^)]*\))?: (.+)$/, 1].to_s.strip,
          attributes: attributes,
          own: own,
          box: box(part),
          reference: reference(part)
        )
      end

      # Attribute lines follow the reference: "name: Type(Subtype) (width.precision)".
      def own_types(part) = part.scan(/^([^\s:][^:\n]*): (\w+(?:\(\w+\))?) \(\d+\.\d+\)/).to_h

      def box(part)
        numbers = part[/^Extent: \((.+)\)$/, 1]&.scan(/-?[\d.]+(?:e[-+]?\d+)?/i)&.map(&:to_f)
        (numbers && numbers.length == 4) ? numbers : nil
      end

      # The code that the reference ends with, its whole text where it has none, nil where it is unknown.
      def reference(part)
        wkt = part[/^Layer SRS WKT:\n(.*?)\n(?=Data axis|\S+: \w+ \(|\z)/m, 1].to_s.strip
        return nil if wkt.empty? || wkt == "(unknown)"
        Crs::Stated.known(Crs::Stated.code(wkt) || wkt)
      end
    end
  end
end
