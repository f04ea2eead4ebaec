# frozen_string_literal: true

RSpec.describe TileLoom::Frames::Globe do
  include Outside

  let(:radius) { TileLoom::Frames::Globe::RADIUS_M }

  def globe(**settings) = described_class.new(JSON.parse(JSON.generate(settings)))

  # Of a book with nothing in it but what is given.
  def sheet(globe, features: [rectangle(500_000, 6_100_000, 500_400, 6_100_300)], size: 40, more: {}, **book)
    inset = {
      kind: "inset",
      id: "globe",
      layers: "none",
      globe: globe,
      place: {
        left_mm: 10,
        top_mm: 10,
        width_mm: size,
        height_mm: size
      },
      **more
    }
    book, source = small_book(features, **book)
    settings = book.settings
    elements = [*settings["layout"]["elements"], JSON.parse(JSON.generate(inset))]
    settings = settings.merge("layout" => settings["layout"].merge("elements" => elements))
    TileLoom::Document::Check.demand(settings)
    book = TileLoom::Document::Book.new(settings)
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
  end

  def frame(sheet) = sheet.elements.find { |element| element.id == "globe" }

  def view(sheet) = frame(sheet).view_on(sheet)

  # On the page, of degrees.
  def placed(view, lon, lat)
    transform = TileLoom::Crs::Transform.between(view.crs.geographic, view.crs)
    view.to_page(transform.forward([lon, lat]))
  end

  def paths(node) = node.is_a?(TileLoom::Scene::Group) ? node.children.flat_map { |child| paths(child) } : [node]

  def ring_area(ring) = ring.each_slice(2).each_cons(2).sum { |(x1, y1), (x2, y2)| x1 * y2 - x2 * y1 } / 2

  # J. P. Snyder, Map Projections – A Working Manual, USGS PP 1395 (1987), numerical examples of appendix A: of the
  # orthographic projection (p. 311), with R = 1; of Lambert's azimuthal equal-area (p. 332) and the azimuthal
  # equidistant one (p. 337), with R = 3; all about 40° N, 100° W. (From memory.)
  it "has places where Snyder's worked examples have them" do
    {
      "orthographic" => [1.0, [-110, 30], [-0.1503837, -0.1651911]],
      "equal_area" => [3.0, [100, -20], [-4.2339303, 4.0257775]],
      "equidistant" => [3.0, [100, -20], [-5.8311398, 5.5444634]]
    }.each do |projection, (unit, (lon, lat), expected)|
      crs = globe(projection: projection, centre: "place", longitude: -100, latitude: 40).crs(-100, 40)
      found =
        TileLoom::Crs::Transform
          .between(crs.geographic, crs)
          .forward([lon, lat])
          .map { |metres| metres / radius * unit }
      expect(found).to match(expected.map { |value| be_within(1e-7).of(value) })
    end
  end

  # The outline of a sphere is a circle from any side (common practice). 30° E 20° N turned by 15° anticlockwise, as
  # seen: the place lies in the middle, and north of it is 15° off the page's up.
  it "is a circle to 0.05 mm round its centre, turned as it is asked for" do
    drawn = view(sheet({centre: "place", longitude: 30, latitude: 20, rotation_deg: 15}, size: 80))
    x, y = drawn.frame.centre
    expect(placed(drawn, 30, 20)).to match([be_within(1e-6).of(x), be_within(1e-6).of(y)])
    north = placed(drawn, 30, 20.5)
    expect(Math.atan2(north[0] - x, y - north[1]) * 180 / Math::PI).to be_within(1e-4).of(-15)
    # The horizon by GeographicLib on a sphere: places 90° away, a hair inside.
    horizon =
      (0...72).map do |step|
        away = "20 30 #{step * 5} #{radius * Math::PI / 2 * 0.99999}\n"
        lat, lon = outside("GeodSolve", "-p", "9", "-e", radius.to_s, "0", input: away).split.first(2).map(&:to_f)
        placed(drawn, lon, lat)
      end
    off = horizon.map { |px, py| Math.hypot(px - x, py - y) - 40 }
    expect(off.map(&:abs).max).to be < 0.05
    rim = drawn.disc.each_slice(2).map { |px, py| Math.hypot(px - x, py - y) - 40 }
    expect(rim.map(&:abs).max).to be < 0.05
    # The chords between, too.
    middles =
      drawn
        .disc
        .each_slice(2)
        .each_cons(2)
        .map { |(x1, y1), (x2, y2)| Math.hypot((x1 + x2) / 2 - x, (y1 + y2) / 2 - y) - 40 }
    expect(middles.map(&:abs).max).to be < 0.05
  end

  it "has the land of npm's package as it is" do
    %w[land-110m land-50m].each do |name|
      shipped = File.join(TileLoom::View::World::FOLDER, "#{name}.json")
      theirs = File.join(TileLoom::ROOT, "web/node_modules/world-atlas/#{name}.json")
      expect(File.binread(shipped)).to eq(File.binread(theirs))
    end
  end

  # Areas of the data by GeographicLib's Planimeter on the same sphere (great circles), which shares no code with us.
  it "has the land of the earth as large as the data have it, in an equal-area view of all of it" do
    world = TileLoom::View::World.named("land-110m")
    lakes = world.polygons.flat_map { |rings| rings.each_index.map(&:positive?) }
    rings = world.polygons.flatten(1)
    input = rings.map { |ring| ring[0...-2].each_slice(2).map { |lon, lat| "#{lat} #{lon}\n" }.join }.join("\n")
    areas =
      outside("Planimeter", "-e", radius.to_s, "0", "-p", "4", input: input).lines.map { |line| line.split.last.to_f }
    expected = areas.zip(lakes).sum { |area, lake| lake ? -area.abs : area.abs }
    [[0, 0], [-100, 40], [178, -17], [12, -90]].each do |lon, lat|
      horizon = TileLoom::Crs::Horizon.new(lon, lat, 180)
      crs = globe(projection: "equal_area").crs(lon, lat)
      passage = TileLoom::Crs::Passages::Globe.new(crs.geographic, crs, horizon)
      rings = world.vectors.flat_map { |polygon| passage.on_plane(horizon.area_of(polygon)) }
      expect(rings.sum { |ring| ring_area(ring) }).to be_within(expected * 0.001).of(expected)
    end
  end

  # Natural Earth's land by hand: what is land and what is sea there (an atlas; common knowledge).
  it "shows land where there is land, from any side: Fiji's, a pole's, the far side too" do
    [
      [
        178,
        -17,
        "orthographic",
        90,
        {[134, -25] => true, [175, -39] => true, [-160, -30] => false, [150, -50] => false}
      ],
      [0, 90, "orthographic", 90, {[-42, 72] => true, [100, 65] => true, [0, 89] => false, [-40, 30] => false}],
      [0, -90, "equidistant", 90, {[60, -80] => true, [0, -89] => true, [-60, -20] => true, [180, -60] => false}],
      [178, -17, "equidistant", 180, {[10, 22] => true, [-100, 40] => true, [-30, 20] => false}]
    ].each do |lon, lat, projection, reach, places|
      drawn =
        sheet({centre: "place", longitude: lon, latitude: lat, projection: projection, reach_deg: reach}, size: 100)
      land = paths(frame(drawn).draw(drawn)).find { |node| node.respond_to?(:fill) && node.fill&.colour == "#c9c4ae" }
      places.each do |(east, north), expected|
        x, y = placed(view(drawn), east, north)
        crossings =
          land.runs.sum do |ring|
            ring
              .each_slice(2)
              .each_cons(2)
              .count { |(x1, y1), (x2, y2)| (y1 > y) != (y2 > y) && x < x1 + (y - y1) / (y2 - y1) * (x2 - x1) }
          end
        expect([lon, lat, east, north, crossings.odd?]).to eq([lon, lat, east, north, expected])
      end
    end
  end

  it "cuts the far side away: lines end on the rim, and areas that go round it are closed along it" do
    horizon = TileLoom::Crs::Horizon.new(0, 0, 90)
    equator = horizon.line((0..36).flat_map { |step| [step * 10 - 180.0, 0.0] })
    expect(equator.length).to eq(1)
    expect(equator.first.values_at(0, -2)).to match([be_within(2e-3).of(-90), be_within(2e-3).of(90)])
    # The northern half of the earth, counter-clockwise: half of the disc.
    north = [(0..36).flat_map { |step| [step * 10 - 180.0, 0.0] }]
    crs = globe.crs(0, 0)
    rings = TileLoom::Crs::Passages::Globe.new(crs.geographic, crs, horizon).on_plane(horizon.area(north))
    expect(rings.sum { |ring| ring_area(ring) }).to be_within(radius**2 * 1e-3).of(Math::PI * radius**2 / 2)
    # An area on the far side alone is not there; one that is all but a spot of the far side is all of the disc.
    far = [170.0, -5.0, -170.0, -5.0, -170.0, 5.0, 170.0, 5.0, 170.0, -5.0]
    expect(horizon.area([far])).to eq([])
    all =
      TileLoom::Crs::Passages::Globe.new(crs.geographic, crs, horizon).on_plane(
        horizon.area([far.each_slice(2).to_a.reverse.flatten])
      )
    expect(all.sum { |ring| ring_area(ring) }).to be_within(radius**2 * 1e-3).of(Math::PI * radius**2)
  end

  it "works in a book without data, centred on its sheet or its study area, with a graticule, and says who made the " \
       "land" do
    grids = [
      {
        id: "g",
        crs: "geographic",
        interval: {
          x: "15 deg",
          y: "15 deg"
        },
        stroke: {
          colour: "#777777",
          width_mm: 0.1
        }
      }
    ]
    drawn = sheet({centre: "sheet"}, more: {grids: grids, outlines: [{}]})
    middle = view(drawn).to_geographic.point(0.0, 0.0)
    expect(middle).to match(drawn.view.centre_lon_lat.map { |degrees| be_within(0.06).of(degrees) })
    nodes = paths(frame(drawn).draw(drawn)).grep(TileLoom::Scene::Path)
    box = frame(drawn).box(drawn.page)
    lines = nodes.select { |node| node.stroke&.colour == "#777777" }.flat_map(&:runs).flatten.each_slice(2)
    expect(lines.count).to be > 200
    expect(lines.map { |x, y| Math.hypot(x - box.centre[0], y - box.centre[1]) }.max).to be < 20.05
    # A sheet of less than a kilometre is a dot of its colour in the middle.
    dot = nodes.find { |node| node.fill&.colour == "#1f6f78" }
    expect(TileLoom::Geometry::Box.around(dot.runs.first).centre).to match(
      box.centre.map { |mm| be_within(0.05).of(mm) }
    )
    expect(drawn.live_text("{{ book.credits }}")).to eq("Land: Natural Earth")
  end
end
