# frozen_string_literal: true

RSpec.describe TileLoom::Furniture::Elements::NorthArrow do
  include GridViews

  # What an arrow asks of a sheet.
  sheet = Struct.new(:view, :book) { def norths = TileLoom::View::Norths.new(view, book.parsed_date) }
  book = Struct.new(:parsed_date) { def language = TileLoom::Languages::Language.of("fi") }

  let(:box) { TileLoom::Geometry::Box.at(330, 100, 20, 20) }

  def arrow(settings) =
    TileLoom::Furniture::Element.read(
      {"kind" => "north_arrow", "id" => "north", "place" => {}}.merge(settings),
      path: "/layout/elements/0"
    )

  # Degrees clockwise from the page's top to the letter at the arrow's tip.
  define_method(:points) do |settings, view, date = Date.new(2026, 4, 1)|
    letter = arrow(settings).nodes(sheet.new(view, book.new(date)), box).grep(TileLoom::Scene::Text).first
    x, y = box.centre
    dx = letter.x + letter.face.width_mm(letter.string, letter.size_pt) / 2 - x
    dy = letter.y - letter.face.cap_height_mm(letter.size_pt) / 2 - y
    Math.atan2(dx, -dy) * 180 / Math::PI
  end

  it "ships at least twelve drawings, all pointing up and within their square" do
    forms = TileLoom::Furniture::NorthArrowSet::TITLES.keys
    expect(forms.length).to be >= 12
    expect(
      Dir[File.join(TileLoom::Furniture::NorthArrowSet::FOLDER, "*.svg")].map { |file| File.basename(file, ".svg") }
    ).to match_array(forms)
    forms.each do |form|
      extent =
        TileLoom::Geometry::Box.around(TileLoom::Furniture::NorthArrowSet.drawing(form).shapes.flat_map(&:runs).flatten)
      expect(extent.min_y).to be_within(0.02).of(-0.5), form
      expect(extent.to_a.map(&:abs).max).to be < 0.52, form
      expect(points({"form" => form}, view)).to be_within(1e-6).of(0), form
    end
  end

  # A step along the meridian on the ground, seen on the page, says where true north lies.
  it "points to grid, true or magnetic north, turned with the frame" do
    [0.0, 25.0, -140.0].each do |rotation|
      frame = view(rotation: rotation)
      expect(points({"north" => "grid"}, frame)).to be_within(1e-6).of(rotation)
      lon, lat = frame.centre_lon_lat
      from, to = [0, 1e-4].map { |step| frame.to_page(frame.to_geographic.inverse([lon, lat + step])) }
      meridian = Math.atan2(to[0] - from[0], from[1] - to[1]) * 180 / Math::PI
      expect(points({"north" => "true"}, frame)).to be_within(1e-3).of(meridian)
      declination = TileLoom::Crs::MagneticModel.wmm.at(lon, lat, Date.new(2026, 4, 1)).declination_deg
      expect(points({"north" => "magnetic"}, frame) - meridian).to be_within(1e-3).of(declination)
    end
    expect { points({"north" => "magnetic"}, view, nil) }.to invalid(/needs a date/, path: "/layout/elements/0/north")
  end

  it "takes the north of the frame's middle, or of the place beside it" do
    wide = view(reference: "EPSG:3035", centre: [4_321_000, 3_210_000], scale: 5_000_000)
    middle, here = points({"north" => "true"}, wide), points({"north" => "true", "at" => "here"}, wide)
    lon, lat = wide.to_geographic.forward(wide.to_ground([320, 110]))
    from, to = [0, 1e-4].map { |step| wide.to_page(wide.to_geographic.inverse([lon, lat + step])) }
    expect(middle).to be_within(0.01).of(0)
    expect(here).to be_within(1e-3).of(Math.atan2(to[0] - from[0], from[1] - to[1]) * 180 / Math::PI)
    expect(TileLoom::View::Norths.new(wide, nil).spread_deg).to be > 10
    expect(TileLoom::View::Norths.new(view, nil).spread_deg).to be < 0.1
  end

  it "has the letter that is wanted, or none, and refuses a drawing that does not ship" do
    nodes = ->(settings) { arrow(settings).nodes(sheet.new(view, book.new(nil)), box) }
    expect(nodes[{"letter" => "С"}].grep(TileLoom::Scene::Text).map(&:string)).to eq(["С"])
    # CLDR 48: north is P in Finnish.
    expect(nodes[{}].grep(TileLoom::Scene::Text).map(&:string)).to eq(["P"])
    expect(nodes[{"letter" => ""}].grep(TileLoom::Scene::Text)).to eq([])
    settings = small_settings
    settings["layout"]["elements"].find { |element| element["kind"] == "north_arrow" }["form"] = "anchor"
    expect(TileLoom::Document::Check.new(settings).findings.map(&:message)).to include(
      /There is no north arrow “anchor”; use one of needle/
    )
  end
end
