# frozen_string_literal: true

require "cgi"

# Pixels on the page against GDAL's gdalwarp, gdaldem and gdallocationinfo, which are another maker's.
RSpec.describe TileLoom::View::RasterDrawing do
  include Rasters

  around { |example| with_folder { example.run } }

  # Largest and mean difference of two images, away from their edges.
  def difference(mine, its, edge: 3)
    size = [mine.width - 2 * edge, mine.height - 2 * edge]
    off = (mine.cast(:float) - its.cast(:float)).abs.crop(edge, edge, *size)
    [off.max, off.avg]
  end

  # Photographs go to the file as JPEG; what is compared is what was drawn.
  def compared(path, look, view, ppi: 300, way: "bilinear")
    image = drawn(prepared(path), look, view, ppi: ppi)
    difference(image.raster.image.extract_band(0, n: 3), warped(path, image, view, way: way).extract_band(0, n: 3))
  end

  picture = {"kind" => "picture"}

  describe "beside gdalwarp, to two grey levels" do
    it "is the same in the raster's own reference, finer than is printed" do
      path = geotiff("own", smooth(1600, 1400), "EPSG:25829", [400_000, 6_530_000, 400_160, 6_529_860])
      expect(compared(path, picture, raster_view("EPSG:25829", [400_080, 6_529_930], 1_000))[0]).to be <= 2
    end

    it "is the same on a turned sheet" do
      path = geotiff("turned", smooth(1600, 1400), "EPSG:25829", [400_000, 6_530_000, 400_160, 6_529_860])
      view = raster_view("EPSG:25829", [400_080, 6_529_930], 1_000, width_mm: 70, height_mm: 60, rotation_deg: 23.0)
      expect(compared(path, picture, view)[0]).to be <= 2
    end

    it "is the same in another reference, of another datum" do
      path = geotiff("other", smooth(1600, 1400), "EPSG:25829", [400_000, 6_530_000, 400_160, 6_529_860])
      centre =
        TileLoom::Crs::Transform.between(
          TileLoom::Crs::System.find("EPSG:25829"),
          TileLoom::Crs::System.find("EPSG:3035")
        ).point(400_080, 6_529_930)
      expect(compared(path, picture, raster_view("EPSG:3035", centre, 1_000, width_mm: 60, height_mm: 50))[0]).to be <=
        2
    end

    it "is the same where Web Mercator is at 60°, into a national plane" do
      centre =
        TileLoom::Crs::Transform.between(
          TileLoom::Crs::System.find("OGC:CRS84"),
          TileLoom::Crs::System.find("EPSG:3857")
        ).point(-9.0, 60.0)
      x, y = centre.map(&:round)
      path = geotiff("web", smooth(1600, 1400), "EPSG:3857", [x - 160, y + 140, x + 160, y - 140])
      plane =
        TileLoom::Crs::Transform.between(
          TileLoom::Crs::System.find("EPSG:3857"),
          TileLoom::Crs::System.find("EPSG:25829")
        ).point(x, y)
      expect(compared(path, picture, raster_view("EPSG:25829", plane, 1_000, width_mm: 80, height_mm: 60))[0]).to be <=
        2
    end

    it "is the same over the whole of a zone, where a map of it bends" do
      path = geotiff("wide", smooth(2000, 1600), "EPSG:4326", [-13, 62, -5, 54])
      view = raster_view("EPSG:25829", [500_000, 6_430_000], 4_000_000, width_mm: 80, height_mm: 160)
      expect(compared(path, picture, view, ppi: 150)[0]).to be <= 2
    end

    it "is the same for a raster whose rows are turned against the grid" do
      plain = File.join(folder, "plain.tif")
      smooth(900, 900).tiffsave(plain)
      rows = "0.1,0.03,0.02,-0.1"
      a, b, c, d = rows.split(",").map(&:to_f)
      description = File.join(folder, "rows.vrt")
      tool("gdal_translate", "-q", "-of", "VRT", "-a_srs", "EPSG:25829", plain, description)
      text = File.read(description).sub(%r{<GeoTransform>.*?</GeoTransform>}m, "")
      place = "<GeoTransform>400000,#{a},#{c},6530000,#{b},#{d}</GeoTransform>"
      File.write(description, text.sub("<VRTRasterBand", "#{place}<VRTRasterBand"))
      path = File.join(folder, "rows.tif")
      tool("gdal_translate", "-q", description, path)
      view = raster_view("EPSG:25829", [400_054, 6_529_969], 500, width_mm: 80, height_mm: 70)
      expect(compared(path, picture, view)[0]).to be <= 2
    end
  end

  describe "round the earth" do
    # Grey runs with the longitude's sine and the latitude, so that no side differs from its neighbour.
    def globe(width = 1440)
      places = Vips::Image.xyz(width, width / 2)
      east = (places[0] * (360.0 / width)).math(:sin).linear(100, 128)
      east
        .bandjoin([(places[1] * (360.0 / width)).math(:cos).linear(100, 128), east])
        .rint
        .cast(:uchar)
        .copy(interpretation: :srgb)
    end

    # Of a place: what the globe has there, by hand.
    def expected(lon, lat) =
      [Math.sin((lon + 180) * Math::PI / 180) * 100 + 128, Math.cos((90 - lat) * Math::PI / 180) * 100 + 128]

    # The worst difference between pixels of a drawing and what is expected at their places; how many were looked at.
    def worst(image, view)
      pixels, step = image.raster.image, image.width_mm / image.raster.width_px
      bytes = pixels.write_to_memory.unpack("C*")
      cells = (0...pixels.width).step(3).to_a.product((0...pixels.height).step(3).to_a)
      places = cells.flat_map { |column, row| [image.x + (column + 0.5) * step, image.y + (row + 0.5) * step] }
      known = view.to_geographic.forward(view.to_ground(places)).each_slice(2).zip(cells)
      known = known.select { |lonlat, _| lonlat.all?(&:finite?) }
      off =
        known.map do |lonlat, (column, row)|
          found = bytes[(row * pixels.width + column) * pixels.bands, pixels.bands]
          next 255.0 if pixels.bands == 4 && found[3].zero?
          expected(*lonlat).zip(found).map { |one, other| (one - other).abs }.max
        end
      [off.max, off.length]
    end

    let(:path) { geotiff("globe", globe, "EPSG:4326", [-180, 90, 180, -90]) }

    it "goes on over 180°, without a seam" do
      view = raster_view("EPSG:3832", [2_900_000, -2_000_000], 60_000_000, width_mm: 160, height_mm: 120)
      off, checked = worst(drawn(prepared(path), {"kind" => "picture"}, view), view)
      expect(off).to be <= 2
      expect(checked).to be > 500
    end

    it "holds together about the pole" do
      view = raster_view("EPSG:3995", [0, 0], 30_000_000, width_mm: 60, height_mm: 60)
      off, checked = worst(drawn(prepared(path), {"kind" => "picture"}, view), view)
      expect(off).to be <= 3
      expect(checked).to be > 500
    end

    it "goes on over 180° for tiles in Web Mercator, into a plane of the Pacific" do
      web = File.join(folder, "web.tif")
      tool(
        "gdalwarp",
        "-q",
        "-t_srs",
        "EPSG:3857",
        "-te",
        *%w[-20037508.34 -8000000 20037508.34 8000000],
        "-ts",
        "1440",
        "580",
        path,
        web
      )
      view = raster_view("EPSG:3832", [3_339_584, -2_000_000], 20_000_000, width_mm: 80, height_mm: 60)
      off, = worst(drawn(prepared(web), {"kind" => "picture"}, view), view)
      expect(off).to be <= 3
    end

    it "is nothing where it lies elsewhere" do
      small = geotiff("far", smooth(200, 200), "EPSG:4326", [10, 10, 11, 9])
      expect(
        drawn(prepared(small), {"kind" => "picture"}, raster_view("EPSG:25829", [400_000, 6_530_000], 10_000))
      ).to be_nil
    end
  end

  describe "coarser than is printed" do
    it "has its own pixels in their true places, each as gdallocationinfo has it" do
      values = Vips::Image.perlin(60, 50, cell_size: 10, seed: 4).linear(3, 4).rint.cast(:uchar)
      path = geotiff("own", values, "EPSG:25829", [400_003, 6_530_001, 400_183, 6_529_851])
      view = raster_view("EPSG:25829", [400_080, 6_529_930], 1_000)
      classes = (0..9).map { |value| {"value" => value, "colour" => format("#%02x0000", value)} }
      image = drawn(prepared(path, kind: "classes"), {"kind" => "classes", "classes" => classes}, view)
      step = image.width_mm / image.raster.width_px
      expect(step).to be_within(1e-9).of(3.0)
      places = [[0, 0], [5, 7], [20, 11], [image.raster.width_px - 1, image.raster.height_px - 1]]
      places.each do |column, row|
        ground = view.to_ground([image.x + (column + 0.5) * step, image.y + (row + 0.5) * step])
        its = tool("gdallocationinfo", "-valonly", "-geoloc", path, *ground.map(&:to_s)).to_i
        expect(image.raster.image.getpoint(column, row).first).to eq(its)
      end
    end

    it "has edges of classes where they are on a turned sheet, to half a printed pixel" do
      values = Vips::Image.black(40, 40).insert((Vips::Image.black(20, 40) + 1).cast(:uchar), 20, 0)
      path = geotiff("edge", values, "EPSG:25829", [400_000, 6_530_000, 400_400, 6_529_600])
      view = raster_view("EPSG:25829", [400_200, 6_529_800], 2_500, width_mm: 80, height_mm: 60, rotation_deg: 30.0)
      classes = [{"value" => 0, "colour" => "#000000"}, {"value" => 1, "colour" => "#ffffff"}]
      image = drawn(prepared(path, kind: "classes"), {"kind" => "classes", "classes" => classes}, view)
      step = image.width_mm / image.raster.width_px
      row = image.raster.height_px / 2
      line = image.raster.image[0].crop(0, row, image.raster.width_px, 1).write_to_memory.bytes
      edge = image.x + line.index { |value| value != line.first } * step
      # The edge runs north through the middle of the ground: where it meets this row of the page.
      y = image.y + (row + 0.5) * step
      left, right = [view.frame.min_x, view.frame.max_x].map { |x| view.to_ground([x, y]).first }
      true_x = view.frame.min_x + (400_200 - left) / (right - left) * view.frame.width
      expect(edge).to be_within(step / 2 + 0.001).of(true_x)
    end

    # By hand: a line one pixel wide, black on white at 51 ppi, turned. Sampled at its own resolution its darkest pixels
    # would be those that a sample happens to meet.
    it "keeps the contrast of fine lines on a turned sheet" do
      lines = (Vips::Image.xyz(160, 140)[0] % 8 > 0).ifthenelse(255, 0).cast(:uchar)
      path =
        geotiff(
          "few",
          lines.bandjoin([lines, lines]).copy(interpretation: :srgb),
          "EPSG:25829",
          [400_000, 6_530_000, 400_160, 6_529_860]
        )
      image =
        drawn(
          prepared(path, kind: "picture"),
          {"kind" => "picture"},
          raster_view("EPSG:25829", [400_080, 6_529_930], 2_000, rotation_deg: 10.0, width_mm: 30.0, height_mm: 30.0)
        )
      expect(25.4 / (image.width_mm / image.raster.width_px)).to be_within(0.5).of(300)
      shown = image.raster.image
      # Along rows the darkest pixel of each line: nearly all of them black.
      darkest =
        (20...shown.height - 20)
          .step(7)
          .flat_map do |row|
            values = shown.crop(0, row, shown.width, 1)[0].write_to_memory.bytes
            values.each_slice(48).select { |part| part.length == 48 }.map(&:min)
          end
      expect(darkest.sort[(darkest.length * 0.95).floor]).to be <= 25
    end
  end

  describe "shading" do
    # Heights in a window of the raster's own pixels.
    def beside_gdaldem(crs, ullr, look = {}, options = [])
      heights = Vips::Image.perlin(400, 300, cell_size: 60, seed: 9).linear(30, 100).cast(:float)
      path = geotiff("heights", heights, crs, ullr)
      its = File.join(folder, "its-#{crs[/\d+/]}-#{options.join}.tif")
      tool("gdaldem", "hillshade", "-q", "-compute_edges", *options, path, its)
      raster = prepared(path, kind: "values")
      pixels, = raster.window(raster.levels.first, 0, 0, 400, 300)
      slope = TileLoom::Raster::Slope.new(raster.grid, [1.0, 1.0], 0, 0)
      mine = TileLoom::Symbology::RasterLook.read({"kind" => "shading", **look}).worked(pixels, slope, raster.facts)
      difference(mine, Vips::Image.tiffload(its))
    end

    it "differs from gdaldem's by less than one of 255" do
      _, mean = beside_gdaldem("EPSG:25829", [400_000, 6_530_000, 400_800, 6_529_400])
      expect(mean).to be < 1
      look = {"lights" => [{"azimuth_deg" => 40, "altitude_deg" => 30}], "exaggeration" => 2.5}
      _, mean = beside_gdaldem("EPSG:25829", [400_000, 6_530_000, 400_800, 6_529_400], look, %w[-az 40 -alt 30 -z 2.5])
      expect(mean).to be < 1
    end

    it "counts feet and degrees as the metres that they are" do
      feet = {"heights_in" => "feet"}
      _, mean = beside_gdaldem("EPSG:2263", [900_000, 200_800, 900_800, 200_200], feet, %w[-s 1])
      expect(mean).to be < 1
      # On the equator a degree is about as long along as across: 111,320 m (gdaldem's own manual: 111120).
      degrees = [10.0, 0.0015, 10.004, -0.0015]
      _, mean = beside_gdaldem("EPSG:4326", degrees, {}, %w[-s 110946])
      expect(mean).to be < 1
    end

    it "casts no shade from what has no height, and leaves it clear" do
      level = (Vips::Image.black(60, 60) + 100).draw_rect(-9999, 20, 20, 15, 15, fill: true).cast(:short)
      level = level.insert((Vips::Image.black(3, 3) + 101).cast(:short), 2, 2)
      path = geotiff("hole", level, "EPSG:25829", [400_000, 6_530_000, 400_600, 6_529_400], "-a_nodata", "-9999")
      view = raster_view("EPSG:25829", [400_200, 6_529_800], 2_500, width_mm: 60, height_mm: 60)
      image = drawn(prepared(path, kind: "values"), {"kind" => "shading"}, view).raster.image
      grey = 1 + 254 * Math.sin(Math::PI / 4)
      shown = image[1] > 127
      expect(shown.avg).to be_between(100, 200)
      expect(shown.ifthenelse(image[0], grey.round).min).to be >= grey.round - 1
    end

    # B. K. P. Horn (1981): a plane that rises 1 in 1 towards the east, under a light from the west at 45°, faces it.
    it "is Horn's on three by three heights by hand" do
      rows = [[0.0, 10.0, 20.0]] * 3
      look =
        TileLoom::Symbology::RasterLook.read(
          {"kind" => "shading", "lights" => [{"azimuth_deg" => 270, "altitude_deg" => 45}]}
        )
      grid = TileLoom::Raster::Grid.of(3, 3, [0, 10, 0, 30, 0, -10], "EPSG:25829")
      image = Vips::Image.new_from_array(rows).cast(:float)
      shade = look.worked(image, TileLoom::Raster::Slope.new(grid, [1.0, 1.0], 0, 0), nil).getpoint(1, 1).first
      expect(shade).to be_within(0.01).of(255)
      other =
        TileLoom::Symbology::RasterLook.read(
          {"kind" => "shading", "lights" => [{"azimuth_deg" => 90, "altitude_deg" => 45}]}
        )
      expect(
        other.worked(image, TileLoom::Raster::Slope.new(grid, [1.0, 1.0], 0, 0), nil).getpoint(1, 1).first
      ).to be_within(0.01).of(1)
      flat = other.worked(image * 0, TileLoom::Raster::Slope.new(grid, [1.0, 1.0], 0, 0), nil).getpoint(1, 1).first
      expect(flat).to be_within(0.01).of(1 + 254 * Math.sin(Math::PI / 4))
    end
  end
end
