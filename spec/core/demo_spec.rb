# frozen_string_literal: true

# The demo must be a place that could be: water runs down, contours lie at their height, dams on gullies.
RSpec.describe "The demo ground" do
  folder = File.join(TileLoom::ROOT, "demo/skarrow-moss")
  folio = TileLoom::Document::Folio.read(SmallBooks::DEMO)
  source = folio.source

  # Heights from the GeoTIFF, by GDAL.
  def heights(places)
    outside(
      "gdallocationinfo",
      "-valonly",
      "-geoloc",
      File.join(TileLoom::ROOT, "demo/skarrow-moss/heights.tif"),
      input: places.map { |x, y| "#{x} #{y}\n" }.join
    ).lines.map { |line| Float(line, exception: false) }
  end

  def vertices(feature) =
    TileLoom::Geometry::Wkb.each_run(feature.wkb).flat_map { |_, coordinates| coordinates.each_slice(2).to_a }

  it "is small" do
    pictures, others =
      Dir["#{folder}/*"].partition { |file| %w[aerial land-cover terrain].include?(File.basename(file)[/\A[a-z-]+/]) }
    expect(others.sum { |file| File.size(file) }).to be < 3_000_000
    expect(pictures.sum { |file| File.size(file) }).to be < 6_000_000
  end

  it "covers a concave area of about 4 km by 3 km within UTM zone 29N" do
    area = TileLoom::Geometry::Geos.read(source.features("restoration-area", nil).first.wkb)
    box = TileLoom::Geometry::Geos.envelope(area)
    expect(box.width).to be_between(3_500, 4_600)
    expect(box.height).to be_between(2_500, 3_500)
    expect(area.area).to be < area.convex_hull.area * 0.92
    west, south, east, north = folio.document.crs.area_of_use
    lon, lat = TileLoom::Crs::Transform.between(folio.document.crs, folio.document.crs.geographic).point(*box.centre)
    expect(lon).to be_between(west, east)
    expect(lat).to be_between(south, north)
  end

  it "has water that runs downhill" do
    ends = source.features("water", nil).flat_map { |feature| vertices(feature).values_at(0, -1) }
    falls = heights(ends).each_slice(2).filter_map { |first, last| first - last if first && last }
    expect(falls.length).to be > 100
    # The GeoTIFF is averaged to 20 m, so the shortest gullies may look level in it.
    expect(falls.count { |fall| fall > -0.5 }).to be > falls.length * 0.97
    expect(falls.sum / falls.length).to be > 5
  end

  it "has contours at their heights" do
    sample = source.features("contours", nil).each_slice(20).map(&:first)
    differences =
      sample.flat_map do |feature|
        places = vertices(feature).each_slice(25).map(&:first)
        heights(places).compact.map { |height| (height - feature.attributes["height_m"]).abs }
      end
    expect(differences.sort[(differences.length * 0.9).floor]).to be < 2.5
  end

  it "has a few hundred dams, on gullies, with what an inspection asks for" do
    dams = source.features("dams", nil)
    expect(dams.length).to be_between(200, 600)
    gullies =
      TileLoom::Geometry::Geos.union(
        source.features("water", nil).map { |feature| TileLoom::Geometry::Geos.read(feature.wkb) }
      )
    expect(dams.map { |dam| TileLoom::Geometry::Geos.read(dam.wkb).distance(gullies) }.max).to be < 1
    dams.each do |dam|
      expect(dam.attributes).to include(
        "code" => match(/\AD\d{3}\z/),
        "type" => be_in(%w[peat timber stone coir]),
        "condition" => be_in(%w[sound leaking failed]),
        "inspected" => match(/\A20\d\d-\d\d-\d\d\z/)
      )
    end
    expect(dams.map { |dam| dam.attributes["code"] }.uniq.length).to eq(dams.length)
  end

  it "has compartments that fill the area without overlapping" do
    area = TileLoom::Geometry::Geos.read(source.features("restoration-area", nil).first.wkb)
    parts = source.features("compartments", nil).map { |feature| TileLoom::Geometry::Geos.read(feature.wkb) }
    expect(parts.sum(&:area)).to be_within(area.area * 0.01).of(area.area)
    expect(TileLoom::Geometry::Geos.union(parts).area).to be_within(area.area * 0.01).of(area.area)
  end

  it "has lochans that lie level, below their shores" do
    source
      .features("lochans", nil)
      .each do |feature|
        shore = heights(vertices(feature)).compact
        expect(shore.sum / shore.length).to be_within(3).of(feature.attributes["level_m"])
      end
  end

  it "has every layer that the team needs" do
    expect(folio.document.layers.map(&:id)).to include(
      "restoration-area",
      "contours",
      "compartments",
      "water",
      "lochans",
      "fences",
      "tracks",
      "boardwalk",
      "dams",
      "hazards",
      "huts"
    )
    expect(source.features("boardwalk", nil).first.attributes["name"]).to eq("Skarrow Boardwalk")
  end
end

RSpec::Matchers.define(:be_in) { |list| match { |value| list.include?(value) } }
