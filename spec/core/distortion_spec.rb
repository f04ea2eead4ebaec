# frozen_string_literal: true

RSpec.describe TileLoom::Crs::Distortion do
  def distortion(code, *box) =
    described_class.new(TileLoom::Crs::System.find(code), TileLoom::Geometry::Box.new(*box.map(&:to_f)))

  # GeographicLib's exact transverse Mercator gives the scale at the two edges of the demo's ground.
  it "finds the smallest and the largest scale where GeographicLib has them" do
    found = distortion("EPSG:25829", 401_200, 6_526_200, 406_800, 6_530_800)
    {401_200 => found.most, 406_800 => found.least}.each do |east, place|
      scale = transverse_mercator_place(east, 6_528_500, central: -9)[:scale]
      expect(place.scale).to be_within(1e-8).of(scale)
    end
    expect(found.most.where).to match(/west/)
    expect(found.in_words).to eq("Grid distances are 0.3 m per km short (scale factor 0.9997) everywhere here.")
    expect(found.warnings).to be_empty
  end

  # By hand: at the central meridian UTM's scale is 0.9996, so a kilometre prints 0.4 m too short.
  it "speaks as a ruler does" do
    expect(distortion("EPSG:25829", 499_000, 6_500_000, 501_000, 6_502_000).in_words).to eq(
      "Grid distances are 0.4 m per km short (scale factor 0.9996) everywhere here."
    )
    # 200 km from it, k = 0.9996 · (1 + 200²/(2 · 6378²)) = 1.00009 (Snyder's first term).
    expect(distortion("EPSG:25829", 300_000, 6_000_000, 700_000, 6_100_000).in_words).to match(
      /0\.4 m per km short \(.*\) to 0\.09 m per km long \(.*\)/
    )
  end

  # Mercator at 60° doubles (common knowledge).
  it "warns of a scale that is off by more than 1 in 1,000, and of ground outside the area of use" do
    expect(distortion("EPSG:3857", 1_000_000, 8_300_000, 1_100_000, 8_400_000).warnings.first).to match(
      /off by more than 1 in 1,000/
    )
    expect(distortion("EPSG:27700", 1_200_000, 100_000, 1_300_000, 200_000).warnings.join).to match(
      /beyond the area of use of OSGB36/
    )
  end
end
