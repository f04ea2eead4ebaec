# frozen_string_literal: true

# Pixels on the demo's sheets: in the PDF as poppler reads it, in the SVG, in legends and texts.
RSpec.describe "Pixels on sheets" do
  include Rasters

  around { |example| with_folder { example.run } }

  # The demo as one of its looks shows it, with other settings of its layers.
  def shown(*ids, **changes)
    settings = demo_settings
    layers =
      settings["layers"].map do |layer|
        layer.merge("visible" => ids.include?(layer["id"])).merge(changes.fetch(layer["id"].tr("-", "_").to_sym, {}))
      end
    settings.merge("layers" => layers)
  end

  def pdf(settings, sheets: "14", form: {"kind" => "pdf_book"}, **more)
    press = press_of({"sheets" => sheets, "form" => form, **more.transform_keys(&:to_s)}, settings: settings)
    path = File.join(folder, "out.pdf")
    press.bind(press.picked.map { |cell| press.page(cell) }, path)
    [path, press]
  end

  def images(path) = tool("pdfimages", "-list", path).lines.drop(2).map(&:split)

  it "has each pixel of a class where gdallocationinfo has it, to the corners, in what poppler draws at 600 dpi" do
    path, press = pdf(shown("land-cover", land_cover: {"opacity" => 1}))
    composer = press.composer(press.picked.first)
    tool("pdftocairo", "-r", "600", "-png", "-singlefile", path, File.join(folder, "page"))
    page = Vips::Image.new_from_file(File.join(folder, "page.png"))
    frame, view = composer.view.frame, composer.view
    colours = Hash.new { |hash, value| hash[value] = colour_of(value) }
    mm = [0.6, 17.3, 88.8, 201.4, frame.width - 0.6].product([0.6, 33.1, 140.2, frame.height - 0.6])
    wrong =
      mm.count do |across, down|
        place = view.to_ground([frame.min_x + across, frame.min_y + down])
        # Within a tenth of a millimetre of an edge of a pixel either side will do.
        near =
          place
            .zip(raster_corner)
            .any? { |at, corner| (((at - corner) / 2.0) % 1 * 0.8).then { |off| [off, 0.8 - off].min < 0.1 } }
        next false if near
        value =
          tool(
            "gdallocationinfo",
            "-valonly",
            "-geoloc",
            File.join(TileLoom::ROOT, "demo/skarrow-moss/land-cover.tif"),
            *place.map(&:to_s)
          ).to_i
        found =
          page
            .getpoint(*[frame.min_x + across, frame.min_y + down].map { |at| (at / 25.4 * 600).floor })
            .first(3)
            .map(&:to_i)
        found.zip(colours[value]).any? { |one, other| (one - other).abs > 3 }
      end
    expect(wrong).to be_zero
  end

  def raster_corner = [401_860.0, 6_530_020.0]

  # Colours of the classes, as the demo's book has them.
  def colour_of(value)
    layer = demo_settings["layers"].find { |own| own["id"] == "land-cover" }
    entry = layer["raster"]["classes"].find { |own| own["value"] == value }
    entry["colour"].delete_prefix("#").scan(/../).map(&:hex)
  end

  it "carries photographs as JPEG, classes without loss, and nothing on a sheet that shows none" do
    path, = pdf(shown("aerial"))
    expect(images(path).map { |row| row.values_at(2, 8) }).to eq([%w[image jpeg]])
    path, = pdf(shown("land-cover"))
    expect(images(path).map { |row| row.values_at(2, 8) }.first).to eq(%w[image image])
    path, = pdf(shown("aerial"), sheets: "1")
    expect(images(path)).to be_empty
    expect(PdfObjects.new(path).of_type("/OCG")).to be_empty
  end

  it "lets a reader switch them, and lays them on what is below by multiplying where that is asked for" do
    path, = pdf(shown("aerial", "shading"))
    found = PdfObjects.new(path)
    expect(found.of_type("/OCG").map { |object| PdfObjects.text(object["/Name"]) }).to eq(
      ["Aerial picture", "Shaded relief", "Notes"]
    )
    expect(found.all.map { |object| object["/BM"] }.compact).to eq(["/Multiply"])
    expect(tool("qpdf", "--check", path)).to include("No syntax or stream encoding errors")
    svg =
      TileLoom::Output::Svg.new(
        press_of({"sheets" => "14"}, settings: shown("aerial", "shading"))
          .then { |press| press.composer(press.picked.first) }
          .drawing
      ).to_s
    expect(svg).to include("mix-blend-mode:multiply")
  end

  it "is in the proof what it is in print" do
    path, press = pdf(shown("terrain", "shading", terrain: {"opacity" => 0.7}), ppi: 60)
    tool("pdftocairo", "-r", "60", "-png", "-singlefile", path, File.join(folder, "print"))
    svg = File.join(folder, "proof.svg")
    File.write(svg, TileLoom::Output::Svg.new(press.composer(press.picked.first).drawing).to_s)
    print = Vips::Image.new_from_file(File.join(folder, "print.png")).extract_band(0, n: 3)
    frame = press.composer(press.picked.first).view.frame
    inside = [frame.min_x + 5, frame.min_y + 5, frame.width - 10, frame.height - 10].map { |mm| (mm / 25.4 * 60).round }
    # The proof's own pictures, laid on one another by hand: the ramp at 0.7 on white, multiplied by the shade.
    ramp, shade =
      File
        .read(svg)
        .scan(%r{data:image/\w+;base64,([A-Za-z0-9+/=]+)})
        .map { |(text)| Vips::Image.new_from_buffer(text.unpack1("m0"), "").extract_band(0) }
    by_hand = ((ramp * 0.7 + 255 * 0.3) * shade / 255.0)
    left, top =
      press.composer(press.picked.first).drawing.then { [frame.min_x, frame.min_y] }.map { |mm| (mm / 25.4 * 60).round }
    mine = by_hand.crop(inside[0] - left, inside[1] - top, inside[2], inside[3])
    expect((mine - print.crop(*inside)[0]).abs.avg).to be < 4
  end

  it "keeps the standards of archives and presses" do
    %w[pdf_a_2u pdf_x_4].each do |standard|
      path, =
        pdf(
          shown("aerial", "shading"),
          form: {
            "kind" => "pdf_book",
            "pdf" => {
              "standard" => standard,
              "colours" => (standard == "pdf_x_4") ? "press" : "screen"
            }
          }
        )
      expect(tool("qpdf", "--check", path)).to include("No syntax or stream encoding errors")
      # ISO 15930-7, 6.2.4 and 6.2.9 (from memory): colours of the press alone, also of what is transparent.
      spaces =
        PdfObjects
          .new(path)
          .all
          .select { |object| object["/Subtype"] == "/Image" }
          .map { |object| object["/ColorSpace"] }
          .uniq
      expect(spaces).to eq((standard == "pdf_x_4") ? ["/DeviceCMYK"] : %w[/DeviceRGB /DeviceGray]).or eq(
             %w[/DeviceGray /DeviceRGB]
           )
    end
  end

  it "lists classes that are there by their titles, and a ramp as a bar between its rounded ends" do
    press = press_of({"sheets" => "14"}, settings: shown("land-cover", "terrain", "shading"))
    entries = press.composer(press.picked.first).legend_entries
    # What gdallocationinfo's sibling counts there: classes 1 to 4 and 6 lie on this sheet.
    cell = press.picked.first.ground.box
    cut = File.join(folder, "cut.tif")
    tool(
      "gdal_translate",
      "-q",
      "-projwin",
      *[cell.min_x, cell.max_y, cell.max_x, cell.min_y].map(&:to_s),
      File.join(TileLoom::ROOT, "demo/skarrow-moss/land-cover.tif"),
      cut
    )
    counts = JSON.parse(tool("gdalinfo", "-json", "-hist", cut))["bands"].first["histogram"]["buckets"]
    there = (1..7).select { |value| counts[value].positive? }
    titles =
      shown["layers"].find { |own| own["id"] == "land-cover" }["raster"]["classes"]
        .select { |own| there.include?(own["value"]) }
        .map { |own| own["title"] }
    expect(entries.reject(&:bar).map(&:title)).to eq(titles)
    expect(entries.select(&:bar).map(&:title)).to match([match(/\A\d+–\d+ m\z/)])
  end

  it "says the lowest and the highest height of a sheet, which are gdalinfo's of its ground" do
    press = press_of({"sheets" => "14"}, settings: shown("terrain"))
    composer = press.composer(press.picked.first)
    cell = press.picked.first.ground.box
    cut = File.join(folder, "cut.tif")
    tool(
      "gdal_translate",
      "-q",
      "-unscale",
      "-ot",
      "Float32",
      "-projwin",
      *[cell.min_x, cell.max_y, cell.max_x, cell.min_y].map(&:to_s),
      File.join(TileLoom::ROOT, "demo/skarrow-moss/terrain.tif"),
      cut
    )
    its = JSON.parse(tool("gdalinfo", "-json", "-stats", cut))["bands"].first
    said = composer.live_text("{{ sheet.lowest }} to {{ sheet.highest }}").split(" to ").map(&:to_f)
    expect(said).to match([be_within(0.11).of(its["minimum"]), be_within(0.11).of(its["maximum"])])
  end

  # ColorBrewer's YlGn of three: halves of the way between two stops are means of their bytes (linear interpolation, as
  # d3-scale has it by default).
  it "runs between the stops of a ramp in equal steps of red, green and blue" do
    bar = TileLoom::Symbology::ColourBar.new(colours: %w[#f7fcb9 #addd8e #31a354], stepped: false)
    expect(bar.at(0.25).map(&:round)).to eq([210, 237, 164])
    expect(bar.at(0.5).map(&:round)).to eq([173, 221, 142])
    expect(bar.at(1.0).map(&:round)).to eq([49, 163, 84])
  end

  it "tells before an export how coarse pixels are" do
    press = press_of({"sheets" => "14"}, settings: shown("terrain", "aerial"))
    expect(TileLoom::Output::Plan.new(press).notices).to include(
      "Heights has an effective 64 ppi at 1:2,500, fewer than 300.",
      "Aerial picture has an effective 254 ppi at 1:2,500, fewer than 300."
    )
  end
end
