# frozen_string_literal: true

RSpec.describe TileLoom::Crs::Suggestions do
  def codes(lon, lat, half: 0.05) =
    described_class.new([lon - half, lat - half, lon + half, lat + half]).list.map(&:code)

  # The grid that each country's own survey prints its maps in (common practice, from memory): twelve
  # places on five continents, US survey feet and the southern hemisphere among them.
  {
    "London" => [-0.1, 51.5, "EPSG:27700"],
    "Utrecht" => [5.1, 52.1, "EPSG:28992"],
    "Bern" => [7.45, 46.95, "EPSG:2056"],
    "Paris" => [2.35, 48.85, "EPSG:2154"],
    "Dublin" => [-6.3, 53.3, "EPSG:2157"],
    "Wellington" => [174.8, -41.3, "EPSG:2193"],
    "Dallas, in US survey feet" => [-96.8, 32.8, "EPSG:2276"],
    "Melbourne" => [145.0, -37.8, "EPSG:7855"],
    "Tokyo" => [139.7, 35.7, "EPSG:6677"],
    "Pretoria" => [28.2, -25.7, "EPSG:2053"],
    "São Paulo" => [-46.6, -23.5, "EPSG:32723"],
    "Nairobi" => [36.8, -1.3, "EPSG:32737"]
  }.each do |place, (lon, lat, wanted)|
    it("offers #{wanted} for #{place}") { expect(codes(lon, lat)).to include(wanted) }
  end

  it "says the unit and a reason with each" do
    dallas = described_class.new([-96.85, 32.75, -96.75, 32.85]).list
    expect(dallas.find { |suggestion| suggestion.code == "EPSG:2276" }.reason).to match(
      /United States.*unit: US survey foot/
    )
    expect(dallas.map(&:reason)).to all(be_a(String).and(match(/\w/)))
  end

  it "names both zones of a ground that lies in two" do
    zones =
      described_class.new([-6.3, 58.0, -5.7, 58.2]).list.select { |suggestion| suggestion.code.match?(/EPSG:326/) }
    expect(zones.map(&:code)).to eq(%w[EPSG:32629 EPSG:32630])
    expect(codes(-10.7, 58.87)).to include("EPSG:32629", "EPSG:25829")
    expect(zones.first.reason).to match(/one of the 2 UTM zones/)
  end

  # Common practice: standard parallels a quarter of the height in from top and bottom.
  it "offers conics of its own for a continent" do
    first, second = described_class.new([-125, 24, -67, 50]).list
    expect(first.code).to include("+proj=aea +lat_1=30.5 +lat_2=43.5")
    expect(second.code).to include("+proj=eqdc +lat_1=30.5 +lat_2=43.5")
    expect(TileLoom::Crs::System.find(first.code)).to be_projected
    expect(
      TileLoom::Crs::Factors.from_geographic(TileLoom::Crs::System.find(first.code), -96, 37).areal_scale
    ).to be_within(1e-8).of(1)
  end

  it "offers an azimuthal near a pole and across the equator" do
    expect(described_class.new([-180, 72, 180, 90]).list.first.code).to include("+proj=laea +lat_0=81")
    expect(described_class.new([10, -12, 30, 12]).list.first.code).to include("+proj=laea")
  end
end

RSpec.describe TileLoom::Crs::Catalogue do
  it "finds references by code, name and place" do
    expect(described_class.search("25829").first).to have_attributes(code: "EPSG:25829", name: "ETRS89 / UTM zone 29N")
    expect(described_class.search("EPSG:25829").first.code).to eq("EPSG:25829")
    expect(described_class.search("british national").map(&:code)).to include("EPSG:27700")
    expect(described_class.search("texas north central ftus").map(&:code)).to include("EPSG:2276")
    expect(described_class.search("zzz nowhere")).to eq([])
    expect(described_class.search("")).to eq([])
  end
end
