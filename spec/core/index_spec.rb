# frozen_string_literal: true

RSpec.describe TileLoom::Index do
  utm = "EPSG:25829"

  def generate(
    features,
    width_mm:,
    height_mm:,
    scale:,
    overlap_mm: 0,
    reference: "EPSG:25829",
    held: "projection",
    buffer: 0.0
  )
    size =
      TileLoom::Index::CellSize.new(
        frame_width_mm: width_mm,
        frame_height_mm: height_mm,
        scale: scale,
        crs: TileLoom::Crs::System.find(reference),
        held: held
      )
    area = TileLoom::Index::StudyArea.new(features, buffer: buffer)
    TileLoom::Index::Grid.new(area: area, size: size, overlap_mm: overlap_mm)
  end

  # Common practice: the handbook example.
  it "covers 260.985 m by 164.973 m with a frame of 20.55 in by 12.99 in at 1:500" do
    grid = generate([rectangle(0, 0, 260.985, 164.973)], width_mm: 20.55 * 25.4, height_mm: 12.99 * 25.4, scale: 500)
    expect(grid.size.nominal_m).to match([be_within(1e-9).of(260.985), be_within(1e-9).of(164.973)])
    expect(grid.cells.length).to eq(1)
    expect(grid.cells.first.ground.width).to be_within(1e-9).of(260.985)
  end

  # Common practice: a district at 1:24,000 on ANSI B (11 × 17 in) that needs two rows and two columns.
  # 16 in × 10 in of map at 1:24,000 is 9,753.6 m × 6,096 m; the district is 15 km × 10 km.
  it "takes two rows and two columns for a district at 1:24,000 on ANSI B" do
    cells =
      generate(
        [rectangle(500_000, 4_000_000, 515_000, 4_010_000)],
        width_mm: 16 * 25.4,
        height_mm: 10 * 25.4,
        scale: 24_000
      ).cells
    expect(cells.map(&:name)).to eq(%w[A1 B1 A2 B2])
    expect(cells.map(&:number)).to eq([1, 2, 3, 4])
    expect(cells.first.ground.width).to be_within(1e-6).of(9_753.6)
  end

  # ISO/IEC 29500-1: columns of a spreadsheet.
  it "letters columns as a spreadsheet does" do
    expect([0, 25, 26, 51, 52, 701, 702].map { |index| described_class::Naming.letters(index) }).to eq(
      %w[A Z AA AZ BA ZZ AAA]
    )
  end

  it "overlaps neighbours by the width asked for, on paper" do
    cells = generate([rectangle(0, 0, 2000, 500)], width_mm: 200, height_mm: 200, scale: 2500, overlap_mm: 8).cells
    left, right = cells.first(2).map(&:ground)
    expect((left.centre_x + left.width / 2) - (right.centre_x - right.width / 2)).to be_within(1e-9).of(8 * 2.5)
  end

  it "counts a US survey foot as a foot, not a metre" do
    # 100 mm at 1:12,000 is 1,200 m on the map plane: 3,937 US survey feet (1200/3937 m each).
    cell =
      generate(
        [rectangle(3_000_000, 10_000_000, 3_000_100, 10_000_100)],
        width_mm: 100,
        height_mm: 100,
        scale: 12_000,
        reference: "EPSG:2277"
      ).cells.first
    expect(cell.ground.width).to be_within(1e-6).of(3_937)
  end

  it "drops cells that do not touch the area, and keeps those that do" do
    ell = ring_feature([[0, 0], [900, 0], [900, 300], [300, 300], [300, 900], [0, 900]])
    cells = generate([ell], width_mm: 300, height_mm: 300, scale: 1000).cells
    expect(cells.map(&:name)).to eq(%w[A1 A2 A3 B3 C3])
  end

  it "leaves a buffer for growth" do
    expect(generate([rectangle(0, 0, 100, 100)], width_mm: 100, height_mm: 100, scale: 1000).cells.length).to eq(1)
    expect(
      generate([rectangle(0, 0, 100, 100)], width_mm: 100, height_mm: 100, scale: 1000, buffer: 5.0).cells.length
    ).to eq(4)
  end

  # Brute force: points thrown into random areas, each found on a cell; each cell useful; names unique.
  it "covers random areas, with no useless cell and no name twice" do
    random = Random.new(7)
    30.times do
      spokes = Array.new(random.rand(5..14)) { random.rand(200.0..2000.0) }
      points =
        spokes.each_with_index.map do |r, i|
          [
            10_000 + r * Math.cos(i * 2 * Math::PI / spokes.length),
            10_000 + r * Math.sin(i * 2 * Math::PI / spokes.length)
          ]
        end
      grid =
        generate(
          [ring_feature(points)],
          width_mm: random.rand(60..300),
          height_mm: random.rand(60..300),
          scale: 2500,
          overlap_mm: random.rand(0..20)
        )
      cells = grid.cells
      shape = TileLoom::Geometry::Geos.read(ring_feature(points).wkb)
      prepared = shape.to_prepared
      200.times do
        x, y = 10_000 + random.rand(-2000.0..2000.0), 10_000 + random.rand(-2000.0..2000.0)
        next unless prepared.contains?(TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(x, y)))
        expect(cells.any? { |cell| cell.ground.box.include?(x, y) }).to be(true)
      end
      expect(cells.map(&:name).uniq.length).to eq(cells.length)
      cells.each do |cell|
        expect(shape.intersection(TileLoom::Geometry::Geos.polygon(cell.ground.corners)).area).to be > 0
      end
    end
  end

  # Mercator stretches more towards the pole, so cells of one true ground scale differ in size on the
  # plane; the index must still have no gap.
  it "leaves no gap where the true ground scale is held" do
    area = rectangle(0, 7_000_000, 300_000, 9_000_000)
    grid = generate([area], width_mm: 300, height_mm: 300, scale: 500_000, reference: "EPSG:3857", held: "ellipsoid")
    rest = grid.area.left_out(grid.cells.map(&:ground)).area
    expect(rest).to be < 1
    factor =
      TileLoom::Crs::Factors.at(
        TileLoom::Crs::System.find("EPSG:3857"),
        grid.cells.last.ground.centre_x,
        grid.cells.last.ground.centre_y
      ).point_scale
    expect(grid.cells.last.ground.width).to be_within(1e-3).of(150_000 * factor)
  end

  it "refuses a million cells before computing them, and says how many" do
    grid = generate([rectangle(0, 0, 100_000, 100_000)], width_mm: 100, height_mm: 100, scale: 1000)
    expect { grid.cells }.to invalid(/up to 1,000,000 cells \(1,000 columns by 1,000 rows\)/, path: "/index/scale")
  end

  it "refuses an overlap larger than the frame, and an empty area" do
    expect {
      generate([rectangle(0, 0, 10, 10)], width_mm: 100, height_mm: 80, scale: 1000, overlap_mm: 81)
    }.to invalid(/leaves nothing of a frame 80 mm wide/, path: "/index/overlap_mm")
    expect { generate([], width_mm: 100, height_mm: 80, scale: 1000) }.to invalid(/is empty/, path: "/index/area")
  end

  it "covers points and lines as well as areas" do
    point = TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.point(50, 50), attributes: {})
    line = TileLoom::Data::Feature.new(id: 2, wkb: TileLoom::Geometry::Wkb.line([0.0, 0.0, 250.0, 0.0]), attributes: {})
    expect(generate([point], width_mm: 100, height_mm: 100, scale: 1000).cells.length).to eq(1)
    expect(generate([line], width_mm: 100, height_mm: 100, scale: 1000).cells.length).to eq(3)
    # On the edge between two cells: a point must not fall between them.
    posts =
      [0, 100, 200].map do |x|
        TileLoom::Data::Feature.new(id: x, wkb: TileLoom::Geometry::Wkb.point(x.to_f, 0.0), attributes: {})
      end
    cells = generate(posts, width_mm: 100, height_mm: 100, scale: 1000).cells
    [0, 100, 200].each { |x| expect(cells.any? { |cell| cell.ground.box.include?(x, 0) }).to be(true) }
  end

  it "says what is left out" do
    book, source = small_book([rectangle(400_000, 6_500_000, 402_000, 6_501_000)], reference: utm)
    expect(book.generate(source).left_out_m2).to eq(0)
  end
end
