# frozen_string_literal: true

module TileLoom
  module Raster
    # What is in a file of pixels, before any of it is kept, from the report of GDAL's gdalinfo.
    class Inspection
      # reference: code or definition, or nil where the file names none; transform: six numbers, nil where the file does
      # not say where it lies; control_points: how many fit it to the ground; guess: the kind that it looks like;
      # classes: [{"value", "title", "colour"}] from the file; statistics: a Hash by band of lowest, highest, mean,
      # deviation; about: are they from a part of the pixels?
      Found =
        Struct.new(
          :name,
          :picture,
          :width,
          :height,
          :bands,
          :type,
          :reference,
          :transform,
          :control_points,
          :nodata,
          :masked,
          :lossy,
          :guess,
          :classes,
          :values,
          :statistics,
          :about,
          :unit,
          :palette,
          :alpha,
          :scaled,
          keyword_init: true
        ) do
          def located? = !transform.nil? || control_points.positive?

          def grid(crs = reference) = Grid.of(width, height, transform, crs)
        end

      LONGEST_SIDE = 100_000
      # More pixels than this are sampled.
      FEW_PIXELS = 64_000_000
      MOST_BANDS = 64
      # Pixels × bands, before any of them is looked at.
      MOST_SAMPLES = 20_000_000_000
      MOST_CLASSES = 256
      # Values of a plain raster of bytes that still look like classes.
      FEW_VALUES = 40

      # part: a Bundle::Part; picture: name of one of several in it; wanted: see LimitedProcess.
      def initialize(part, picture: nil, wanted: nil)
        @part, @picture, @wanted = part, picture, wanted
      end

      # Found entries, one for each picture in the file.
      def all
        names = format.pictures(report)
        return [found] unless names
        names.map { |name| self.class.new(@part, picture: name, wanted: @wanted).found }
      end

      # Refusal for what cannot be drawn.
      def found
        demand_size
        info = with_statistics
        bands = info["bands"]
        Found.new(
          name: @part.name,
          picture: @picture,
          width: size[0],
          height: size[1],
          bands: bands.length,
          type: bands.first["type"],
          reference: reference(info),
          transform: transform(info),
          control_points: info.dig("gcps", "gcpList").to_a.length,
          nodata: nodata(bands.first),
          masked: masked?(bands),
          lossy: format.lossy?(info) && bands.first["type"] == "Byte" && [1, 3, 4].include?(bands.length),
          guess: guess(bands),
          classes: classes(bands.first),
          values: present(bands.first),
          statistics: statistics(bands),
          about: sampled?,
          unit: bands.first["unit"].to_s.strip.then { |unit| unit.empty? ? nil : unit[0, 20] },
          palette: !bands.first["colorTable"].nil?,
          alpha: bands.last["colorInterpretation"] == "Alpha",
          scaled: bands.first.key?("scale") || bands.first.key?("offset")
        )
      end

      private

      def format = @part.format

      def refuse(code, **values) = raise(Refusal.new(code, name: @part.name, **values))

      def report = @report ||= read

      def size = report["size"]

      def sampled? = size[0] * size[1] > FEW_PIXELS

      def read(*options) = process.info(@part.path, *options, *format.open_options(@picture))

      def process
        @process ||= PixelProcess.new(@part.name, drivers: format.drivers, wanted: @wanted, reads: @part.reads)
      end

      def demand_size
        bands = report["bands"].to_a
        refuse("raster.no_bands") if bands.empty?
        refuse("raster.complex_numbers") if bands.any? { |band| band["type"].to_s.start_with?("C") }
        refuse("raster.too_many_bands", count: bands.length, most: MOST_BANDS) if bands.length > MOST_BANDS
        refuse("raster.side_too_long", **sides, most: Units::Number.grouped(LONGEST_SIDE)) if size.max > LONGEST_SIDE
        demand_samples(size[0] * size[1] * bands.length)
      end

      def sides = {width: Units::Number.grouped(size[0]), height: Units::Number.grouped(size[1])}

      # A head may say anything; what follows it holds no more than its way of packing can.
      def demand_samples(samples)
        bytes = File.size(@part.path)
        if format.samples_per_byte && samples > bytes * format.samples_per_byte
          refuse("raster.too_few_bytes", **sides, bytes: Units::Number.grouped(bytes))
        end
        return if samples <= MOST_SAMPLES
        refuse(
          "raster.too_many_samples",
          million: Units::Number.grouped(samples / 1_000_000),
          most_million: Units::Number.grouped(MOST_SAMPLES / 1_000_000)
        )
      end

      # What cannot be read to its end is no use.
      def with_statistics
        found = read(sampled? ? "-approx_stats" : "-stats", *(bytes? ? ["-hist"] : []))
        known = found["bands"].select { |band| band["minimum"] || band["metadata"]&.dig("", "STATISTICS_MINIMUM") }
        # Where its values could not be read to the end, GDAL says so and has none.
        if known.empty?
          damaged = process.said.lines.grep(/^ERROR/).reject { |line| line.include?("no valid pixels") }.any?
          refuse(damaged ? "raster.unreadable" : "raster.no_values")
        end
        if found["bands"].all? { |band| flat?(band) && nodata(band).nil? } && !masked?(found["bands"])
          refuse("raster.one_value")
        end
        found
      end

      def bytes? = report["bands"].first["type"] == "Byte"

      def flat?(band) = statistics([band]).first.then { |known| known && known["lowest"] == known["highest"] }

      def statistics(bands)
        bands.map do |band|
          own = band["metadata"]&.fetch("", nil) || {}
          lowest, highest, mean, deviation =
            %w[MINIMUM MAXIMUM MEAN STDDEV].map { |name| own["STATISTICS_#{name}"]&.to_f }
          lowest && {"lowest" => lowest, "highest" => highest, "mean" => mean, "deviation" => deviation}
        end
      end

      # GDAL says the unit square where it knows nothing.
      def transform(info)
        found = info["geoTransform"] or return nil
        return nil if found == [0.0, 1.0, 0.0, 0.0, 0.0, 1.0]
        # What is no number in the file is null in the report.
        fits = found.all? { |number| number.is_a?(Numeric) && number.to_f.finite? }
        refuse("raster.flat_transform") unless fits && (found[1] * found[5] - found[2] * found[4]).abs.positive?
        found
      end

      def reference(info)
        wkt = (info.dig("coordinateSystem", "wkt") || info.dig("gcps", "coordinateSystem", "wkt")).to_s.strip
        known(Crs::Stated.code(wkt)) || known(wkt)
      end

      # What is no reference on the earth counts as none, so that one is asked for.
      def known(text) = text.to_s.start_with?("LOCAL_CS", "ENGCRS") ? nil : Crs::Stated.known(text)

      def nodata(band)
        value = band["noDataValue"]
        return value if value.is_a?(Numeric)
        value ? "nan" : nil
      end

      def masked?(bands)
        bands.any? { |band| band["colorInterpretation"] == "Alpha" } ||
          bands.first.dig("mask", "flags").to_a.any? { |flag| %w[PER_DATASET ALPHA].include?(flag) }
      end

      def integer?(band) = band["type"].match?(/Byte|Int/)

      # A table of colours or names means classes; one band of numbers, values; bytes of many values, a picture.
      def guess(bands)
        first = bands.first
        colours = bands.reject { |band| band["colorInterpretation"] == "Alpha" }
        return "picture" if colours.length > 1
        return "classes" if first["colorTable"] || first["categories"] || first["rat"]
        return "values" unless bytes?
        (present(first).to_a.length <= FEW_VALUES) ? "classes" : "picture"
      end

      # Values of bytes that are there, by their counts; nil where that is not known.
      def present(band)
        counts = band.dig("histogram", "buckets")
        return nil unless counts && counts.length == 256
        nothing = nodata(band)
        (0..255).select { |value| counts[value].positive? && value != nothing }
      end

      # Names and colours from the file, of the values that are there.
      def classes(band)
        return [] unless integer?(band)
        names, colours = names(band), colours(band)
        values = present(band) || (names.keys | colours.keys).sort
        values
          .select { |value| names.key?(value) || colours.key?(value) }
          .map { |value| {"value" => value, "title" => names[value], "colour" => colours[value]}.compact }
      end

      def names(band)
        listed = band["categories"].to_a.each_with_index.to_h { |name, value| [value, name] }
        listed
          .merge(from_table(band["rat"]))
          .transform_values { |name| name.to_s.strip[0, 200] }
          .reject { |_, name| name.empty? }
      end

      def colours(band)
        band.dig("colorTable", "entries").to_a.each_with_index.to_h { |entry, value| [value, hex(entry)] }
      end

      def hex(entry) = Kernel.format("#%02x%02x%02x", *entry.first(3))

      # GDAL's usages of fields: 2 name, 5 smallest and largest at once.
      def from_table(table)
        fields = table&.dig("fieldDefn").to_a
        value =
          fields.index { |field| field["usage"] == 5 } || fields.index { |field| field["name"].to_s.casecmp?("value") }
        name = fields.index { |field| field["usage"] == 2 } || fields.index { |field| field["type"] == 2 }
        return {} unless value && name
        table["row"].to_a.to_h { |row| [row["f"][value].to_i, row["f"][name]] }
      end
    end
  end
end
