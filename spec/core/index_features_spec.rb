# frozen_string_literal: true

RSpec.describe TileLoom::Index::ByFeature do
  def crs = TileLoom::Crs::System.find("EPSG:25829")

  def size =
    ->(scale) { TileLoom::Index::CellSize.new(frame_width_mm: 200, frame_height_mm: 150, scale: scale, crs: crs) }

  def rule(kind, **more) =
    TileLoom::Index::ScaleRule.new(
      {"kind" => kind, **more.transform_keys(&:to_s)},
      path: "/index/scale_rule"
    ).holding(1000)

  def generate(features, rule: self.rule("fixed"), **options)
    generator = described_class.new(size: size, rule: rule, **options)
    [generator.cells(features) { |feature| feature.attributes["name"] }, generator.too_large]
  end

  def site(west, south, east, north, id:, **attributes) =
    rectangle(
      west,
      south,
      east,
      north,
      id: id,
      attributes: {
        "name" => "Site #{id}",
        **attributes.transform_keys(&:to_s)
      }
    )

  it "holds the scale, and tells or splits what the frame does not hold" do
    sites = [site(0, 0, 100, 80, id: 1), site(1000, 0, 1350, 100, id: 2)]
    cells, large = generate(sites)
    expect(
      cells.map { |cell| [cell.name, cell.scale, cell.ground.centre_x, cell.ground.centre_y, cell.ground.width] }
    ).to eq([["Site 1", 1000, 50.0, 40.0, 200.0], ["Site 2", 1000, 1175.0, 50.0, 200.0]])
    expect(large).to eq(["Site 2"])
    split, = generate(sites, several: true)
    expect(split.map(&:name)).to eq(["Site 1", "Site 2", "Site 2-2"])
    expect(TileLoom::Index::Cover.new(split, TileLoom::Index::StudyArea.new(sites)).left_out_area).to eq(0)
  end

  # Common practice: 10 % free round the feature. 300 m with 30 m each side are 360 m on 200 mm, 1:1,800; the next
  # pleasant denominator is 2,000.
  it "fits the frame with a margin, at a pleasant denominator" do
    cells, = generate([site(0, 0, 300, 100, id: 1)], rule: rule("fit"))
    expect(cells.first.scale).to eq(2000)
    # 184 mm between margins of 8 mm: 300,000 / 184 is 1,630.
    expect(generate([site(0, 0, 300, 100, id: 1)], rule: rule("fit", margin: "8 mm"))[0].first.scale).to eq(2000)
    expect(
      [1, 1.2, 1630, 2000, 2000.5, 5485, 81_000, 99_999].map { |scale| TileLoom::Index::ScaleRule.pleasant(scale) }
    ).to eq([1, 1.25, 2000, 2000, 2500, 6000, 100_000, 100_000])
    random = Random.new(2)
    50.times do
      feature = site(0, 0, 10 + random.rand * 5000, 10 + random.rand * 5000, id: 1)
      cell = generate([feature], rule: rule("fit"))[0].first
      expect(cell.ground.box.grow(1e-6)).to(satisfy { |box| box.include?(0, 0) })
      expect(cell.scale).to eq(TileLoom::Index::ScaleRule.pleasant(cell.scale))
    end
  end

  it "takes the first rung of a ladder that holds the feature, or what an attribute says" do
    cells, =
      generate(
        [site(0, 0, 90, 90, id: 1), site(0, 0, 300, 100, id: 2), site(0, 0, 9000, 100, id: 3)],
        rule: rule("standard_scales", standard_scales: [5000, 1000, 2500], margin: "0 mm")
      )
    expect(cells.map(&:scale)).to eq([1000, 2500, 5000])
    cells, =
      generate(
        [site(0, 0, 90, 90, id: 1, at: "1:2,500"), site(0, 0, 90, 90, id: 2, at: 500)],
        rule: rule("field", field: "at")
      )
    expect(cells.map(&:scale)).to eq([2500, 500])
    expect { generate([site(0, 0, 90, 90, id: 1, at: "large")], rule: rule("field", field: "at")) }.to invalid(
      /field “at” is “large”/,
      path: "/index/scale_rule/field"
    )
  end

  # A comb: the centre of its extent lies outside it, that of its largest circle inside.
  it "centres on the largest circle inside, when asked" do
    comb = ring_feature([[0, 0], [300, 0], [300, 10], [120, 10], [120, 160], [0, 160]])
    cells =
      generate([TileLoom::Data::Feature.new(id: 1, wkb: comb.wkb, attributes: {"name" => "Comb"})], centre: "inner")[
        0
      ]
    shape = TileLoom::Geometry::Geos.read(comb.wkb)
    middle =
      TileLoom::Geometry::Geos.read(
        TileLoom::Geometry::Wkb.point(cells.first.ground.centre_x, cells.first.ground.centre_y)
      )
    expect(shape.covers?(middle)).to be(true)
    # A circle of 60 m radius is the largest in a stem 120 m wide.
    expect(shape.boundary.distance(middle)).to be_within(1).of(60)
  end

  describe TileLoom::Index::FromLayer do
    def turned(x, y, width, height, angle, **attributes)
      ground = TileLoom::Geometry::TurnedRectangle.turned(x, y, width, height, angle)
      TileLoom::Data::Feature.new(
        id: 1,
        wkb: TileLoom::Geometry::Wkb.polygon([ground.corners + ground.corners.first(2)]),
        attributes: attributes.transform_keys(&:to_s)
      )
    end

    it "takes name, scale and turn from polygons drawn elsewhere, and tells those that do not fit the frame" do
      list = [
        turned(100, 100, 200, 150, 0, name: "One", scale: 1000),
        turned(500, 100, 400, 300, 25, name: "Two", scale: 2000),
        turned(900, 100, 200, 200, 0, name: "Three", scale: 1000)
      ]
      generator = described_class.new(size: size, scale: 1000, scale_field: "scale")
      cells = generator.cells(list) { |feature| feature.attributes["name"] }
      expect(
        cells.map do |cell|
          [
            cell.name,
            cell.scale,
            cell.ground.centre_x.round(6),
            cell.ground.ccw_deg.round(6),
            cell.ground.width.round(6)
          ]
        end
      ).to eq([["One", 1000, 100.0, 0.0, 200.0], ["Two", 2000, 500.0, 25.0, 400.0], ["Three", 1000, 900.0, 0.0, 200.0]])
      expect(generator.misfits).to eq(["Three"])
      expect { described_class.new(size: size, scale: 1000).cells([]) { "x" } }.to invalid(/no polygons/)
    end
  end
end
