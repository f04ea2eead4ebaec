# frozen_string_literal: true

RSpec.describe TileLoom::Crs::Tuning do
  crs = ->(code) { TileLoom::Crs::System.find(code) }
  place = ->(reference, lon, lat) { TileLoom::Crs::Transform.between(reference.geographic, reference).point(lon, lat) }

  # GeographicLib's exact transverse Mercator, which shares no code with PROJ.
  it "moves the central meridian, the scale factor and the false origin of a UTM zone" do
    tuned =
      crs[
        described_class.new(crs["EPSG:25829"]).with(
          values: {
            "Longitude of natural origin" => -4.25,
            "Scale factor at natural origin" => 1,
            "False easting" => 100_000
          },
          name: "Skarrow grid"
        )
      ]
    x, y, =
      outside(
        "TransverseMercatorProj",
        "-l",
        "-4.25",
        "-k",
        "1",
        "-p",
        "6",
        "-e",
        "6378137",
        "1/298.257222101",
        input: "58.8 -4.7\n"
      ).split.map(&:to_f)
    expect(place[tuned, -4.7, 58.8]).to match([be_within(1e-4).of(x + 100_000), be_within(1e-4).of(y)])
    expect([tuned.name, tuned.datum]).to eq(["Skarrow grid", crs["EPSG:25829"].datum])
  end

  # GeographicLib's ConicProj: Albers with its own parallels, origin at latitude 57.
  it "moves the standard parallels of a conic" do
    conic = crs["+proj=aea +lat_1=40 +lat_2=60 +lat_0=50 +lon_0=0 +ellps=GRS80 +units=m"]
    names = described_class.new(conic).parameters.map(&:name)
    values = {names.grep(/1st standard/).first => 55, names.grep(/2nd standard/).first => 59}
    x, y = conic_shift("-a", [55, 59], -4, [-2, 57], [-3, 58])
    tuned = crs[described_class.new(conic).with(values: values.merge("Longitude of false origin" => -4))]
    from, to = place[tuned, -2, 57], place[tuned, -3, 58]
    expect([to[0] - from[0], to[1] - from[1]]).to match([be_within(1e-3).of(x), be_within(1e-3).of(y)])
  end

  # NIST SP 811: a US survey foot is 1200/3937 m.
  it "counts in another unit without moving anything" do
    feet = crs[described_class.new(crs["EPSG:25829"]).with(unit: "us-ft")]
    metres = place[crs["EPSG:25829"], -9.5, 58.0]
    expect(place[feet, -9.5, 58.0]).to match(metres.map { |number| be_within(1e-5).of(number * 3937 / 1200) })
    expect(feet.unit.code).to eq("us-ft")
  end

  it "says the parameters with their units" do
    found = described_class.new(crs["EPSG:2277"])
    expect(found.parameters.map(&:unit).uniq).to eq(["degree", "US survey foot"])
    expect(found.unit).to eq("us-ft")
  end

  {
    "an unknown parameter" => [
      {values: {"Tilt" => 3}},
      /has no parameter “Tilt”; it has Latitude of natural origin/
    ],
    "a latitude beyond the pole" => [{values: {"Latitude of natural origin" => 91}}, /from −90 to 90/],
    "a scale factor of nothing" => [{values: {"Scale factor at natural origin" => 0}}, /more than 0/],
    "text for a number" => [{values: {"False easting" => "far"}}, /must be a number/],
    "an unknown unit" => [{unit: "rod"}, /not a unit for a CRS/],
    "a long name" => [{name: "x" * 101}, /longer than 100/]
  }.each do |name, (options, sentence)|
    it("refuses #{name}") { expect { described_class.new(crs["EPSG:25829"]).with(**options) }.to invalid(sentence) }
  end

  it("refuses a reference in degrees") do
    expect { described_class.new(crs["EPSG:4326"]) }.to invalid(/is in degrees/)
  end

  # Accuracies as the EPSG register states them (from memory): ETRS89 to WGS 84 1 m; NAD27 to NAD83 without
  # its grids more than 10 m; OSGB36 to ETRS89 without its grid 2 to 3 m.
  it "knows how accurate a change of datum is, and warns of a rough one" do
    accuracy = ->(from, to, box) { TileLoom::Crs::Accuracy.new(crs[from], crs[to], box) }
    expect(accuracy["EPSG:4326", "EPSG:25829", [-9, 58, -8, 59]].metres).to eq(1.0)
    expect(accuracy["EPSG:4326", "EPSG:25829", [-9, 58, -8, 59]].warning).to be_nil
    expect(accuracy["EPSG:4267", "EPSG:26914", [-98, 30, -97, 31]].metres).to be > 5
    expect(accuracy["EPSG:4277", "EPSG:25830", [-3, 51, -2, 52]].warning).to match(
      /from Ordnance Survey of Great Britain 1936 to .* accurate only to [23] m/
    )
    expect(accuracy["EPSG:25830", "EPSG:25829", [-9, 58, -8, 59]].metres).to eq(0)
    rough = accuracy["+proj=longlat +ellps=clrk66", "EPSG:25829", [-9, 58, -8, 59]]
    expect([rough.metres, rough.warning]).to match([nil, /no accurate transformation/])
  end
end
