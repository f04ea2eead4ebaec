# frozen_string_literal: true

require "vips"

# Images of sheets, held against poppler's own rendering, GDAL, and arithmetic.
RSpec.describe TileLoom::Output::Forms::Images do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  def images(form = {}, settings: demo_settings, **order)
    press =
      press_of(
        {"form" => {"kind" => "images", **form}, "sheets" => "B2", **order.transform_keys(&:to_s)},
        settings: settings
      )
    hand_on(press, @folder)
  end

  def size(path) = Vips::Image.new_from_file(path).then { |image| [image.width, image.height] }

  # [[x, y] × 4] of the corners that gdalinfo tells, in ground units: upper left, lower left, upper right, lower right.
  def corners(path) =
    JSON.parse(outside("gdalinfo", "-json", path))["cornerCoordinates"].values_at(
      "upperLeft",
      "lowerLeft",
      "upperRight",
      "lowerRight"
    )

  # ISO 216: A3 is 420 × 297 mm. 420 / 25.4 × 300 = 4,960.6; 297 / 25.4 × 300 = 3,507.9.
  it "are 4,961 × 3,508 px of A3 landscape at 300 ppi, and say so" do
    expect(size(images.first)).to eq([4961, 3508])
    expect(Vips::Image.new_from_file(Dir["#{@folder}/*.png"].first).xres * 25.4).to be_within(0.5).of(300)
  end

  # 1,000 / 25.4 × 300 = 11,811.02.
  it "are 11,811 px square of a square metre at 300 ppi" do
    box = TileLoom::Geometry::Box.at(0, 0, 1000, 1000)
    expect(TileLoom::Output::Painter.pixels(box, 300)).to eq([11_811, 11_811])
  end

  # The same pages by pdftocairo; the mean difference of all samples is under 2 of 255.
  it "look as poppler draws the PDF of the same sheet" do
    path = images(ppi: 100).first
    pdf = hand_on(press_of({"sheets" => "B2"}), @folder).first
    outside("pdftocairo", "-r", "100", "-png", "-singlefile", pdf, File.join(@folder, "poppler"))
    ours, theirs =
      [path, File.join(@folder, "poppler.png")].map { |file| Vips::Image.new_from_file(file).colourspace(:srgb) }
    # Poppler's program rounds sides up.
    theirs = theirs.crop(0, 0, ours.width, ours.height)
    expect((ours.cast(:short) - theirs.extract_band(0, n: 3).cast(:short)).abs.avg).to be < 2
  end

  # Drawn in one piece and in bands of a few rows, pixel by pixel.
  it "are the same in bands as in one piece" do
    whole = Vips::Image.new_from_file(images(ppi: 60).first)
    stub_const("TileLoom::Output::Painter::BAND_BYTES", 992 * 4 * 40)
    banded = Vips::Image.new_from_file(images({}, ppi: 60, file_name: "banded").first)
    expect((whole.cast(:short) - banded.cast(:short)).abs.max).to be <= 2
    expect((whole.cast(:short) - banded.cast(:short)).abs.avg).to be < 0.01
  end

  describe "formats" do
    it "are read back by other makers' readers, with the depth that was asked for" do
      kinds = {"png" => "PNG", "jpeg" => "JPEG", "tiff" => "GTiff", "webp" => "WEBP", "geotiff" => "GTiff"}
      kinds.each do |format, driver|
        told =
          JSON.parse(
            outside(
              "gdalinfo",
              "-json",
              images({"format" => format, "depth" => "grey"}, ppi: 40, file_name: format).first
            )
          )
        expect([format, told["driverShortName"]]).to eq([format, driver])
        expect(told["bands"].length).to eq((format == "webp") ? 3 : 1)
      end
      palette =
        JSON.parse(
          outside("gdalinfo", "-json", images({"depth" => "256 colours"}, ppi: 40, file_name: "palette").first)
        )
      expect(palette["bands"].first["colorInterpretation"]).to eq("Palette")
    end

    it "have a clear background on wish: the paper alone" do
      image = Vips::Image.new_from_file(images({"clear" => true}, ppi: 40).first)
      expect(image.bands).to eq(4)
      expect(image.getpoint(2, 2)[3]).to eq(0)
      expect(image.getpoint(image.width / 2, image.height / 2)[3]).to eq(255)
    end

    it "refuse what they cannot hold, with what to do" do
      expect { images({"format" => "jpeg", "clear" => true}) }.to invalid(/JPEG cannot have “clear”/)
      expect { images({"format" => "webp"}, ppi: 1200) }.to invalid(
        /WebP allows at most 16,383 px a side, and sheet B2 would be 19,843 × 14,031 px; choose at most 990 ppi/
      )
    end
  end

  describe "of the map frame" do
    # The frame of the demo's design at 1:2,500, in mm, by its page: 420 − 10 − 10 − 12 − 8 − 66, 297 − 10 − 10 − 8 − 8.
    it "are as large as the frame alone, or as the frame with its border and labels" do
      expect(size(images({"shows" => "map frame"}, ppi: 254).first)).to eq([3140, 2610])
      width, height = size(images({"shows" => "frame with border"}, ppi: 254, file_name: "border").first)
      expect([width, height]).to match([be_between(3141, 3300), be_between(2611, 2800)])
    end

    # Ground is drawn to the very edge: no white of the paper and no border in the outermost pixels.
    it "show ground up to their edges" do
      image = Vips::Image.new_from_file(images({"shows" => "map frame"}, ppi: 60).first)
      edge = image.crop(0, 0, image.width, 1)
      expect(edge.avg).to be_between(180, 250)
    end
  end

  describe "on the ground" do
    let(:cell) { press_of({}).cells.find { |known| known.name == "B2" } }

    # Corners of the cell, in the order of gdalinfo's.
    def ground(cell)
      lower_left, lower_right, upper_right, upper_left = cell.ground.corners.each_slice(2).to_a
      [upper_left, lower_left, upper_right, lower_right]
    end

    def pixel(ppi) = 25.4 / ppi * 2.5

    it "GeoTIFFs have the corners of the cell, within half a pixel, says gdalinfo" do
      found = corners(images({"format" => "geotiff", "shows" => "map frame"}, ppi: 150).first)
      found
        .zip(ground(cell))
        .each do |one, other|
          expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < pixel(150) / 2 * Math.sqrt(2)
        end
      srs = JSON.parse(outside("gdalinfo", "-json", Dir["#{@folder}/*.tif"].first))["coordinateSystem"]["wkt"]
      expect(srs).to include("ETRS89 / UTM zone 29N")
    end

    it "turned sheets too, by a turned transform; or drawn anew with north up" do
      settings = demo_settings
      settings["index"]["rotation_deg"] = 20
      press =
        press_of(
          {
            "sheets" => "#3",
            "ppi" => 100,
            "form" => {
              "kind" => "images",
              "format" => "geotiff",
              "shows" => "map frame"
            }
          },
          settings: settings
        )
      turned = press.picked.first
      path = hand_on(press, @folder).first
      corners(path)
        .zip(ground(turned))
        .each { |one, other| expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < pixel(100) }
      transform = JSON.parse(outside("gdalinfo", "-json", path))["geoTransform"]
      expect(transform[2].abs).to be > 0.1
      upright =
        press_of(
          {
            "sheets" => "#3",
            "ppi" => 100,
            "file_name" => "up",
            "form" => {
              "kind" => "images",
              "format" => "geotiff",
              "shows" => "map frame",
              "north_up" => true
            }
          },
          settings: settings
        )
      told = JSON.parse(outside("gdalinfo", "-json", hand_on(upright, @folder).first))
      expect(told["geoTransform"].values_at(2, 4)).to eq([0, 0])
      box = turned.ground.box
      expect(told["cornerCoordinates"]["upperLeft"]).to match([be_within(2).of(box.min_x), be_within(2).of(box.max_y)])
    end

    it "others have a world file and the reference beside them, which GDAL reads" do
      files = images({"format" => "jpeg", "shows" => "map frame", "placed" => true}, ppi: 150)
      expect(files.map { |file| File.basename(file) }).to eq(
        ["Skarrow Moss_B2.jpg", "Skarrow Moss_B2.jgw", "Skarrow Moss_B2.jpg.aux.xml"]
      )
      corners(files.first)
        .zip(ground(cell))
        .each { |one, other| expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < pixel(150) }
      File.delete(files.last)
      # The world file alone: of the middle of the first pixel (common practice of its readers).
      corners(files.first)
        .zip(ground(cell))
        .each { |one, other| expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < pixel(150) }
    end

    # A dam's own place against the pixels of the page: the frame is where the page says it is.
    it "whole pages are placed as their frames are" do
      whole = corners(images({"format" => "geotiff"}, ppi: 100).first)
      frame = TileLoom::Geometry::Box.around(cell.ground.corners)
      # From the page's corner to the frame's: 10 + 12 + 8 mm across and 10 + 8 mm down, at 1:2,500.
      expect(whole[0][0]).to be_within(pixel(100)).of(frame.min_x - 30 * 2.5)
      expect(whole[0][1]).to be_within(pixel(100)).of(frame.max_y + 18 * 2.5)
    end
  end
end
