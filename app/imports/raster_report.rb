# frozen_string_literal: true

module App
  # What a file of pixels holds, as the browser gets it before any of it is kept, with a small picture.
  class RasterReport
    # Pixels on the longer side of the small picture.
    SMALL_PX = 320

    def initialize(arrival, file)
      @arrival, @file = arrival, file
    end

    # An entry for each picture; several files of one kind are one.
    def list
      TileLoom::Raster::Bundle
        .new(@file, name: @arrival.name, wanted: @arrival.asked)
        .open do |parts|
          found = parts.map { |part| TileLoom::Raster::Inspection.new(part, wanted: @arrival.asked).all }
          next [mosaic(parts, found.map(&:first))] if parts.length > 1
          found.first.map { |one| entry(parts.first, one) }
        end
    end

    private

    def mosaic(parts, found)
      TileLoom::Raster::Mosaic.new(found).check
      boxes = found.map { |one| one.grid.box }
      entry(parts.first, found.first)
        .merge("box" => boxes.reduce { |all, other| all.union(other) }.to_a, "title" => title(@arrival.name))
        .then { |known| known.merge("pixels" => known["pixels"].merge("files" => parts.length)) }
    end

    def title(name) = File.basename(name, ".*").tr("_-", "  ")

    def entry(part, found)
      reference = found.reference
      {
        "name" => [part.name, found.picture].compact.join("/"),
        "title" => title(found.picture || part.name),
        "count" => RasterImport::STEPS,
        "geometry" => "Raster",
        "attributes" => [],
        "box" => box(found),
        "reference" => reference,
        "columns" => nil,
        "asks_columns" => false,
        "reference_name" => reference && TileLoom::Crs::System.find(reference).name,
        "asks_reference" => reference.nil?,
        "pixels" => pixels(part, found)
      }
    end

    def box(found) = found.transform && found.grid.box.to_a

    def pixels(part, found)
      {
        "picture" => found.picture,
        "format" => part.format.title,
        "width" => found.width,
        "height" => found.height,
        "bands" => found.bands,
        "type" => found.type,
        "pixel" => found.transform && found.grid.pixel,
        "pixel_m" => found.transform && found.reference && found.grid.pixel_m,
        "located" => found.located?,
        "control_points" => found.control_points,
        "nodata" => found.nodata,
        "masked" => found.masked,
        "guess" => found.guess,
        "statistics" => found.statistics.first(4),
        "about" => found.about,
        "unit" => found.unit,
        "classes" => found.classes.first(TileLoom::Raster::Inspection::MOST_CLASSES),
        "values" => found.values&.length,
        "small" => small(part, found)
      }
    end

    # A data address of a PNG; nil where none could be made.
    def small(part, found)
      Dir.mktmpdir("tile-loom-small") do |folder|
        target = File.join(folder, "small.png")
        sides = (found.width >= found.height) ? [SMALL_PX, 0] : [0, SMALL_PX]
        TileLoom::Raster::PixelProcess.new(
          part.name,
          drivers: [*part.format.drivers, "PNG"],
          wanted: @arrival.asked,
          reads: part.reads,
          writes: [folder]
        ).capture(
          "gdal_translate",
          "-q",
          "-of",
          "PNG",
          "-outsize",
          *sides.map(&:to_s),
          *manner(found),
          *part.format.open_options(found.picture),
          part.path,
          target
        )
        bytes = File.binread(target)
        (bytes.bytesize < 400_000) ? "data:image/png;base64,#{[bytes].pack("m0")}" : nil
      end
    rescue TileLoom::Refusal, SystemCallError
      nil
    end

    def manner(found)
      return %w[-expand rgb] if found.palette
      bands = (found.guess == "picture" && found.bands >= 3) ? %w[-b 1 -b 2 -b 3] : %w[-b 1]
      bytes = found.type == "Byte" && found.guess == "picture"
      known = found.statistics.first
      scale = (bytes || known.nil?) ? [] : ["-scale", *known.values_at("lowest", "highest").map(&:to_s), "0", "255"]
      ["-ot", "Byte", "-r", (found.guess == "classes") ? "near" : "average", "-a_nodata", "none", *bands, *scale]
    end
  end
end
