# frozen_string_literal: true

RSpec.describe "Study area" do
  utm = TileLoom::Crs::System.find("EPSG:25829")

  def choice(*parts) = TileLoom::Index::AreaChoice.read(parts)

  def point(x, y, id: 1, **attributes) =
    TileLoom::Data::Feature.new(
      id: id,
      wkb: TileLoom::Geometry::Wkb.point(x.to_f, y.to_f),
      attributes: attributes.transform_keys(&:to_s)
    )

  def line(*numbers) =
    TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.line(numbers.map(&:to_f)), attributes: {})

  source = TileLoom::Data::MemorySource.new

  before(:all) do
    source.add(
      "dams",
      [
        point(0, 0, id: 1, state: "sound"),
        point(5000, 0, id: 2, state: "failed"),
        point(9000, 0, id: 3, state: "failed")
      ]
    )
    source.add("moss", [rectangle(1000, 1000, 2000, 2000)])
    source.add("track", [line(3000, 0, 3000, 4000)])
  end

  def area(*parts) = TileLoom::Index::StudyArea.new(choice(*parts).features(source))

  define_method(:source) { source }

  it "takes layers of points, lines and areas together" do
    expect(area({"layer" => "dams"}, {"layer" => "moss"}, {"layer" => "track"}).box.to_a).to eq(
      [0, 0, 9000, 4000]
    )
  end

  it "takes the features that meet a condition, or those that were picked" do
    expect(
      area({"layer" => "dams", "when" => {"op" => "=", "args" => [{"property" => "state"}, "failed"]}}).box.to_a
    ).to eq([5000, 0, 9000, 0])
    expect(area({"layer" => "dams", "features" => [1, 2]}).box.to_a).to eq([0, 0, 5000, 0])
  end

  it "takes a shape drawn by hand, closed or not" do
    open, closed =
      [[[0, 0], [100, 0], [100, 50]], [[0, 0], [100, 0], [100, 50], [0, 0]]].map { |ring| area({"polygon" => ring}) }
    expect([open.geometry.area, closed.geometry.area]).to eq([2500, 2500])
    expect { area({"polygon" => [[0, 0], [1, 1], [2, 2]]}) }.to invalid(/has no inside/)
  end

  it "refuses a layer that is not there and a condition on an attribute that is not" do
    expect { choice({"layer" => "bog"}).check(%w[dams]) }.to invalid(
      /“bog” is not a layer of this book; choose one of dams/
    )
    condition = {"layer" => "dams", "when" => {"op" => ">", "args" => [{"property" => "height"}, 1]}}
    expect { choice(condition).check(%w[dams], {"dams" => {"state" => "text"}}) }.to invalid(/asks for “height”/)
  end

  it "keeps no cell that only touches a surface, but one with a point on its edge" do
    mixed = area({"layer" => "dams"}, {"layer" => "moss"})
    cell = ->(west, south, size) do
      TileLoom::Geometry::TurnedRectangle.new(west + size / 2.0, south + size / 2.0, size, size, 0.0)
    end
    expect(mixed.meets?(cell[2000, 1000, 500])).to be(false)
    expect(mixed.meets?(cell[1900, 1000, 500])).to be(true)
    expect(mixed.meets?(cell[0, 0, 100])).to be(true)
    expect(mixed.left_out([cell[1000, 1000, 500]]).area).to eq(750_000)
  end

  # GeographicLib's Planimeter (Karney 2013) on the ellipsoid of GRS 80.
  it "tells the area on the ellipsoid as Planimeter does" do
    corners = [402_000, 6_528_000, 409_000, 6_528_500, 408_000, 6_541_000, 401_500, 6_535_000].map(&:to_f)
    lonlat = TileLoom::Crs::Transform.between(utm, utm.geographic).forward(corners)
    input = lonlat.each_slice(2).map { |lon, lat| format("%.12f %.12f", lat, lon) }.join("\n") + "\n"
    theirs = outside("Planimeter", "-p", "3", "-e", "6378137", "1/298.257222101", input: input).split.last.to_f.abs
    ours =
      TileLoom::Index::StudyArea.new(
        [
          TileLoom::Data::Feature.new(
            id: 1,
            wkb: TileLoom::Geometry::Wkb.polygon([corners + corners.first(2)]),
            attributes: {}
          )
        ]
      ).ground_m2(utm)
    # Planimeter writes tenths of a square metre.
    expect(ours).to be_within(0.1).of(theirs)
    # The plane's own area is 0.07 % off in this zone.
    expect((TileLoom::Geometry::Geos.polygon(corners).area - theirs).abs).to be > 1000
  end
end
