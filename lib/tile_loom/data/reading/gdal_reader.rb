# frozen_string_literal: true

module TileLoom
  module Data
    # Reads the many formats of GDAL through its command-line tools: the features stream through a pipe in the file's
    # own reference, so that none but a batch is in memory; as FlatGeobuf, or where that cannot hold all that they have
    # (times of day, lists, bytes) as GeoJSON lines.
    class GdalReader
      NOT_UTF8 = "Texts that are not UTF-8 were read as Windows-1252."

      # Its path.
      attr_reader :file

      # columns: a Columns, where a table's places were named by hand.
      # wanted: see LimitedProcess; reports: see Inspection.
      def initialize(file, columns: Columns.new, wanted: nil, reports: nil)
        @file, @columns, @wanted = File.expand_path(file), columns, wanted
        @format = Formats.of_file(file)
        @inspection = Inspection.new(file, columns: columns, wanted: wanted, reports: reports)
        @remarks = []
      end

      # The file with those that belong to it.
      def files = @format.files(@file)

      # The names of the layers in the file.
      def layers = @inspection.layers.map(&:name)

      # A FeatureReader over one layer (the first with nil). reference: a Crs in place of what the file
      # says, or for one that says nothing; lenient: what cannot be read is listed, the rest comes in; within: a Box in
      # the reference of the file, where only what meets it is wanted.
      def open(layer = nil, target:, reference: nil, lenient: false, scale: nil, within: nil)
        found = found(layer)
        raise Refusal.new("data.no_columns", name: File.basename(@file), at: "/columns") if found.geometry == "None"
        more = {
          target: target,
          reference: reference || stated(found),
          lenient: lenient,
          remarks: @remarks,
          scale: scale,
          box: found.box
        }
        spatial = within ? ["-spat", *within.to_a.map(&:to_s)] : []
        return of_lines(found, spatial, more) unless found.streams?
        StreamReader.new(
          ->(&block) { stream(found, spatial, &block) },
          count: within ? nil : found.count,
          number: numbered?(found) ? [NUMBER, @format.first_number] : nil,
          kinds: kinds(found),
          foreign: method(:utf8),
          **more
        )
      end

      # The Inspection::Found of a layer (the first with nil).
      def found(layer = nil)
        found = layer ? named(layer) : @inspection.layers.first
        # A name that begins with a hyphen would be an option to the tool.
        if found.name.start_with?("-")
          called = found.name[0, 60]
          raise Refusal.new("data.layer_name_hyphen", name: File.basename(@file), layer: called)
        end
        found
      end

      # Can a part of a layer be read by itself, with the numbers that its features have among all?
      def windows?(layer) = numbered?(found(layer))

      private

      # Stands for the number of a feature in its file; no field of its own is called so.
      NUMBER = "tile_loom_number"
      private_constant :NUMBER

      # Does each feature that is streamed bring along the number that it has in the file?
      def numbered?(known) =
        known.streams? && !@format.first_number.nil? && !known.name.match?(/["\\]/) &&
          known.own.keys.none? { |name| name.casecmp?(NUMBER) }

      # A layer of one kind may hold several of it, too; one of any kind may hold curves.
      def straight(known) = ["-nlt", known.any? ? "CONVERT_TO_LINEAR" : "GEOMETRY"]

      def named(layer)
        @inspection.layers.find { |found| found.name == layer } or
          raise Refusal.new("data.no_such_layer", name: File.basename(@file), layer: layer, known: layers.join(", "))
      end

      # A file that says nothing of its reference is taken for longitude and latitude if it could be.
      def stated(found)
        return Crs::System.find(found.reference) if found.reference
        return Crs::System.find("OGC:CRS84") if found.degrees?
        raise Refusal.new("imports.crs_not_named", name: File.basename(@file), at: "/reference")
      end

      def of_lines(found, spatial, more) =
        GeojsonReader.new({"type" => "FeatureCollection", "features" => lines(found, spatial)}, **more)

      def kinds(found) = found.attributes.to_h { |attribute| attribute.values_at("name", "type") }.merge(found.kinds)

      # Yields the FlatGeobuf of its features.
      def stream(found, spatial)
        own = ["FlatGeobuf", "-lco", "SPATIAL_INDEX=NO", *straight(found)]
        process, cut = process("FlatGeobuf"), false
        process.output(*command(found, own, "/vsistdout/features.fgb", spatial)) do |io|
          yield FlatGeobuf.new(io, counted: process.method(:counted))
        rescue FlatGeobuf::CutOff
          # How the program ended says why, unless it ended well.
          cut = true
        end
        return unless cut
        raise Refusal.new(
          "data.could_not_be_read",
          name: File.basename(@file),
          reason: "its features end in the middle"
        )
      end

      def lines(found, spatial)
        dates =
          found
            .attributes
            .select { |attribute| attribute["type"].start_with?("date") }
            .map { |attribute| attribute["name"] }
        own = %w[GeoJSONSeq -lco COORDINATE_PRECISION=10]
        Enumerator.new do |features|
          process("GeoJSONSeq").each_line(*command(found, own, "/vsistdout/", spatial)) do |line|
            feature = JSON.parse(utf8(line), max_nesting: 60, allow_nan: true)
            dates.each { |name| iso(feature["properties"], name) }
            features << feature
          end
        end
      end

      # drivers: that write.
      def process(*drivers, **more) =
        Sandbox::GdalProcess.new(
          File.basename(@file),
          drivers: [*@format.drivers, *drivers],
          wanted: @wanted,
          reads: files,
          **more
        )

      def command(found, own, target, spatial) =
        [
          "ogr2ogr",
          "-f",
          *own,
          "-a_srs",
          "none",
          "-dim",
          "XY",
          *spatial,
          *@format.open_options(@columns),
          *chosen(found, target)
        ]

      # The layer, with the numbers of its features where they last.
      def chosen(found, target)
        return target, @format.address(@file), found.name unless numbered?(found)
        [
          "-dialect",
          "OGRSQL",
          "-sql",
          %(SELECT FID AS "#{NUMBER}", * FROM "#{found.name}"),
          target,
          @format.address(@file)
        ]
      end

      # Old files say nothing of their encoding; Windows-1252 is the likeliest (common practice).
      def utf8(line)
        return line if line.valid_encoding?
        @remarks << NOT_UTF8 unless @remarks.include?(NOT_UTF8)
        line.force_encoding(Encoding::WINDOWS_1252).encode(Encoding::UTF_8, invalid: :replace, undef: :replace)
      end

      # GDAL writes dates with slashes; ISO 8601 has hyphens.
      def iso(properties, name)
        value = properties && properties[name]
        properties[name] = value.sub(%r{\A(\d+)/(\d+)/(\d+)}, '\1-\2-\3') if value.is_a?(String)
      end
    end
  end
end
