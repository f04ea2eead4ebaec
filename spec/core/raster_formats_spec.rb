# frozen_string_literal: true

# Files of pixels of each format, written by GDAL's own tools, and files that are none.
RSpec.describe TileLoom::Raster::Inspection do
  include Rasters

  around { |example| with_folder { example.run } }

  let(:ullr) { [400_000, 6_530_000, 400_200, 6_529_850] }
  let(:image) { smooth(200, 150) }
  let(:picture) { geotiff("picture", image, "EPSG:25829", ullr) }

  def made(name, *options, from: picture)
    File.join(folder, name).tap { |path| tool("gdal_translate", "-q", *options, from, path) }
  end

  def zipped(name, files)
    File
      .join(folder, name)
      .tap do |path|
        File.open(path, "wb") do |io|
          archive = TileLoom::Output::Archive.new(io)
          files.each { |called, file| archive.add(called, file) }
          archive.close
        end
      end
  end

  def refused(code) = raise_error(TileLoom::Refusal) { |error| expect(error.code).to eq(code) }

  def off(path, **choice)
    raster = prepared(path, **choice)
    pixels, = raster.window(raster.levels.first, 0, 0, raster.grid.width, raster.grid.height)
    (pixels.extract_band(0, n: 3).cast(:float) - image.cast(:float)).abs.max
  end

  it "reads each format of pictures in its place, without loss where the file had none" do
    {
      "a.tif" => [[], 0],
      "b.png" => [%w[-of PNG -co WORLDFILE=YES], 0],
      "c.jp2" => [%w[-of JP2OpenJPEG -co REVERSIBLE=YES -co QUALITY=100], 0],
      "d.jpg" => [%w[-of JPEG -co WORLDFILE=YES -co QUALITY=95], 16]
    }.each do |name, (options, most)|
      path = made(name, *options)
      found = found_in(path).first
      expect([name, found.width, found.height, found.transform]).to eq(
        [name, 200, 150, [400_000, 1, 0, 6_530_000, 0, -1]]
      )
      expect([name, off(path, reference: "EPSG:25829")]).to match([name, be <= most])
    end
  end

  it "reads tiles in containers, an ASCII grid, and a set in a zip" do
    mercator = File.join(folder, "mercator.tif")
    tool("gdalwarp", "-q", "-t_srs", "EPSG:3857", picture, mercator)
    expect(found_in(made("e.mbtiles", "-of", "MBTILES", from: mercator)).first).to have_attributes(
      guess: "picture",
      reference: "EPSG:3857"
    )
    expect(found_in(made("f.gpkg", "-of", "GPKG")).first).to have_attributes(guess: "picture", reference: "EPSG:25829")
    grid = made("g.asc", "-of", "AAIGrid", "-b", "1")
    expect(found_in(grid).first).to have_attributes(guess: "values", bands: 1)
    png = made("h.png", "-of", "PNG", "-co", "WORLDFILE=YES")
    set = zipped("set.zip", {"scan.png" => png, "scan.pgw" => png.sub(".png", ".wld"), "read me.txt" => __FILE__})
    expect(found_in(set).first).to have_attributes(name: "scan.png", transform: [400_000, 1, 0, 6_530_000, 0, -1])
  end

  it "keeps four bands, sixteen bits, masks, nothing-values and names of classes" do
    four = geotiff("four", image.bandjoin(image[0]), "EPSG:25829", ullr, "-colorinterp", "red,green,blue,undefined")
    expect(prepared(four).facts).to have_attributes(bands: 4, kind: "picture")
    deep = geotiff("deep", (image.cast(:ushort) * 200).cast(:ushort), "EPSG:25829", ullr)
    expect(prepared(deep).facts).to have_attributes(type: "UInt16", kind: "picture")
    clear =
      geotiff(
        "clear",
        image.bandjoin(Vips::Image.xyz(200, 150)[0] < 100),
        "EPSG:25829",
        ullr,
        "-colorinterp",
        "red,green,blue,alpha"
      )
    raster = prepared(clear)
    expect(raster.facts).to have_attributes(masked: true, bands: 3)
    expect([raster.at(400_050.5, 6_529_950.5).nil?, raster.at(400_150.5, 6_529_950.5).nil?]).to eq([false, true])
    heights = geotiff("heights", image[0].cast(:short), "EPSG:25829", ullr, "-a_nodata", "-9999")
    expect(prepared(heights, kind: "values").facts.nodata).to eq(-9999)
  end

  # gdalinfo computes the same over all pixels.
  it "has the statistics of gdalinfo" do
    path =
      geotiff(
        "heights",
        Vips::Image.perlin(300, 200, cell_size: 50, seed: 3).linear(40, 300).cast(:float),
        "EPSG:25829",
        ullr
      )
    its = JSON.parse(tool("gdalinfo", "-json", "-stats", path))["bands"].first["metadata"][""]
    facts = prepared(path).facts
    {"lowest" => "MINIMUM", "highest" => "MAXIMUM", "mean" => "MEAN", "deviation" => "STDDEV"}.each do |own, name|
      expect(facts.public_send(own).first).to be_within(1e-6).of(its["STATISTICS_#{name}"].to_f)
    end
    expect(facts.quantiles.first.values_at(0, 100)).to match(
      [facts.lowest.first, facts.highest.first].map { |value| be_within(1e-4).of(value) }
    )
  end

  it "takes colours and names of classes from the file, and strips the table from what is drawn" do
    raster = TileLoom::Raster::Cache.new.fetch([File.join(TileLoom::ROOT, "demo/skarrow-moss/land-cover.tif")])
    expect(raster.facts.classes.first).to eq({"value" => 1, "title" => "Open water", "colour" => "#5f8fb0"})
    expect(raster.facts.classes.length).to eq(7)
  end

  it "fits a scan by its control points" do
    points = [
      [0, 0, 400_000, 6_530_000],
      [200, 0, 400_200, 6_530_010],
      [0, 150, 399_990, 6_529_850],
      [200, 150, 400_190, 6_529_860]
    ]
    scan =
      made(
        "scan.tif",
        *points.flat_map { |point| ["-gcp", *point.map(&:to_s)] },
        "-a_srs",
        "EPSG:25829",
        from: geotiff_without_place
      )
    expect(found_in(scan).first).to have_attributes(transform: nil, control_points: 4)
    raster = prepared(scan)
    expect(raster.grid.box.centre).to match([be_within(2).of(400_095), be_within(2).of(6_529_930)])
  end

  def geotiff_without_place = File.join(folder, "plain-picture.tif").tap { picture }

  describe "refuses" do
    it "what has no place, no values, one value, no end" do
      expect { prepared(geotiff_without_place, reference: "EPSG:25829") }.to refused("raster.no_place")
      flat = geotiff("flat", Vips::Image.black(300, 300) + 7, "EPSG:25829", ullr)
      expect { found_in(flat) }.to refused("raster.one_value")
      nothing = geotiff("nothing", Vips::Image.black(50, 50).cast(:float) / 0.0, "EPSG:25829", ullr)
      expect { found_in(nothing) }.to refused("raster.no_values")
      cut = File.join(folder, "cut.tif")
      File.binwrite(cut, File.binread(picture, 30_000))
      expect { found_in(cut) }.to raise_error(TileLoom::Refusal)
    end

    it "a head that lies of its size, and more classes than can be told apart" do
      large = File.join(folder, "large.tif")
      tool(
        "gdal_create",
        "-q",
        "-of",
        "GTiff",
        "-outsize",
        "120000",
        "10",
        "-bands",
        "1",
        "-co",
        "SPARSE_OK=YES",
        "-a_srs",
        "EPSG:25829",
        "-a_ullr",
        *ullr.map(&:to_s),
        large
      )
      expect { found_in(large) }.to refused("raster.side_too_long")
      many = geotiff("many", Vips::Image.xyz(300, 20)[0].cast(:ushort), "EPSG:25829", ullr)
      expect { prepared(many, kind: "classes") }.to refused("raster.too_many_classes")
    end

    it "a CRS in which its numbers cannot lie" do
      expect { prepared(picture, reference: "EPSG:4326") }.to refused("raster.crs_contradicts")
    end

    it "to follow a file to another one, or to a host" do
      secret = File.join(folder, "secret.tif")
      image.tiffsave(secret)
      source =
        "<VRTDataset rasterXSize=\"200\" rasterYSize=\"150\"><VRTRasterBand dataType=\"Byte\" band=\"1\"><SimpleSource>" \
          "<SourceFilename>#{secret}</SourceFilename><SourceBand>1</SourceBand></SimpleSource></VRTRasterBand></VRTDataset>"
      service = "<GDAL_WMS><Service name=\"TMS\"><ServerUrl>http://127.0.0.1:9/</ServerUrl></Service></GDAL_WMS>"
      [source, service, "/vsicurl/http://127.0.0.1:9/a.tif", secret].each_with_index do |text, index|
        %w[tif png jpg jp2 asc].each do |ending|
          path = File.join(folder, "follow#{index}.#{ending}")
          File.write(path, text)
          expect { found_in(path) }.to raise_error(TileLoom::Refusal)
        end
      end
    end

    it "to look into what lies beside a picture but for its place" do
      png = made("beside.png", "-of", "PNG")
      File.write(
        "#{png}.aux.xml",
        "<PAMDataset><GeoTransform>1,2,0,3,0,-4</GeoTransform><Metadata domain=\"OVERVIEWS\"><MDI key=\"OVERVIEW_FILE\">#{picture}</MDI></Metadata></PAMDataset>"
      )
      TileLoom::Raster::Bundle
        .new(png)
        .open do |parts|
          expect(File.read("#{parts.first.path}.aux.xml")).to include("GeoTransform").and(
            satisfy { |text| !text.include?("OVERVIEW") }
          )
        end
      expect(found_in(png).first.transform).to eq([1, 2, 0, 3, 0, -4])
    end
  end

  # A cone's contours are circles; GDAL's own tool agrees with itself when it is asked by hand.
  it "traces contours that are where the heights are" do
    places = Vips::Image.xyz(400, 400)
    cone = ((((places[0] - 199.5)**2) + ((places[1] - 199.5)**2))**0.5).linear(-1, 300).cast(:float)
    raster = prepared(geotiff("cone", cone, "EPSG:25829", [400_000, 6_530_000, 400_400, 6_529_600]))
    target = File.join(folder, "lines.geojson")
    TileLoom::Raster::Contours.new(raster, interval: 50, every: 2).write(target)
    features = JSON.parse(File.read(target))["features"]
    found = features.to_h { |feature| [feature["properties"]["height"], feature] }
    expect(found.keys).to include(150, 200, 250)
    expect(found[200]["properties"]["index"]).to be(true)
    expect(found[250]["properties"]["index"]).to be(false)
    radii = found[200]["geometry"]["coordinates"].map { |x, y| Math.hypot(x - 400_200, y - 6_529_800) }
    expect(radii.minmax).to match([be_within(0.15).of(100), be_within(0.15).of(100)])
  end
end
