# frozen_string_literal: true

require "vips"

module Demo
  # Pictures of the invented moor: its heights at a metre, what grows on it, and how it looks from the air.
  class Pictures
    REFERENCE = "EPSG:25829"
    # West, south, east, north.
    ALL = [401_860, 6_526_820, 406_500, 6_530_020].freeze
    FLOWN = [402_900, 6_527_700, 404_500, 6_528_900].freeze
    COVER = {
      1 => ["Open water", "#5f8fb0"],
      2 => ["Blanket bog", "#b8a878"],
      3 => ["Wet heath", "#9a8f62"],
      4 => ["Bare peat", "#5e4a3a"],
      5 => ["Rush pasture", "#a7bd72"],
      6 => ["Conifer plantation", "#41614a"],
      7 => ["Rock and scree", "#a9a6a1"]
    }.freeze

    # field: HeightField; folder: of the layers, which are there; tool: runs a program.
    def initialize(field, folder, tool)
      @field, @folder, @tool = field, folder, tool
    end

    def write(work)
      @work = work
      terrain
      land_cover
      aerial
    end

    private

    def path(name) = File.join(@work, name)

    # Heights of a window at so many metres a pixel: the field between its places, with hummocks.
    def heights(window, metres)
      west, south, east, north = window
      width, height = (east - west) / metres, (north - south) / metres
      rows = @field.grid.reverse
      field = Vips::Image.new_from_memory(rows.flatten.pack("f*"), HeightField::COLUMNS, HeightField::ROWS, 1, :float)
      top = HeightField::SOUTH + (HeightField::ROWS - 1) * HeightField::STEP
      step = HeightField::STEP / metres
      moved = [(HeightField::WEST - west) / metres, (north - top) / metres]
      field.affine(
        [step, 0, 0, step],
        interpolate: Vips::Interpolate.new("bicubic"),
        odx: moved[0],
        ody: moved[1],
        oarea: [0, 0, width.to_i, height.to_i],
        extend: :copy
      )
    end

    # Smooth noise of a window, about 0, with hills of so many metres: the same place has the same value.
    def noise(window, metres, size, seed)
      west, south, east, north = window
      step = (size / metres).round
      all = Vips::Image.perlin((ALL[2] - ALL[0]) / metres, (ALL[3] - ALL[1]) / metres, cell_size: step, seed: seed)
      all.crop((west - ALL[0]) / metres, (ALL[3] - north) / metres, (east - west) / metres, (north - south) / metres)
    end

    def terrain
      image = heights(ALL, 1) + noise(ALL, 1, 40, 11) * 0.5 + noise(ALL, 1, 12, 12) * 0.15
      (image * 10).rint.cast(:short).copy_memory.tiffsave(path("terrain.tif"))
      placed("terrain.tif", ALL, "-a_scale", "0.1", "-co", "PREDICTOR=2", "-co", "COMPRESS=DEFLATE", "-co", "ZLEVEL=9")
    end

    # A picture in its place, as a GeoTIFF that ships.
    def placed(name, window, *options, from: path(name))
      west, south, east, north = window
      @tool.call(
        "gdal_translate",
        "-q",
        "-a_srs",
        REFERENCE,
        "-a_ullr",
        *[west, north, east, south].map(&:to_s),
        "-co",
        "TILED=YES",
        *options,
        from,
        File.join(@folder, name)
      )
    end

    # 255 where features of a layer are.
    def burnt(name, window, metres, *options)
      target = path("#{name}-#{metres}.tif")
      lines = path("#{name}.geojson")
      unless File.exist?(lines)
        @tool.call("ogr2ogr", "-q", "-t_srs", REFERENCE, "-f", "GeoJSON", lines, File.join(@folder, "#{name}.geojson"))
      end
      @tool.call(
        "gdal_rasterize",
        "-q",
        "-burn",
        "255",
        "-ot",
        "Byte",
        "-te",
        *window.map(&:to_s),
        "-tr",
        metres.to_s,
        metres.to_s,
        *options,
        lines,
        target
      )
      Vips::Image.tiffload(target)
    end

    # Classes of a window, from the lie of the land.
    def cover(window, metres)
      height = heights(window, metres).gaussblur(16.0 / metres)
      slope = ((height.conv(x_kernel)**2 + height.conv(x_kernel.rot90)**2)**0.5) / (8.0 * metres)
      patch, grain = noise(window, metres, 260, 21), noise(window, metres, 60, 22)
      found = (height * 0 + 2).cast(:uchar)
      found = (patch + grain * 0.4 > 0.12).ifthenelse(3, found)
      found = (height + grain * 12 < 278).ifthenelse(5, found)
      found = ((patch < -0.22) & (height < 330)).ifthenelse(6, found)
      found = ((slope + grain * 0.05 > 0.1) & (grain > 0.05)).ifthenelse(4, found)
      found = (slope + grain * 0.06 > 0.16).ifthenelse(7, found)
      burnt("lochans", window, metres).ifthenelse(1, found).cast(:uchar)
    end

    def x_kernel = Vips::Image.new_from_array([[-1, 0, 1], [-2, 0, 2], [-1, 0, 1]])

    def land_cover
      cover(ALL, 2).median(5).copy_memory.tiffsave(path("plain.tif"))
      File.write(path("land-cover.vrt"), description)
      # The names of classes lie beside it: in the file they would be a tag of GDAL's own.
      placed("land-cover.tif", ALL, "-co", "COMPRESS=DEFLATE", "-co", "ZLEVEL=9", from: path("land-cover.vrt"))
    end

    def description
      width, height = (ALL[2] - ALL[0]) / 2, (ALL[3] - ALL[1]) / 2
      colours =
        (0..7).map do |value|
          red, green, blue = (COVER.dig(value, 1) || "#000000").delete_prefix("#").scan(/../).map(&:hex)
          %(<Entry c1="#{red}" c2="#{green}" c3="#{blue}" c4="255"/>)
        end
      names = (0..7).map { |value| "<Category>#{COVER.dig(value, 0)}</Category>" }
      <<~XML
        <VRTDataset rasterXSize="#{width}" rasterYSize="#{height}"><VRTRasterBand dataType="Byte" band="1">
        <ColorInterp>Palette</ColorInterp><ColorTable>#{colours.join}</ColorTable>
        <CategoryNames>#{names.join}</CategoryNames>
        <SimpleSource><SourceFilename relativeToVRT="1">plain.tif</SourceFilename><SourceBand>1</SourceBand></SimpleSource>
        </VRTRasterBand></VRTDataset>
      XML
    end

    GROUND = {
      1 => [52, 66, 74],
      2 => [128, 116, 84],
      3 => [104, 92, 62],
      4 => [70, 56, 46],
      5 => [116, 130, 78],
      6 => [46, 64, 48],
      7 => [142, 138, 132]
    }.freeze

    # Ground in its colours under a light from the south-west, with ditches and tracks.
    def aerial
      metres = 0.25
      classes = cover(FLOWN, 1)

      planes =
        (0..2).map { |band| Vips::Image.new_from_array([(0..7).map { |value| GROUND.fetch(value, [0, 0, 0])[band] }]) }
      table = planes.first.bandjoin(planes.drop(1)).cast(:uchar)
      soft = classes.maplut(table).gaussblur(1.5).resize(4, kernel: :linear)
      height = heights(FLOWN, metres) + noise(FLOWN, metres, 6, 31) * 0.35 + noise(FLOWN, metres, 2, 32) * 0.1
      light = (height.conv(x_kernel) * -1 + height.conv(x_kernel.rot90)) / (8 * metres) * 0.9 + 1
      tone = noise(FLOWN, metres, 90, 33) * 16 + noise(FLOWN, metres, 9, 34) * 22
      image = soft * light + tone
      ways = burnt("tracks", FLOWN, metres).dilate(disc(7)).gaussblur(1)
      image = (ways / 255.0) * [176, 166, 148] + image * (ways.invert / 255.0)
      ditches = burnt("water", FLOWN, metres).dilate(disc(3)).gaussblur(1.2)
      image *= ditches * (-0.45 / 255) + 1
      image.rint.cast(:uchar).copy(interpretation: :srgb).copy_memory.tiffsave(path("aerial.tif"))
      placed(
        "aerial.tif",
        FLOWN,
        *%w[-co COMPRESS=JPEG -co JPEG_QUALITY=62 -co PHOTOMETRIC=YCBCR -co BLOCKXSIZE=512 -co BLOCKYSIZE=512]
      )
    end

    def disc(size)
      half = size / 2.0 - 0.5
      rows = (0...size).map { |y| (0...size).map { |x| (Math.hypot(x - half, y - half) <= half + 0.2) ? 255 : 128 } }
      Vips::Image.new_from_array(rows)
    end
  end
end
