# frozen_string_literal: true

RSpec.describe TileLoom::Crs do
  crs = TileLoom::Crs::System
  transform = TileLoom::Crs::Transform

  def dms(degrees, minutes = 0, seconds = 0) = degrees + minutes / 60.0 + seconds / 3600.0

  def project(code, lon, lat)
    target = TileLoom::Crs::System.find(code)
    TileLoom::Crs::Transform.between(target.geographic, target).point(lon, lat)
  end

  describe "published worked examples (each from memory of the publication named)" do
    albers = "+proj=aea +lat_1=29.5 +lat_2=45.5 +lat_0=23 +lon_0=-96 +ellps=clrk66 +units=m"
    conformal = "+proj=lcc +lat_1=33 +lat_2=45 +lat_0=23 +lon_0=-96 +ellps=clrk66 +units=m"
    utm18 = "+proj=utm +zone=18 +ellps=clrk66 +units=m"

    it "IOGP Guidance Note 7-2: Transverse Mercator, British National Grid" do
      east, north = project("EPSG:27700", 0.5, 50.5)
      expect(east).to be_within(0.01).of(577_274.99)
      expect(north).to be_within(0.01).of(69_740.50)
    end

    it "IOGP 7-2: Lambert conic conformal with one parallel, JAD69" do
      east, north = project("EPSG:24200", -dms(76, 56, 37.26), dms(17, 55, 55.80))
      expect(east).to be_within(0.01).of(255_966.58)
      expect(north).to be_within(0.01).of(142_493.51)
    end

    it "IOGP 7-2: Lambert conic conformal with two parallels, NAD27 Texas South Central, US survey feet" do
      east, north = project("EPSG:32040", -96, 28.5)
      expect(east).to be_within(0.01).of(2_963_503.91)
      expect(north).to be_within(0.01).of(254_759.80)
      expect(crs.find("EPSG:32040").unit.code).to eq("us-ft")
    end

    it "Snyder, USGS PP 1395: Albers equal-area conic" do
      x, y = project(albers, -75, 35)
      expect(x).to be_within(0.1).of(1_885_472.7)
      expect(y).to be_within(0.1).of(1_535_925.0)
    end

    it "Snyder, PP 1395: UTM zone 18 with its scale factor" do
      x, y = project(utm18, -73.5, 40.5)
      expect(x).to be_within(0.1).of(627_106.5)
      expect(y).to be_within(0.1).of(4_484_124.4)
      expect(described_class::Factors.from_geographic(crs.find(utm18), -73.5, 40.5).point_scale).to be_within(5e-8).of(
        0.9997989
      )
    end

    it "Snyder, PP 1395: Lambert conformal conic with its scale factor" do
      x, y = project(conformal, -75, 35)
      expect(x).to be_within(0.1).of(1_894_410.9)
      expect(y).to be_within(0.1).of(1_564_649.5)
      expect(described_class::Factors.from_geographic(crs.find(conformal), -75, 35).point_scale).to be_within(5e-8).of(
        0.9970171
      )
    end

    # GDA Technical Manual: Flinders Peak and Buninyong.
    it "GDA manual: grid, convergence and point scale" do
      east, north = project("EPSG:28355", dms(144, 25, 29.52440), -dms(37, 57, 3.72030))
      expect(east).to be_within(0.001).of(273_741.297)
      expect(north).to be_within(0.001).of(5_796_489.777)
      factors = described_class::Factors.at(crs.find("EPSG:28355"), east, north)
      expect(factors.convergence_deg).to be_within(0.01 / 3600).of(dms(1, 35, 3.65))
      expect(factors.point_scale).to be_within(5e-9).of(1.000_230_56)
    end

    it "GDA manual: Vincenty's geodesic" do
      metres, azimuth =
        described_class::Geodesic.new(crs.find("EPSG:28355")).inverse_deg(
          dms(144, 25, 29.52440),
          -dms(37, 57, 3.72030),
          dms(143, 55, 35.38390),
          -dms(37, 39, 10.15610)
        )
      expect(metres).to be_within(0.001).of(54_972.271)
      expect(azimuth).to be_within(0.01 / 3600).of(dms(306, 52, 5.37))
    end
  end

  describe "against GeographicLib, which shares no code with PROJ" do
    places = [[-10.7, 58.87], [-12, 20], [-6.2, 0.3], [-9, 71.5], [-7.77, -33.1]]

    it "agrees on UTM positions, convergence and scale" do
      places.each do |lon, lat|
        theirs = transverse_mercator(lon, lat, central: -9)
        east, north = project("EPSG:25829", lon, lat)
        expect(east).to be_within(1e-5).of(theirs[:x])
        expect(north).to be_within(1e-5).of(theirs[:y])
        factors = described_class::Factors.at(crs.find("EPSG:25829"), east, north)
        expect(factors.convergence_deg).to be_within(1e-7).of(theirs[:convergence])
        expect(factors.point_scale).to be_within(1e-9).of(theirs[:scale])
      end
    end

    it "agrees on Albers conic positions" do
      code = "+proj=aea +lat_1=20 +lat_2=60 +lat_0=40 +lon_0=-96 +ellps=GRS80 +units=m"
      [[-75, 35], [-120, 55], [-96, 22]].each do |lon, lat|
        x, y = conic_shift("-a", [20, 60], -96, [-96, 40], [lon, lat])
        ours = project(code, lon, lat)
        expect(ours[0]).to be_within(1e-4).of(x)
        expect(ours[1]).to be_within(1e-4).of(y)
      end
    end

    it "agrees on geodesics short and long" do
      geodesic = described_class::Geodesic.new(crs.find("EPSG:25829"))
      [[-10.7, 58.87, -10.69, 58.871], [-10, 50, 20, -30], [179.9, 10, -179.9, 10.1]].each do |ends|
        expect(geodesic.inverse_deg(*ends).first).to be_within(1e-5).of(geodesic_m(*ends))
      end
    end
  end

  # GeographicLib's GeoConvert as the independent answer, with the wider zones of Norway and Svalbard.
  it "finds the UTM zone of a place" do
    [
      [-10.7, 58.9],
      [0, 0.1],
      [179.9, -40],
      [-180, 10],
      [5, 60],
      [2.9, 60],
      [8, 75],
      [10, 75],
      [35, 80],
      [151, -33]
    ].each do |lon, lat|
      theirs = outside("GeoConvert", "-u", input: "#{lat} #{lon}\n").split.first
      hemisphere = (theirs[-1] == "s") ? 32_700 : 32_600
      expect(described_class::Utm.code(lon, lat)).to eq("EPSG:#{hemisphere + theirs.to_i}"), "#{lon} #{lat}"
    end
    expect { described_class::Utm.code(0, 89) }.to invalid(/no UTM zone at latitude .*; choose a polar CRS/)
  end

  it "holds the unit of a reference's axes" do
    expect(crs.find("EPSG:2277").unit.code).to eq("us-ft")
    expect(crs.find("EPSG:2225").metres_per_unit).to be_within(1e-12).of(1200 / 3937.0)
    expect(crs.find("EPSG:25829").unit.code).to eq("m")
  end

  # A reference whose axes come north first must not turn the map over (EPSG:2193, New Zealand).
  it "takes coordinates as east, north whatever order the authority lists" do
    east, north = project("EPSG:2193", 173, -41)
    expect(east).to be_within(0.01).of(1_600_000)
    expect(north).to be_between(5_000_000, 6_000_000)
    expect(described_class::Factors.at(crs.find("EPSG:2193"), east, north).point_scale).to be_within(1e-8).of(0.9996)
  end

  # On the sphere Mercator's scale at 60° is 2 (common knowledge: sec 60°); on the ellipsoid a little less.
  it "finds Mercator at 60° stretched twice" do
    factors = described_class::Factors.from_geographic(crs.find("EPSG:3857"), 10, 60)
    expect(factors.point_scale).to be_within(0.005).of(2)
  end

  it "moves many points at once and marks those outside" do
    there = transform.between(crs.find("OGC:CRS84"), crs.find("EPSG:25829"))
    moved = there.forward([-9, 50, -9, 9000])
    expect(moved.first(2)).to all(be_finite)
    expect(moved.last(2)).to all(be_infinite)
    expect { there.forward([-9, 9000], strict: true) }.to invalid(/-9, 9000 is outside/)
  end

  it "refuses what is no reference, and degrees for a fixed scale" do
    expect { crs.find("EPSG:999999") }.to invalid(/not a CRS that PROJ knows/)
    expect { crs.find("") }.to invalid(/missing/)
    expect { crs.find("EPSG:5701") }.to invalid(/neither a projected nor a geographic/)
    expect { crs.find("EPSG:4326").for_fixed_scale! }.to invalid(/degrees, so sheets cannot have a fixed scale/)
  end
end
