# frozen_string_literal: true

RSpec.describe TileLoom::Bar do
  include GridViews

  let(:english) { TileLoom::Languages::Language.english }

  # Scale bars of a sheet: [composer, element] for the settings of the bar.
  def bar_on(settings, reference: "EPSG:25829", centre: [403_000, 6_528_000], scale: 5000, width_mm: 61, turned: nil)
    book, source =
      small_book(
        [rectangle(centre[0], centre[1], centre[0] + 100, centre[1] + 100)],
        scale: scale,
        reference: reference,
        **(turned ? {index: {rotation_deg: -turned}} : {})
      )
    cells = book.cells(source)
    sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cells[0], count: cells.length)
    element =
      TileLoom::Furniture::Element.read(
        {
          "kind" => "scale_bar",
          "id" => "bar",
          "place" => {
            "left_mm" => 10,
            "top_mm" => 10,
            "width_mm" => width_mm,
            "height_mm" => 20
          }
        }.merge(settings),
        path: "/layout/elements/0"
      )
    [sheet, element]
  end

  def drawing(settings, **where) =
    bar_on(settings, **where).then { |sheet, element| element.drawing(sheet, element.box(sheet.page)) }

  def strings(nodes) = nodes.grep(TileLoom::Scene::Text).map(&:string)

  # [west, east] of all that is drawn of the bar itself.
  def span(nodes) =
    nodes.grep(TileLoom::Scene::Path).flat_map(&:runs).flat_map { |run| run.each_slice(2).map(&:first) }.minmax

  # The ends of the bar about the middle of the frame, on the ground, are as far apart as GeographicLib's GeodSolve
  # says that it is: UTM in both hemispheres and off the central meridian, a state grid in US survey feet, Mercator
  # at 60° (where a metre of the plane is half of one on the ground), an equal-area conic at 55°, a turned frame.
  {
    "UTM in the north" => ["EPSG:25829", [403_000, 6_528_000], [6_378_137, "1/298.257222101"], nil],
    "UTM in the south, far off the central meridian" => [
      "EPSG:32733",
      [820_000, 7_100_000],
      [6_378_137, "1/298.257223563"],
      nil
    ],
    "a state grid in US survey feet" => ["EPSG:2277", [3_100_000, 10_100_000], [6_378_137, "1/298.257222101"], nil],
    "Mercator at 60°" => ["EPSG:3395", [500_000, 8_362_000], [6_378_137, "1/298.257223563"], nil],
    "an equal-area conic at 55°" => [
      "+proj=aea +lat_1=43 +lat_2=62 +lat_0=30 +lon_0=10 +ellps=GRS80 +units=m",
      [2_000_000, 3_100_000],
      [6_378_137, "1/298.257222101"],
      nil
    ],
    "a frame turned by 30°" => ["EPSG:25829", [403_000, 6_528_000], [6_378_137, "1/298.257222101"], 30]
  }.each do |name, (reference, centre, ellipsoid, turned)|
    it "is true in #{name}" do
      sheet, element = bar_on({}, reference: reference, centre: centre, turned: turned)
      drawn = element.drawing(sheet, element.box(sheet.page))
      paper = drawn.paper(drawn.ruling)
      expect(sheet.view.ground.ccw_deg.round(6)).to eq((turned || 0).to_f)
      x, y = sheet.view.frame.centre
      ends = sheet.view.to_geographic.forward(sheet.view.to_ground([x - paper / 2, y, x + paper / 2, y]))
      # One micrometre on paper.
      expect(geodesic_m(*ends, ellipsoid: ellipsoid)).to be_within(5000 * 1e-6).of(drawn.ruling.metres)
      west, east = span(drawn.nodes)
      expect(east - west).to be_within(1e-6).of(paper)
    end
  end

  it "is twice as long in Mercator at 60° as on the plane, and as long as the plane says along the grid" do
    level, grid =
      %w[level grid].map do |along|
        drawing(
          {"measured" => along, "division_length" => "25 m", "divisions" => 2},
          reference: "EPSG:3395",
          centre: [500_000, 8_362_000]
        )
      end
    # Snyder, PP 1395, (7-8): k = sqrt(1 - e² sin² φ) / cos φ, at the middle of the sheet.
    lat = bar_on({}, reference: "EPSG:3395", centre: [500_000, 8_362_000])[0].view.centre_lon_lat[1] * Math::PI / 180
    factor = Math.sqrt(1 - 0.00669437999014 * Math.sin(lat)**2) / Math.cos(lat)
    expect(factor).to be_within(0.01).of(2.0)
    expect(grid.paper(grid.ruling)).to be_within(1e-9).of(10)
    expect(level.paper(level.ruling)).to be_within(1e-3).of(10 * factor)
  end

  # Worked by hand: the room is 61 mm; at 1:5,000 that is 305 m, less the labels: 200 m.
  it "takes the longest round length that fits with its labels, the same on all sheets of a scale" do
    {
      500 => "20",
      1250 => "50",
      2500 => "100",
      5000 => "200",
      7000 => "200",
      25_000 => "1",
      1_000_000 => "50"
    }.each do |scale, last|
      expect(strings(drawing({}, scale: scale).nodes).last.split.first.to_f).to eq(0).or eq(last.to_f)
      expect(drawing({}, scale: scale).ruling.total.to_f).to eq(last.to_f), "at 1:#{scale}"
    end
    book, source = small_book([rectangle(200_000, 6_528_000, 800_000, 6_528_400)], scale: 100_000)
    cells = book.cells(source)
    element = book.layout.elements.find { |known| known.kind == "scale_bar" }
    found =
      cells.map do |cell|
        TileLoom::Compose::SheetComposer
          .new(book: book, source: source, cell: cell, count: cells.length)
          .then { |sheet| element.drawing(sheet, element.box(sheet.page)).ruling.total }
      end
    expect(found.length).to be > 10
    expect(found.uniq.length).to eq(1)
  end

  it "keeps room for its labels: nothing goes beyond the element" do
    [31, 45, 61, 90].product(%w[metric imperial survey nautical yards paces minutes], [0, 5]) do |width, units, left|
      sheet, element = bar_on({"units" => units, "extension" => left}, width_mm: width)
      box = element.box(sheet.page)
      nodes = element.drawing(sheet, box).nodes
      texts = nodes.grep(TileLoom::Scene::Text)
      expect(
        [
          *span(nodes),
          *texts.flat_map { |text| [text.x, text.x + text.face.width_mm(text.string, text.size_pt)] }
        ].minmax
      ).to match([be >= box.min_x - 1e-6, be <= box.max_x + 1e-6]),
        "#{units}, #{width} mm"
      texts
        .map { |text| [text.x, text.x + text.face.width_mm(text.string, text.size_pt)] }
        .sort
        .each_cons(2) { |one, other| expect(one[1]).to be < other[0] }
    end
  end

  # NIST SP 811: the foot is 0.3048 m, the US survey foot 1200/3937 m, the yard 0.9144 m, the mile 1609.344 m, the
  # nautical mile 1852 m. A pace of 0.75 m and 4 km an hour: common practice.
  it "counts in exact units, and in kilometres or miles where it is so long" do
    metres = ->(units, **more) do
      drawing({"units" => units, **more.transform_keys(&:to_s)}, scale: 5000).ruling.then do |ruling|
        ruling.metres(ruling.total) / ruling.total
      end
    end
    expect(metres["ft"]).to eq(0.3048)
    expect(metres["us-ft"]).to eq(1200 / 3937.0)
    expect(metres["yd"]).to eq(0.9144)
    expect(metres["mi"]).to eq(1609.344)
    expect(metres["nmi"]).to be_within(1e-9).of(1852)
    expect(metres["paces"]).to eq(0.75)
    expect(metres["minutes"]).to be_within(1e-12).of(4000 / 60.0)
    expect(metres["minutes", walk_kmh: 3]).to eq(50.0)
    expect(drawing({}, scale: 24_000).ruling.unit.code).to eq("km")
    expect(drawing({"units" => "imperial"}, scale: 24_000).ruling.unit.code).to eq("ft")
    expect(drawing({"units" => "imperial"}, scale: 63_360).ruling.unit.code).to eq("mi")
  end

  it "has divisions right of nought and finer ones left of it, labelled as it is wanted" do
    ruling = drawing({"divisions" => 3, "extension" => 5}).ruling
    expect(ruling.values).to eq([-50, -40, -30, -20, -10, 0, 50, 100, 150])
    expect(strings(drawing({"divisions" => 3, "extension" => 5}).nodes).reverse).to eq(
      ["50", "0", "50", "100", "150 m"]
    )
    expect(strings(drawing({"divisions" => 4, "labelled" => "ends"}).nodes).reverse).to eq(["0", "200 m"])
    expect(strings(drawing({"divisions" => 4, "labelled" => "alternate"}).nodes).reverse).to eq(["0", "100", "200 m"])
    expect(strings(drawing({"unit_text" => "metres", "unit_at" => "middle"}).nodes)).to include("metres")
    expect(strings(drawing({"decimals" => 1, "divisions" => 2, "division_length" => "50 m"}).nodes).reverse).to eq(
      ["0.0", "50.0", "100.0 m"]
    )
    expect(strings(drawing({}, scale: 24_000).nodes).reverse).to eq(["0", "0.2", "0.4", "0.6", "0.8", "1 km"])
  end

  it "puts a second unit below, from the same nought" do
    %w[chequered two_units].each do |style|
      sheet, element = bar_on({"style" => style, "second_units" => "imperial"})
      drawn = element.drawing(sheet, element.box(sheet.page))
      expect(strings(drawn.nodes)).to include("200 m", "500 ft")
      zeros = drawn.nodes.grep(TileLoom::Scene::Text).select { |text| text.string == "0" }
      expect(zeros.map(&:x).uniq.length).to eq(1)
      expect(drawn.paper(drawn.second)).to be_within(1e-3).of(drawn.paper(drawn.ruling) * 500 * 0.3048 / 200)
    end
  end

  it "is drawn in each style to its length, within its height" do
    described_class::Styles.keys.each do |style|
      drawn = drawing({"style" => style, "extension" => 2})
      west, east = span(drawn.nodes)
      expect(east - west).to be_within(1e-6).of(drawn.paper(drawn.ruling)), style
    end
    expect(strings(drawing({"style" => "fraction_alone"}).nodes)).to include("1:5,000")
    ups =
      %w[up down through].map do |ticks|
        drawing({"style" => "ticked_line", "ticks" => ticks})
          .nodes
          .grep(TileLoom::Scene::Path)
          .flat_map(&:runs)
          .first[
          1
        ]
      end
    expect(ups.uniq.length).to eq(3)
  end

  # Worked by hand: round lengths are 1, 2, 5 times a power of ten, parted into round ones.
  describe TileLoom::Bar::Ruling do
    def style(**settings) = TileLoom::Bar::Style.new(settings.transform_keys(&:to_s))

    def fitting(metres, units = "metric", free: false, **settings) =
      described_class.fitting(metres, TileLoom::Bar::Unit.family(units), style(**settings), free: free)

    def first(...) = fitting(...).first.then { |ruling| [ruling.division, ruling.count, ruling.unit.code] }

    it "is the longest round length, in divisions that are round" do
      expect([999, 250, 100, 99.99].map { |metres| first(metres) }).to eq(
        [[100, 5, "m"], [50, 4, "m"], [20, 5, "m"], [10, 5, "m"]]
      )
      expect([1000, 2400].map { |metres| first(metres) }).to eq([[Rational(1, 5), 5, "km"], [Rational(1, 2), 4, "km"]])
      expect([first(1609, "imperial"), first(1610, "imperial"), first(700, "km")]).to eq(
        [[1000, 5, "ft"], [Rational(1, 5), 5, "mi"], [Rational(1, 10), 5, "km"]]
      )
    end

    it "leaves room for a division left of nought" do
      expect([first(1249, extension: 5), first(1250, extension: 5)]).to eq([[100, 5, "m"], [Rational(1, 5), 5, "km"]])
      expect([first(399, divisions: 3, extension: 2), first(400, divisions: 3, extension: 2)]).to eq(
        [[50, 3, "m"], [100, 3, "m"]]
      )
      expect(first(320, divisions: 3)).to eq([100, 3, "m"])
    end

    it "becomes shorter by round lengths, as often as it may" do
      totals = fitting(1234).map { |ruling| ruling.total.to_f }.to_a
      expect(totals.first(4)).to eq([1, 0.5, 0.2, 0.1])
      expect(totals.length).to eq(13)
      expect(fitting(320, divisions: 3).map(&:division).first(3)).to eq([100, 50, 20])
    end

    it "is as a style fixes it, unless it is to be free of that" do
      fixed = {division_length: "30 m", extension: 3}
      expect([first(1, **fixed), first(1, **fixed, divisions: 2)]).to eq([[30, 4, "m"], [30, 2, "m"]])
      expect(first(999, free: true, **fixed, divisions: 2)).to eq([100, 5, "m"])
      ruling = fitting(1, **fixed, divisions: 2).first
      expect([ruling.values, ruling.total, ruling.whole, ruling.metres, ruling.metres(30)]).to eq(
        [[-30, -20, -10, 0, 30, 60], 60, 90, 90.0, 30.0]
      )
    end
  end

  # Worked by hand: 1:10,000 makes a centimetre 100 m; 1:24,000 an inch 2,000 feet; 1:63,360 an inch a mile.
  it "says the scale in a sentence, with about where it rounds" do
    verbal = described_class::VerbalScale
    expect([500, 2500, 10_000, 5485, 250_000, 1234.5678].map { |scale| verbal.of(scale, language: english) }).to eq(
      [
        "1 cm represents 5 m",
        "1 cm represents 25 m",
        "1 cm represents 100 m",
        "1 cm represents 54.85 m",
        "1 cm represents 2.5 km",
        "1 cm represents about 12.35 m"
      ]
    )
    expect(
      [12, 600, 4800, 24_000, 25_000, 63_360, 126_720, 31_680, 15_840, 250_000].map do |scale|
        verbal.of(scale, language: english, units: "imperial")
      end
    ).to eq(
      [
        "1 inch represents 1 foot",
        "1 inch represents 50 feet",
        "1 inch represents 400 feet",
        "1 inch represents 2,000 feet",
        "1 inch represents about 2,083 feet",
        "1 inch represents 1 mile",
        "1 inch represents 2 miles",
        "1 inch represents 0.5 miles",
        "1 inch represents 0.25 miles",
        "1 inch represents about 3.946 miles"
      ]
    )
    expect(strings(drawing({"fraction" => "above", "verbal" => "below"}).nodes)).to include(
      "1:5,000",
      "1 cm represents 50 m"
    )
  end

  # By hand: 1:10,000 is 100 m a centimetre; a measure that is off by so much from what is asked of it.
  it "says a scale that does not hold all over with how far it is off" do
    verbal = described_class::VerbalScale
    measure = ->(per_mm, *shares) do
      asked = []
      Struct
        .new(:per_mm)
        .new(per_mm)
        .tap do |made|
          made.define_singleton_method(:error_of) do |metres|
            asked << metres
            Struct.new(:share).new(shares.fetch([asked.length, shares.length].min - 1))
          end
          made.define_singleton_method(:asked) { asked }
        end
    end
    expect(
      [0.001, -0.001, 0.0005].map { |share| verbal.on(measure[9.5, share], 10_000, language: english) }.uniq
    ).to eq(["1 cm represents 100 m"])
    near = measure[10.1234, 0.02]
    expect(verbal.on(near, 10_000, language: english)).to eq("1 cm represents about 101 m, within 2 %")
    expect(near.asked).to eq([10.0, 10.1])
    expect(verbal.on(measure[10.1234, -0.0234], 10_000, language: english)).to eq(
      "1 cm represents about 101 m, within 2.4 %"
    )
    expect(verbal.on(measure[10.1234, 0.0205], 10_000, language: english, units: "imperial")).to eq(
      "1 inch represents about 841.7 feet, within 2.1 %"
    )
    expect([0.5, 0.501].map { |share| verbal.on(measure[10.1234, share], 10_000, language: english) }).to eq(
      ["1 cm represents about 101 m, within 50 %", "1 cm represents about 101 m in the middle alone"]
    )
    expect(
      [-0.0009, 0.00123].map { |share| verbal.on(measure[10.1234, 0.02, share], 10_000, language: english) }
    ).to eq(["1 cm represents about 101 m", "1 cm represents about 101 m, within 0.13 %"])
    expect([1_234_500, 98_765].map { |scale| verbal.figures(scale) }).to eq([1_230_000, 98_800])
  end

  it "says how far it is off anywhere in the frame" do
    near = bar_on({})[0]
    expect(TileLoom::View::Measure.new(near.view).error.share.abs).to be < 1e-5
    # Snyder's Mercator: at 60° N the factor is 2, at the frame's edges 1:5,000,000 makes it differ by tens of per cent.
    wide = view(reference: "EPSG:3395", centre: [0, 8_362_000], scale: 5_000_000)
    measure = TileLoom::View::Measure.new(wide)
    bottom, =
      wide.to_geographic.forward(wide.to_ground([wide.frame.centre[0], wide.frame.max_y])).each_slice(2).map(&:last)
    middle = wide.centre_lon_lat[1]
    k = ->(lat) { Math.sqrt(1 - 0.00669437999014 * Math.sin(lat * Math::PI / 180)**2) / Math.cos(lat * Math::PI / 180) }
    expect(measure.error.share).to be_within(1e-3).of(k[middle] / k[bottom] - 1)
    expect(measure.cylindrical?).to be(true)
    expect(
      TileLoom::View::Measure.new(
        view(reference: "EPSG:3035", centre: [5_000_000, 4_000_000], scale: 5_000_000)
      ).cylindrical?
    ).to be(false)
  end

  it "becomes a bar by latitude where one bar would be off, each row as long as it is there" do
    wide = view(reference: "EPSG:3395", centre: [0, 8_362_000], scale: 5_000_000)
    look =
      described_class::Look.new(
        face: TileLoom::Type::Library.face("sans"),
        size_pt: 7,
        colour: "#000000",
        light: "#ffffff",
        stroke_mm: 0.15,
        language: english
      )
    bar =
      described_class::ByLatitude.new(
        style: described_class::Style.plain,
        view: wide,
        box: TileLoom::Geometry::Box.at(20, 20, 135, 30),
        look: look
      )
    levels = bar.nodes.first.runs.first(bar.latitudes.length)
    lengths = levels.map { |x1, _, x2, _| x2 - x1 }
    expect(bar.latitudes.length).to be_between(3, 6)
    bar
      .latitudes
      .zip(lengths) do |lat, length|
        # GeodSolve: so much along the parallel's level about the middle, in page mm.
        x, = wide.frame.centre
        y = wide.to_page(wide.to_geographic.inverse([0.0, lat.to_f]))[1]
        ends = wide.to_geographic.forward(wide.to_ground([x - length / 2, y, x + length / 2, y]))
        expect(geodesic_m(*ends, ellipsoid: [6_378_137, "1/298.257223563"])).to be_within(1).of(bar.ruling.metres)
      end
    expect(lengths).to eq(lengths.sort.reverse)
    expect(strings(bar.nodes).grep(/[NS]/)).to all(match(/\A\d\d°(\d\d′)?N\z/))
    right =
      bar.nodes.map do |node|
        if node.is_a?(TileLoom::Scene::Text)
          node.x + node.face.width_mm(node.string, node.size_pt)
        else
          node.runs.flat_map { |run| run.each_slice(2).map(&:first) }.max
        end
      end
    expect(right.max).to be <= 155
  end

  it "follows the scale of the frame that it is bound to" do
    settings = small_settings
    settings["layout"]["elements"] << {
      "kind" => "locator",
      "id" => "where",
      "place" => {
        "left_mm" => 0,
        "top_mm" => 0,
        "width_mm" => 40,
        "height_mm" => 30
      }
    }
    book = TileLoom::Document::Book.new(settings)
    source = TileLoom::Data::MemorySource.new("area" => [rectangle(403_000, 6_528_000, 407_000, 6_530_000)])
    cells = book.cells(source)
    sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cells[0], count: cells.length)
    bar =
      TileLoom::Furniture::Element.read(
        {
          "kind" => "scale_bar",
          "id" => "bar",
          "frame" => "where",
          "fraction" => "above",
          "thousands" => "point",
          "place" => {
            "left_mm" => 0,
            "top_mm" => 40,
            "width_mm" => 40,
            "height_mm" => 12
          }
        },
        path: "/layout/elements/0"
      )
    drawn = bar.drawing(sheet, bar.box(sheet.page))
    locator = sheet.layout.elements.last.view_on(sheet)
    x, y = locator.frame.centre
    half = drawn.paper(drawn.ruling) / 2
    ends = locator.to_geographic.forward(locator.to_ground([x - half, y, x + half, y]))
    expect(geodesic_m(*ends, ellipsoid: [6_378_137, "1/298.257222101"])).to be_within(0.01).of(drawn.ruling.metres)
    expect(drawn.ruling.metres).to be > 300
    expect(strings(drawn.nodes)).to include(/\A1:\d+\.\d{3}\z/)
  end

  it "is measured in the print, in points" do
    Dir.mktmpdir do |folder|
      book, source = small_book([rectangle(403_000, 6_528_000, 403_100, 6_528_100)], scale: 5000)
      element = book.layout.elements.find { |known| known.kind == "scale_bar" }
      sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source)[0], count: 1)
      drawn = element.drawing(sheet, element.box(sheet.page))
      paths = poppler_paths(press(book, source, folder), 1)
      box = element.box(sheet.page)
      xs = paths.flat_map { |path| path[:points] }.select { |x, y| box.grow(0.5).include?(x, y) }.map(&:first)
      expect(xs.max - xs.min).to be_within(0.01).of(drawn.paper(drawn.ruling))
    end
  end

  it "refuses a room too narrow for any round length, and divisions that do not fit" do
    expect { drawing({}, width_mm: 8).nodes }.to invalid(/No round length fits in 8 mm with its labels/)
    expect { drawing({"division_length" => "100 m", "divisions" => 5}).nodes }.to invalid(
      /5 divisions of 100 m need 100 mm at 1:5,000, but only 61 mm is free/
    )
    expect { drawing({"division_length" => "5 deg"}).nodes }.to invalid(/not a unit of length/)
    {"divisions" => [0, 1000], "height_mm" => [-1], "extension" => [-2]}.each do |key, values|
      values.each do |value|
        settings = small_settings
        settings["layout"]["elements"].find { |known| known["kind"] == "scale_bar" }[key] = value
        expect(TileLoom::Document::Check.new(settings).findings.map(&:message)).to include(
          /“#{key}” is #{value}; it must be/
        )
      end
    end
  end
end
