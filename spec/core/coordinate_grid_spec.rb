# frozen_string_literal: true

RSpec.describe TileLoom::CoordinateGrid do
  include GridViews

  describe "intervals" do
    series = TileLoom::Units::Series
    interval = described_class::Interval

    # Common practice: 1-2-5 for lengths; 1, 2, 5, 10, 15, 20, 30 of seconds and minutes for angles.
    it "come from the standard series" do
      expect([series.at_most(199), series.at_most(200), series.at_least(201), series.nearest(0.07)]).to eq(
        [100, 200, 500, Rational(5, 100)]
      )
      expect(series.nearest_angle_deg(0.26)).to eq(Rational(1, 4))
      expect(series.nearest_angle_deg(22.0 / 3600)).to eq(Rational(20, 3600))
    end

    it "suit the scale: about as far apart on paper as wished" do
      [1000, 2500, 10_000, 25_000, 250_000].each do |scale|
        found = mesh(view(scale: scale), "EPSG:25829", target_mm: 40)
        on_paper = found.interval(:x) * 1000 / scale
        expect(on_paper).to be_between(40 / 1.6, 40 * 1.6)
      end
    end

    it "let at least two lines cross each side, however small the frame is for the wished spacing" do
      [0.0, 30.0].each do |rotation|
        lines = drawn(mesh(view(rotation: rotation), "EPSG:4258", target_mm: 280))
        expect(lines.map(&:axis).tally.values).to all(be >= 2)
      end
    end

    # NIST SP 811: a foot is 0.3048 m, a US survey foot 1200/3937 m.
    it "keep their unit through a change of reference, and never turn into degrees" do
      crs = ->(code) { TileLoom::Crs::System.find(code) }
      expect(interval.parse("100 m").in(crs["EPSG:25829"])).to eq(100)
      expect(interval.parse("100 m").in(crs["EPSG:2277"])).to eq(Rational(3937, 12))
      expect(interval.parse("500 ft").in(crs["EPSG:25829"])).to eq(Rational(1524, 10))
      expect(interval.parse("5 mi").in(crs["EPSG:25829"])).to eq(Rational(804_672, 100))
      expect(interval.parse("30 sec").in(crs["EPSG:4258"])).to eq(Rational(1, 120))
      expect(interval.parse("7.5′").in(crs["EPSG:4258"])).to eq(Rational(1, 8))
      expect { interval.parse("200 m").in(crs["EPSG:4258"]) }.to raise_error(
        TileLoom::Refusal,
        /200 m, but ETRS89 is in degrees; enter an angle/
      )
      expect { interval.parse("1 deg").in(crs["EPSG:2277"]) }.to raise_error(
        TileLoom::Refusal,
        /is in US survey feet; enter a length/
      )
    end

    it "are refused when they are nothing, less, no number, of no unit, or larger than the world" do
      {
        "0 m" => /greater than zero/,
        "-5 m" => /greater than zero/,
        "NaN" => /is not an interval/,
        "ten m" => /is not an interval/,
        "5" => /is not an interval/,
        "5 furlongs" => /not a unit/,
        "30000 km" => /larger than the world/,
        "200 deg" => /larger than the world/
      }.each { |text, said| expect { interval.parse(text) }.to raise_error(TileLoom::Refusal, said), text }
    end

    it "may be one for the whole book, whatever a sheet's scale" do
      grid = described_class::Grid.new({"id" => "g", "crs" => "book", "fitted" => "book", "stroke" => {}})
      close = view(scale: 2500)
      expect(grid.meshes(close, like: view(scale: 10_000)).first.interval(:x)).to eq(500)
      expect(
        described_class::Grid
          .new({"id" => "g", "crs" => "book", "stroke" => {}})
          .meshes(close, like: view(scale: 10_000))
          .first
          .interval(:x)
      ).to eq(100)
    end

    it "may be fixed for each axis and counted from an origin of their own" do
      grid =
        described_class::Grid.new(
          {
            "id" => "g",
            "crs" => "book",
            "interval" => {
              "x" => "1 km",
              "y" => "500 m"
            },
            "origin" => {
              "x" => "250 m"
            },
            "stroke" => {}
          }
        )
      lines = grid.meshes(view).first.lines.select { |line| line.pieces.any? }
      expect(lines.select { |line| line.axis == :x }.map(&:value)).to eq([401_250, 402_250, 403_250])
      expect(lines.select { |line| line.axis == :y }.map(&:value)).to eq(
        [6_527_000, 6_527_500, 6_528_000, 6_528_500, 6_529_000]
      )
    end
  end

  # Every vertex of a drawn graticule line, taken back to the ground, must have the line's latitude or
  # longitude by GeographicLib's exact transverse Mercator (no code shared with PROJ), to 0.02 mm.
  [0.0, 33.0].each do |rotation|
    it "draws the graticule where GeographicLib says it is, in a frame turned by #{rotation}°" do
      sheet = view(rotation: rotation)
      lines = drawn(mesh(sheet, "EPSG:4258"))
      expect(lines.length).to be > 4
      lines.each do |line|
        line.pieces.each do |piece|
          east, north = sheet.to_ground(piece.first(2))
          lon, lat = transverse_mercator_place(east, north, central: -9).values_at(:lon, :lat)
          off = (((line.axis == :x) ? lon : lat) - line.value).abs
          metres = off * 111_320 * ((line.axis == :x) ? Math.cos(lat * Math::PI / 180) : 1)
          expect(metres * 1000 / 10_000).to be < 0.02
        end
      end
    end
  end

  # GeographicLib's ConicProj, Lambert conformal: UTM crossings in a book in Lambert conic (EPSG:3034: standard
  # parallels 35° and 65°, origin 52° N 10° E, false origin 4,000 km E 2,800 km N; GRS 80).
  it "draws UTM lines in a conic book where TransverseMercatorProj and ConicProj together say" do
    sheet = view(reference: "EPSG:3034", centre: [4_050_000, 2_900_000], scale: 200_000)
    nodes = mesh(sheet, "EPSG:25832").nodes
    expect(nodes.length).to be > 10
    nodes
      .first(8)
      .each do |node|
        grid = mesh(sheet, "EPSG:25832")
        east, north = node.x_index * grid.interval(:x), node.y_index * grid.interval(:y)
        place = transverse_mercator_place(east, north, central: 9).values_at(:lon, :lat)
        x, y = conic_shift("-c", [35, 65], 10, [10, 52], place)
        page = sheet.to_page([x + 4_000_000, y + 2_800_000])
        expect(Math.hypot(page[0] - node.x, page[1] - node.y)).to be < 0.01
      end
  end

  # proj4 (npm), which shares no code with PROJ: crossings of the graticule in an equal-area book and in a polar
  # stereographic one, both turned.
  {
    "EPSG:3035" => [
      "+proj=laea +lat_0=52 +lon_0=10 +x_0=4321000 +y_0=3210000 +ellps=GRS80 +units=m",
      [4_500_000, 3_600_000],
      2_000_000
    ],
    "EPSG:3031" => [
      "+proj=stere +lat_0=-90 +lat_ts=-71 +lon_0=0 +x_0=0 +y_0=0 +ellps=WGS84 +units=m",
      [900_000, 1_400_000],
      2_000_000
    ]
  }.each do |code, (definition, centre, scale)|
    it "draws the crossings of a graticule in #{code} where proj4 says" do
      sheet = view(reference: code, centre: centre, scale: scale, rotation: -17.0)
      grid = mesh(sheet, "EPSG:4326")
      nodes = grid.nodes
      expect(nodes.length).to be > 12
      places = nodes.map { |node| [(node.x_index * grid.interval(:x)).to_f, (node.y_index * grid.interval(:y)).to_f] }
      program =
        "import proj4 from 'proj4'; const to = proj4(#{JSON.generate(definition)}); " \
        "console.log(JSON.stringify(#{JSON.generate(places)}.map((place) => to.forward(place))))"
      theirs =
        JSON.parse(outside("node", "--input-type=module", "-e", program, chdir: File.join(TileLoom::ROOT, "web")))
      nodes.zip(theirs) do |node, place|
        expect(sheet.to_page(place).zip([node.x, node.y]).map { |a, b| (a - b).abs }.max).to be < 0.005
      end
    end
  end

  it "lets no chord leave the true curve by more than 0.02 mm" do
    sheet = view(reference: "EPSG:3035", centre: [4_000_000, 4_000_000], scale: 10_000_000)
    to_page = TileLoom::Crs::Transform.between(TileLoom::Crs::System.find("EPSG:4258"), sheet.crs)
    drawn(mesh(sheet, "EPSG:4258"))
      .select { |line| line.axis == :y }
      .each do |line|
        line.pieces.each do |piece|
          piece
            .each_slice(2)
            .each_cons(2) do |from, to|
              middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
              lon, lat = to_page.inverse(sheet.to_ground(middle))
              truth = sheet.to_page(to_page.forward([lon, line.value.to_f]))
              expect(Math.hypot(truth[0] - middle[0], truth[1] - middle[1])).to be < 0.02, "at #{lat}"
            end
        end
      end
  end

  it "draws the grid of the book's own reference straight and at its numbers" do
    sheet = view
    lines = drawn(mesh(sheet, "EPSG:25829"))
    # 40 mm at 1:10,000 is 400 m; 500 m is the nearest of the series.
    expect(lines.select { |line| line.axis == :x }.map(&:value)).to eq((400_500..403_500).step(500).to_a)
    line = lines.find { |known| known.value == 402_000 && known.axis == :x }
    expect(line.pieces.length).to eq(1)
    expect(line.pieces.first.each_slice(2).map(&:first)).to all(be_within(1e-9).of(170))
    expect(line.pieces.first.each_slice(2).map(&:last).minmax).to match(
      [be_within(1e-9).of(30), be_within(1e-9).of(230)]
    )
  end

  it "keeps all lines inside the frame" do
    sheet = view(rotation: 21.0)
    box = sheet.frame.grow(1e-6)
    (mesh(sheet, "EPSG:4258").lines + mesh(sheet, "EPSG:25830").lines).each do |line|
      line.pieces.flatten.each_slice(2) { |x, y| expect(box.include?(x, y)).to be(true) }
    end
  end

  it "runs across the 180° meridian" do
    sheet = view(reference: "EPSG:3832", centre: [3_339_584.72, 0], scale: 10_000_000)
    values = drawn(mesh(sheet, "EPSG:4326")).select { |line| line.axis == :x }.map(&:value)
    expect(values.min).to be < 180
    expect(values.max).to be > 180
  end

  # Polar stereographic, EPSG:3995 (Snyder, PP 1395, chapter 21): meridians are straight through the pole,
  # parallels are circles about it. The radius of 80° N is that of PROJ's independent formula in Snyder (21-34),
  # worked out here by hand: ρ = a·m_c·t / t_c with the standard parallel 71°.
  it "goes round a pole: meridians through it, parallels as circles about it" do
    sheet = view(reference: "EPSG:3995", centre: [100_000, -200_000], scale: 20_000_000)
    grid = mesh(sheet, "EPSG:4326")
    pole = sheet.to_page([0.0, 0.0])
    meridians, parallels = drawn(grid).partition { |line| line.axis == :x }
    expect(meridians.length).to eq(360 / grid.interval(:x))
    meridians.each do |line|
      expect(line.pieces.flatten.each_slice(2).map { |x, y| Math.hypot(x - pole[0], y - pole[1]) }.min).to be < 0.02
    end
    e = Math.sqrt(0.0066943799901413165)
    t = ->(lat) { Math.tan(Math::PI / 4 - lat / 2) / ((1 - e * Math.sin(lat)) / (1 + e * Math.sin(lat)))**(e / 2) }
    standard = 71 * Math::PI / 180
    m = Math.cos(standard) / Math.sqrt(1 - e**2 * Math.sin(standard)**2)
    radius = 6_378_137 * m * t.call(80 * Math::PI / 180) / t.call(standard) / 20_000
    circle = parallels.find { |line| line.value == 80 }
    circle
      .pieces
      .flatten
      .each_slice(2) { |x, y| expect(Math.hypot(x - pole[0], y - pole[1])).to be_within(0.01).of(radius) }
  end

  it "says why nothing is drawn: too many lines, with their number, or a ground beyond the reference" do
    expect(mesh(view, "EPSG:25829", interval: 1r).trouble).to match(
      /would draw 3,\d\d\d lines, more than 400, so none is drawn/
    )
    expect(mesh(view, "EPSG:25829", interval: 1r).lines).to eq([])
    far = view(reference: "EPSG:3031", centre: [0, 0], scale: 20_000_000)
    expect(mesh(far, "+proj=gnom +lat_0=90 +lon_0=0 +datum=WGS84").trouble).to match(/cannot be drawn on this sheet/)
  end

  describe "in UTM zones" do
    # At 54° N 6° E zones 31 and 32 meet; positions by GeographicLib's GeoConvert, which shares no code with PROJ.
    it "draws each zone up to the meridian where the next begins" do
      sheet = view(reference: "EPSG:3035", centre: [4_059_000, 3_437_000], scale: 500_000)
      grid =
        described_class::Grid.new(
          {"id" => "u", "crs" => "utm", "interval" => {"x" => "10 km", "y" => "10 km"}, "stroke" => {}}
        )
      meshes = grid.meshes(sheet)
      expect(meshes.map { |found| found.zone.number }).to eq([31, 32])
      meshes.each do |found|
        expect(found.nodes).not_to be_empty
        found
          .nodes
          .first(12)
          .each do |node|
            lon, lat = sheet.to_geographic.forward(sheet.to_ground([node.x, node.y]))
            zone, east, north = outside("GeoConvert", "-u", "-p", "3", input: format("%.12f %.12f\n", lat, lon)).split
            expect(zone).to eq("#{found.zone.number}n")
            # 0.05 mm on paper.
            expect([east.to_f - node.x_index * 10_000, north.to_f - node.y_index * 10_000].map(&:abs)).to all(be < 25)
          end
      end
      # A ten thousandth of a millimetre on paper is 5 cm here.
      ends =
        meshes
          .first
          .lines
          .flat_map(&:pieces)
          .flat_map { |piece| [piece.first(2), piece.last(2)] }
          .map { |place| sheet.to_geographic.forward(sheet.to_ground(place)).first }
      expect(ends.max).to be_within(1e-6).of(6.0)
      expect(described_class::Zone.edges(sheet)).not_to be_empty
    end

    # DMA TM 8358.1: zone 32 is wider by south-west Norway.
    it "knows the wider zone of south-west Norway" do
      expect(described_class::Zone.new(32, false).include?(3.5, 60)).to be(true)
      expect(described_class::Zone.new(31, false).include?(3.5, 60)).to be(false)
    end

    it "has nothing to draw beyond 84° N and says what to do" do
      sheet = view(reference: "EPSG:3995", centre: [0, 0], scale: 500_000)
      entry = surround(sheet, [{"id" => "u", "crs" => "utm", "stroke" => {}}]).drawn.first
      expect(described_class::Words.new(entry, sheet).warnings).to eq(
        ["UTM has no zone here: it ends at 84° N and 80° S. Choose a polar CRS such as EPSG:5041 or EPSG:5042."]
      )
    end
  end

  describe "letters of squares" do
    # GeographicLib's GeoConvert over the world, at both hemispheres, in odd and even zones.
    it "are those of MGRS" do
      places = [
        [-10.7, 58.9],
        [0.5, 51.5],
        [147.3, -42.9],
        [-69.1, -16.4],
        [3.5, 60.4],
        [18.0, 78.0],
        [179.9, -1.0],
        [-179.9, 1.0],
        [36.8, -1.3],
        [-122.4, 37.8],
        [15.0, 83.9],
        [25.0, -79.9]
      ]
      found = places.map { |lon, lat| described_class::Squares::Mgrs.reference(lon, lat) }
      # GeoConvert writes zones with two digits.
      wanted =
        outside("GeoConvert", "-m", "-p", "0", input: places.map { |lon, lat| "#{lat} #{lon}\n" }.join)
          .split
          .map { |text| text.delete_prefix("0") }
      expect(found).to eq(wanted)
    end

    # mgrs (npm), another hand's implementation.
    it "are those of the npm package mgrs" do
      places = [[-10.7, 58.9], [2.3, 48.9], [151.2, -33.9], [-58.4, -34.6], [10.8, 59.9]]
      theirs =
        JSON.parse(
          outside(
            "node",
            "--input-type=module",
            "-e",
            "import mgrs from 'mgrs'; console.log(JSON.stringify(#{JSON.generate(places)}.map((place) => " \
            "mgrs.forward(place, 3))))",
            chdir: File.join(TileLoom::ROOT, "web")
          )
        )
      expect(places.map { |lon, lat| described_class::Squares::Mgrs.reference(lon, lat, digits: 3) }).to eq(theirs)
    end

    # Ordnance Survey, A guide to coordinate systems in Great Britain: TG 51409 13177 is E 651409 N 313177; from
    # memory: Ben Nevis lies in NN, Lerwick in HU, Land's End in SW. Ordnance Survey Ireland: Dublin lies in O.
    it "are those of the national grids of Great Britain and Ireland" do
      british = described_class::Squares::British.new
      expect(
        [[651_409, 313_177], [216_600, 771_300], [447_700, 1_141_200], [134_200, 25_000], [0, 0]].map do |place|
          british.letters(*place)
        end
      ).to eq(%w[TG NN HU SW SV])
      irish = described_class::Squares::Irish.new
      expect([[315_900, 234_700], [0, 0], [499_999, 499_999]].map { |place| irish.letters(*place) }).to eq(%w[O V E])
    end
  end
end
