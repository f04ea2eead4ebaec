# frozen_string_literal: true

require "fileutils"
require "json"
require "tmpdir"

module TileLoom
  module Raster
    # Makes a raster ready to be drawn (see Prepared) out of one file of pixels or a mosaic of several, in its own
    # reference. The pixels are rewritten by GDAL in a limited process: what is drawn later was written by us.
    class Prepare
      LARGEST_BYTES = 4 * 1024**3
      SECONDS = 6 * 3600
      # Kinds that a raster is taken as, with their titles.
      KINDS = {
        "picture" => "an image",
        "classes" => "classes, such as land cover",
        "values" => "heights or other values"
      }.freeze

      # Yields one of files that are opened for as long: names: as their senders call them; picture: of a file that
      # holds several; kind: nil for what the first looks like. See #new.
      def self.open(files, names: [], picture: nil, kind: nil, reference: nil, wanted: nil)
        Bundle.open_all(files, names: names, wanted: wanted) do |parts|
          found = parts.flat_map { |part| chosen(Inspection.new(part, wanted: wanted).all, picture) }
          yield new(parts, found, kind: kind || found.first.guess, reference: reference, wanted: wanted)
        end
      end

      def self.chosen(all, picture) = (picture ? all.select { |found| found.picture == picture } : all).first(1)
      private_class_method :chosen

      # parts: Bundle::Part list; found: an Inspection::Found of each; kind: one of KINDS; reference: code or definition
      # in place of what the files say; wanted: see LimitedProcess.
      def initialize(parts, found, kind:, reference: nil, wanted: nil)
        @parts, @found, @kind, @wanted = parts, found, kind, wanted
        @reference = reference || first.reference
        @mosaic = Mosaic.new(found) if found.length > 1
      end

      # Sentences of what was guessed or put right.
      def notices = @notices ||= []

      # Writes pixels, mask and facts into a folder. Yields the share that is done. Returns the Prepared.
      def write(folder, &progress)
        check
        Dir.mktmpdir("tile-loom-prepare") do |work|
          @folders = [work, folder]
          source = straightened(work, &progress)
          pixels(coloured(source, work), folder, &progress)
          mask(source, folder, work, &progress)
        end
        finish(folder)
      end

      private

      def first = @found.first

      def name = @parts.first.name

      def refuse(code, **values) = raise(Refusal.new(code, name: name, **values))

      def check
        raise Refusal.new("imports.crs_not_named", name: name, at: "/reference") unless @reference
        refuse("raster.no_place") unless @found.all?(&:located?)
        refuse("raster.classes_of_fractions") if @kind == "classes" && !first.type.match?(/Byte|Int/)
        if @kind != "picture" && first.bands - (first.masked ? 1 : 0) > 1
          refuse("raster.one_band_wanted", count: first.bands)
        end
        @mosaic&.check
        contradiction
      end

      # A reference that its own numbers cannot lie in.
      def contradiction
        return if first.transform.nil?
        grid = first.grid(@reference)
        system = grid.system
        middle = grid.affine.point(first.width / 2.0, first.height / 2.0)
        lonlat = Crs::Transform.between(system, system.geographic).forward(middle)
        fits = system.geographic? ? middle[0].abs <= 541 && middle[1].abs <= 90.5 : lonlat.all?(&:finite?)
        return if fits
        refuse(
          "raster.crs_contradicts",
          crs: system.name,
          place: middle.map { |number| Units::Number.grouped(number.round) }.join(", ")
        )
      end

      def process =
        PixelProcess.new(
          name,
          drivers: [*@parts.flat_map { |part| part.format.drivers }, "GTiff", "COG"].uniq,
          wanted: @wanted,
          seconds: SECONDS,
          reads: @parts.flat_map(&:reads),
          writes: @folders
        )

      # Steps of the whole, each with its share of the way.
      def share(from, to) = ->(done) { yield from + (to - from) * done if block_given? }

      # One file whose rows and columns an affine map takes to the ground, and whose numbers are those meant.
      def straightened(work, &progress)
        report = block_given? ? share(0.0, 0.4, &progress) : nil
        target = File.join(work, "straight.tif")
        source = @parts.first.path
        if @mosaic
          Steps.run(process, "gdalwarp", *warped, *@mosaic.options, *open_options, *@parts.map(&:path), target, &report)
        elsif first.transform.nil?
          notices << fitted
          Steps.run(process, "gdalwarp", *warped, *open_options, source, target, &report)
        elsif rewritten.any?
          Steps.run(
            process,
            "gdal_translate",
            "-of",
            "GTiff",
            *BETWEEN,
            *rewritten,
            *open_options,
            source,
            target,
            &report
          )
          # GDAL keeps the table of colours there.
          FileUtils.rm_f("#{target}.aux.xml")
        else
          return source
        end
        target
      end

      BETWEEN = %w[-co TILED=YES -co COMPRESS=DEFLATE -co ZLEVEL=1 -co BIGTIFF=YES].freeze

      def open_options = @parts.first.format.open_options(first.picture)

      def fitted
        count = first.control_points
        "#{name} was fitted to the ground by #{count} control points."
      end

      # Of gdalwarp: into the same reference; gaps are told apart from pixels.
      def warped
        gaps = (@kind == "picture") ? ["-dstalpha"] : ["-dstnodata", nothing.to_s]
        way = (@kind == "classes" || first.palette) ? "near" : "bilinear"
        ["-t_srs", @reference, "-of", "GTiff", "-r", way, *BETWEEN, *gaps]
      end

      # A picture of a table's colours as those colours; what is clear in it is told by its numbers still.
      def coloured(source, work)
        return source unless @kind == "picture" && first.palette
        target = File.join(work, "coloured.tif")
        own = (source == @parts.first.path) ? open_options : []
        way = %w[-b 1 -mask none -a_nodata none -expand rgb]
        Steps.run(process, "gdal_translate", "-of", "GTiff", *BETWEEN, *way, *own, source, target)
        target
      end

      # A table of colours stands between a class and its number, a scale between a number and its value.
      def rewritten
        return [] if @kind == "picture"
        return %w[-unscale -ot Float32] if @kind == "values" && first.scaled
        # Numbers that cannot have a table lose theirs.
        return "-ot", (first.type == "Byte") ? "Int16" : "Int32" if first.palette
        return %w[-ot Float64] if first.type.match?(/Int64/)
        []
      end

      # The number that stands for nothing, or nil; of fractions "nan" where the file says none.
      def nothing
        return nil if @kind == "picture"
        return first.nodata if first.nodata
        return "nan" if first.type.start_with?("Float") || first.scaled
        needs_gap? ? free_value : nil
      end

      def needs_gap? = @mosaic || first.transform.nil?

      # Of a type, a number that no pixel has.
      def free_value
        return 255.downto(0).find { |value| !first.values.to_a.include?(value) } || 0 if first.type == "Byte"
        first.type.start_with?("U") ? 65_535 : -32_768
      end

      def pixels(source, folder, &progress)
        report = block_given? ? share(0.4, 0.85, &progress) : nil
        CloudTiff.new(process, lossy: lossy?, shrunk: (@kind == "classes") ? "MODE" : "AVERAGE").write(
          source,
          File.join(folder, Prepared::PIXELS),
          *bands,
          *%w[-mask none],
          "-a_srs",
          @reference,
          "-a_nodata",
          nothing.nil? ? "none" : nothing.to_s,
          *((source == @parts.first.path) ? open_options : []),
          &report
        )
      end

      def lossy? = @kind == "picture" && @found.all?(&:lossy) && [1, 3].include?(colours)

      # How many bands are not a mask.
      def colours
        return 3 if @kind == "picture" && first.palette
        first.bands - (first.alpha ? 1 : 0)
      end

      def bands = (1..colours).flat_map { |band| ["-b", band.to_s] }

      def masked? = @kind == "picture" && (first.masked || !first.nodata.nil? || needs_gap?)

      # By way of a plain file: GDAL 3.6 breaks down where a mask is to be a band of a cloud-optimised one.
      def mask(source, folder, work, &progress)
        return unless masked?
        report = block_given? ? share(0.85, 1.0, &progress) : nil
        plain = File.join(work, "mask.tif")
        Steps.run(
          process,
          "gdal_translate",
          "-of",
          "GTiff",
          *BETWEEN,
          *%w[-b mask -mask none],
          *((source == @parts.first.path) ? open_options : []),
          source,
          plain
        )
        CloudTiff.new(process).write(plain, File.join(folder, Prepared::MASK), &report)
      end

      def finish(folder)
        info =
          PixelProcess.new(name, drivers: ["GTiff"], wanted: @wanted, seconds: SECONDS, reads: [folder]).info(
            File.join(folder, Prepared::PIXELS),
            *((@kind == "picture") ? [] : ["-stats"]),
            *%w[--config GDAL_PAM_ENABLED NO]
          )
        facts = {
          "kind" => @kind,
          "width" => info["size"][0],
          "height" => info["size"][1],
          "bands" => info["bands"].length,
          "type" => info["bands"].first["type"],
          "transform" => info["geoTransform"],
          "crs" => @reference,
          "nodata" => nothing,
          "masked" => masked?,
          "lossy" => lossy?,
          "palette" => first.palette && @kind != "values",
          "unit" => (@kind == "values") ? first.unit : nil,
          "notices" => notices
        }
        File.write(File.join(folder, Prepared::FACTS), JSON.generate(facts))
        measured = Measuring.new(Prepared.read(folder), info, name: name, wanted: @wanted).to_h
        raise Refusal.new("raster.no_values", name: name) if measured["quantiles"].compact.empty?
        classes = (@kind == "classes") ? classes(measured.delete("values")) : []
        File.write(
          File.join(folder, Prepared::FACTS),
          JSON.generate(facts.merge(measured.except("values"), "classes" => classes))
        )
        Prepared.read(folder)
      end

      # Those of the file, and those that it has without saying anything of them.
      def classes(values)
        named = @found.flat_map(&:classes).to_h { |entry| [entry["value"], entry] }
        if values.length > Inspection::MOST_CLASSES
          refuse("raster.too_many_classes", count: Units::Number.grouped(values.length), most: Inspection::MOST_CLASSES)
        end
        values.map { |value| named[value] || {"value" => value} }
      end
    end
  end
end
