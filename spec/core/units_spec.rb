# frozen_string_literal: true

RSpec.describe TileLoom::Units do
  length = TileLoom::Units::Length

  # NIST SP 811 (from memory), appendix B.8.
  it "knows the foot, the yard and the miles exactly" do
    expect(length.new(1, "ft").metres).to eq(Rational(3048, 10_000))
    expect(length.new(1, "us-ft").metres).to eq(Rational(1200, 3937))
    expect(length.new(1, "yd").metres).to eq(Rational(9144, 10_000))
    expect(length.new(1, "mi").metres).to eq(Rational("1609.344"))
    expect([length.new(1, "nmi"), length.new(1, "km")].map(&:metres)).to eq([1852, 1000])
    expect(length.new(1, "in").in("mm")).to eq(Rational("25.4"))
    expect(length.new(72, "pt").in("in")).to eq(1)
  end

  # Worked by hand; the same texts as in the front end's read.test.ts.
  describe "numbers as people write them" do
    def read(text) = TileLoom::Units::NumberText.read(text)

    {
      "402 265.1" => "402265.1",
      "402\u2009265.1" => "402265.1",
      "1,189" => 1189,
      "1,189,000.5" => "1189000.5",
      "0,125" => "0.125",
      "1,18" => "1.18",
      "1.189,5" => "1189.5",
      "−31.24" => "-31.24",
      "- 3" => -3,
      ".5" => "0.5",
      "1 1/4" => "1.25",
      "-3/4" => "-0.75"
    }.each { |text, number| it("are read: #{text}") { expect(read(text)).to eq(Rational(number)) } }

    ["", "two", "1,18,9", "3 4", "1 / 0", "1e3", "0x10", "--3", "1,189 5", "Infinity", "1" * 61].each do |text|
      it("are not #{text[0, 12].inspect}") { expect(read(text)).to be_nil }
    end

    it "are those of lengths, of intervals of grids and of scales in fields" do
      expect(["1,189 mm", "1 1/4 mi", "6 in", "0,5 km", "−2 m"].map { |text| length.parse(text).metres }).to eq(
        [Rational("1.189"), Rational(1_609_344, 1000) * 5 / 4, Rational("0.1524"), 500, -2]
      )
      expect(TileLoom::CoordinateGrid::Interval.parse("1,200 ft").value).to eq(1200)
      scale = ->(value) { TileLoom::Index::ScaleRule.denominator("at", {"at" => value}, path: "/x") }
      expect(["1:2,500", "1 : 2 500", 2500.0, "2500"].map(&scale)).to eq([2500] * 4)
      expect { scale["1:none"] }.to raise_error(TileLoom::Refusal)
      expect { length.parse("two m") }.to raise_error(TileLoom::Refusal)
    end
  end

  # Common practice: five miles in metres.
  it("turns five miles into 8,046.72 m") { expect(length.new(5, "mi").metres).to eq(Rational("8046.72")) }

  # Common practice: the handbook example of a 20.55 in × 12.99 in frame at 1:500.
  it "gives the ground of a frame without rounding" do
    expect([length.parse("20.55 in"), length.parse("12.99 in")].map { |side| (side * 500).metres }).to eq(
      [Rational("260.985"), Rational("164.973")]
    )
  end

  it("loses nothing going there and back") do
    expect(length.new(0.1, "us-ft").to("nmi").to("us-ft")).to eq(length.new(Rational(1, 10), "us-ft"))
  end

  it "refuses what is not a length, in words" do
    expect { length.parse("fifty") }.to invalid(/“fifty” is not a length/)
    expect { length.parse("5 furlongs") }.to invalid(/“furlongs” is not a unit/)
  end

  # Worked by hand.
  it "carries seconds and minutes of arc" do
    angle = TileLoom::Units::Angle
    expect(angle.dms(59 + 59 / 60.0 + 59.9999 / 3600, positive: "N", negative: "S")).to eq("60°00′00″N")
    expect(angle.dms(-12.5, positive: "E", negative: "W")).to eq("12°30′00″W")
    expect(angle.dms(-0.00001, positive: "E", negative: "W")).to eq("0°00′00″E")
    expect(angle.dms(10.25, positive: "N", negative: "S", step_deg: Rational(1, 4))).to eq("10°15′N")
    expect(angle.dms(10, positive: "N", negative: "S", step_deg: Rational(1))).to eq("10°N")
    expect(angle.dms(1.99999, positive: "N", negative: "S", decimals: 1)).to eq("2°00′00.0″N")
  end

  # Worked by hand.
  it "writes parts of a second, and leaves out what a step does not need" do
    angle = TileLoom::Units::Angle
    north = {positive: "N", negative: "S"}
    expect(angle.dms(57 + 43 / 60.0 + 5.25 / 3600, **north, decimals: 2)).to eq("57°43′05.25″N")
    expect(angle.dms(57 + 43 / 60.0 + 5.96 / 3600, **north, decimals: 1)).to eq("57°43′06.0″N")
    expect(angle.dms(5.86 / 3600, **north, decimals: 1)).to eq("0°00′05.9″N")
    half = Rational(1, 2)
    expect(angle.dms(57, **north, step_deg: half, decimals: 1)).to eq("57°00′N")
    expect(angle.dms(57.5, **north, step_deg: Rational(30, 3600), decimals: 1)).to eq("57°30′00.0″N")
    expect(angle.dms(57.5, **north, step_deg: half, decimals: 1)).to eq("57°30′N")
    expect(angle.dms(57, **north, step_deg: half)).to eq("57°00′N")
    expect(angle.dms(57.5, **north, step_deg: 1r)).to eq("57°30′N")
    expect(angle.dms(57, **north, step_deg: 2r, decimals: 1)).to eq("57°N")
    expect(angle.dms(57 + 1 / 3600.0, **north, step_deg: 1r)).to eq("57°00′01″N")
    expect(angle.dms(57.5, **north, step_deg: Rational(30, 3600))).to eq("57°30′00″N")
    # The third of a minute is no whole second: the step is one of seconds all the same.
    expect(angle.dms(57, **north, step_deg: Rational(599_999, 36_000_000))).to eq("57°00′N")
  end

  # Common practice: a longitude of 180° is that of -180°.
  it "turns longitudes into half a circle to either side" do
    wrapped = [0, 179.5, 180, -180, 181, -181, 540, 725].map { |angle| TileLoom::Units::Angle.wrapped(angle) }
    expect(wrapped).to eq([0, 179.5, -180, -180, -179, 179, -180, 5])
  end

  it "takes a length with its unit, or the unit's code" do
    foot = TileLoom::Units::LengthUnit.find("us-ft")
    expect(length.new(2, foot)).to eq(length.new(2, "us-ft"))
    expect(length.new(0.1, "m") * 3).to eq(length.new(Rational(3, 10), "m"))
    expect(length.new(3, "m") * 0.1).to eq(length.new(Rational(3, 10), "m"))
    expect([length.mm(1500).to_s, length.new(2.50, "us-ft").to_s]).to eq(["1500 mm", "2.5 ft"])
    expect(length.new(1, "m") == 1).to be(false)
    expect([length.new(1, "yd"), length.metres(1), length.new(1, "ft")].sort.map { |one| one.unit.code }).to eq(
      %w[ft yd m]
    )
  end

  it "knows units by their size, as references state it, and in the plural" do
    unit = TileLoom::Units::LengthUnit
    # EPSG 9001, 9002, 9003 (from memory): metre, foot, US survey foot.
    expect([1.0, 0.3048, 0.304800609601219, 1852.0000005].map { |size| unit.of_size(size).code }).to eq(
      %w[m ft us-ft nmi]
    )
    expect([0.3047, 0.30480001, 2.0].map { |size| unit.of_size(size) }).to eq([nil, nil, nil])
    expect(%w[us-ft in nmi].map { |code| unit.find(code).plural }).to eq(["US survey feet", "inches", "nautical miles"])
  end

  describe TileLoom::Units::Number do
    it "writes numbers as people read them" do
      expect([12.5, 1000, 0.1 + 0.2, 100.0].map { |value| described_class.plain(value) }).to eq(%w[12.5 1000 0.3 100])
      expect(described_class.plain(-0.0000001)).to eq("0")
      expect([described_class.plain(2.345, decimals: 1), described_class.plain(20, decimals: 0)]).to eq(%w[2.3 20])
      expect([2500.0, 2500.5, -3.0].map { |value| described_class.tidy(value).to_s }).to eq(%w[2500 2500.5 -3])
    end

    it "groups digits by three" do
      expect([999, 1000, 1_234_567.4, -12_500].map { |value| described_class.grouped(value) }).to eq(
        %w[999 1,000 1,234,567 -12,500]
      )
      expect(described_class.grouped(12_345.678, separator: ".", decimals: 2)).to eq("12.345.68")
    end

    it "writes a scale, with decimals only where it has some" do
      expect([2500, 1000.5, 62_500.12345, 63_360r, Rational(1, 3)].map { |scale| described_class.ratio(scale) }).to eq(
        %w[1:2,500 1:1,000.5 1:62,500.123 1:63,360 1:0.333]
      )
      expect([2500.1, 2500.9999, Rational(1, 16), 0].map { |scale| described_class.ratio(scale) }).to eq(
        %w[1:2,500.1 1:2,501 1:0.063 1:0]
      )
    end

    it "finds the decimals that tell a number exactly" do
      expect([5r, Rational(1, 2), Rational(3, 8)].map { |value| described_class.places(value) }).to eq([0, 1, 3])
      expect([Rational(1, 3), Rational(1, 10**7)].map { |value| described_class.places(value) }).to eq([nil, nil])
      expect(described_class.places(Rational(1, 10**6))).to eq(6)
    end

    # Half the last place is what rounding is off by.
    it "writes no more decimals than a tolerance asks for" do
      places = ->(*from) { described_class.places_within(*from) }
      expect(places[Rational(1, 4), 0r, nil]).to eq(2)
      expect(places[1r, Rational(1, 8), nil]).to eq(3)
      expect(places[Rational(1, 3), 0r, nil]).to be_nil
      expect(places[Rational(1, 3), 0r, 0.05]).to eq(1)
      expect(places[Rational(1, 3), 0r, 0.049]).to eq(2)
      expect(places[Rational(1, 3), 0r, 1000]).to eq(0)
      expect(places[Rational(1, 3), 0r, 1e-30]).to eq(9)
      # Told exactly by a few, whatever the tolerance; by more only where it asks for them.
      expect(places[Rational(1, 8), 0r, 1000]).to eq(3)
      expect(places[Rational(1, 16), 0r, 1000]).to eq(0)
      expect(places[Rational(1, 16), 0r, 0.00001]).to eq(4)
      expect(places[Rational(1, 16), 0r, 0]).to eq(4)
    end
  end

  # The series 1-2-5, and that of angles (common practice on topographic maps).
  describe TileLoom::Units::Series do
    it "finds the round number above, below and nearest" do
      around = ->(value) { %i[at_least at_most nearest].map { |way| described_class.public_send(way, value) } }
      expect(around[1]).to eq([1, 1, 1])
      expect(around[3]).to eq([5, 2, 2])
      expect(around[3.2]).to eq([5, 2, 5])
      expect(around[0.07]).to eq([Rational(1, 10), Rational(1, 20), Rational(1, 20)])
      expect(around[0.7]).to eq([1, Rational(1, 2), Rational(1, 2)])
      expect(around[999]).to eq([1000, 500, 1000])
      expect(around[1001]).to eq([2000, 1000, 1000])
      # What was reckoned in fractions may be off by the last place.
      expect([described_class.at_least(5 * (1 + 1e-15)), described_class.at_most(5 * (1 - 1e-15))]).to eq([5, 5])
    end

    it "refuses what has no round number" do
      [0, -1, Float::INFINITY, Float::NAN].each do |value|
        expect { described_class.around(value) }.to raise_error(TileLoom::Refusal)
      end
    end

    it "has angles in seconds, minutes and degrees" do
      all = described_class::ANGLES_DEG
      expect(all).to eq(all.sort.uniq)
      seconds, minutes, degrees =
        [3600, 60, 1].map { |part| all.select { |angle| (angle * part).denominator == 1 }.map { |angle| angle * part } }
      expect(degrees).to eq([1, 2, 5, 10, 15, 20, 30, 45, 90])
      expect(minutes.first(7)).to eq([1, 2, 5, 10, 15, 20, 30])
      expect(seconds.first(7)).to eq([1, 2, 5, 10, 15, 20, 30])
      expect(all.first(9).map { |angle| (angle * 3_600_000).to_i }).to eq([1, 2, 5, 10, 20, 50, 100, 200, 500])
      expect([0.3, 7, 100, 0.012].map { |angle| described_class.nearest_angle_deg(angle) }).to eq(
        [Rational(20, 60), 5, 90, Rational(1, 60)]
      )
      expect([0.3, 1, 50, 1e-9].map { |angle| described_class.angle_at_most_deg(angle) }).to eq(
        [Rational(15, 60), 1, 45, all.first]
      )
    end

    it "says which lines of a step are round themselves" do
      multiples = ->(step, angle: false) { described_class.multiples(step, angle: angle) }
      expect([1r, 200r, Rational(5, 100)].map(&multiples)).to eq(
        [[1, 2, 5, 10, 20, 50, 100], [1, 5, 10, 25, 50, 100], [1, 2, 4, 10, 20, 40, 100]]
      )
      # Of no series: every 2nd, 5th, 10th line all the same.
      expect(multiples[3r]).to eq([1, 2, 5, 10, 20, 50, 100])
      expect(multiples[Rational(15, 60), angle: true]).to eq([1, 2, 4, 8, 20, 40, 60, 80, 120, 180, 360])
      expect(multiples[30r, angle: true]).to eq([1, 3])
      # Above the widest of all, and a decimal of a degree with none near by.
      expect(multiples[90r, angle: true]).to eq([1, 2, 5, 10, 20, 50, 100])
      expect(multiples[Rational(1, 100), angle: true]).to eq([1, 2, 5, 10, 20, 50, 100])
      expect(multiples[Rational(1, 20), angle: true]).to eq([1, 5, 10, 20, 40, 100, 200, 300, 400, 600, 900, 1800])
    end
  end
end
