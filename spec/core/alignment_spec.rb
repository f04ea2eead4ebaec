# frozen_string_literal: true

RSpec.describe TileLoom::Index::Alignment do
  def rectangle_at(x, y, rotation = 0.0, width = 400.0, height = 300.0) =
    TileLoom::Geometry::TurnedRectangle.new(x, y, width, height, rotation)

  def cell(number, name, ground, scale: 1000) =
    TileLoom::Index::Cell.new(number: number, id: number, name: name, row: 0, column: 0, scale: scale, ground: ground)

  def sizes(crs: TileLoom::Crs::System.find("EPSG:25829"), held: "projection")
    lambda do |scale|
      TileLoom::Index::CellSize.new(frame_width_mm: 400, frame_height_mm: 300, scale: scale, crs: crs, held: held)
    end
  end

  def alignment(*grounds, held: [1], **more)
    cells = grounds.each_with_index.map { |ground, index| cell(index + 1, "S#{index + 1}", ground) }
    described_class.new(cells, held, size: sizes, overlap_mm: [10.0, 5.0], **more)
  end

  # At 1:1,000 a millimetre of paper covers a metre.
  it "tells gaps and overlaps on paper, the nearest first, and none of cells far off" do
    found = alignment(rectangle_at(0, 0), rectangle_at(390, 0), rectangle_at(0, 325), rectangle_at(-1_000, 0)).gaps
    expect(found.map(&:to_s)).to eq(["S2: 10.0 mm overlap", "S3: 25.0 mm gap"])
    expect(alignment(rectangle_at(0, 0), rectangle_at(400, 0)).gaps.map(&:to_s)).to eq(["S2: edge to edge"])
    expect(alignment(rectangle_at(0, 0), rectangle_at(390, 0)).gaps(-12.0).map(&:to_s)).to eq(["S2: 2.0 mm gap"])
  end

  # Hand-worked: a square of 100 turned by 45° reaches 70.711 to its corner, so that it is 100 - 50 - 70.711 = -20.711
  # from an upright one 100 to its east; GEOS measures the distance where they are apart.
  it "knows how far rotated cells are apart" do
    square, turned = rectangle_at(0, 0, 0.0, 100.0, 100.0), rectangle_at(100, 0, 45.0, 100.0, 100.0)
    expect(square.apart(turned)).to be_within(1e-9).of(50 - 50 * Math.sqrt(2))
    far = rectangle_at(150, 0, 45.0, 100.0, 100.0)
    expect(square.apart(far)).to be_within(1e-9).of(square.shape.distance(far.shape))
    expect([square.apart(turned), turned.apart(square)].uniq(&:itself).length).to eq(1)
  end

  it "gives the shifts by which edges meet, overlap as wished, or come into line" do
    east, north = alignment(rectangle_at(0, 0), rectangle_at(430, 7)).shifts
    # The right edge at 200 meets the left one at 230: 30; overlaps it by 10: 40; the left edges in line: 430.
    expect(east).to include(30.0, 40.0, 430.0)
    expect(north).to include(7.0, 307.0, -293.0)
    expect(alignment(rectangle_at(0, 0, 10.0), rectangle_at(430, 7)).shifts).to eq([[], []])
  end

  it "brings the lower left corner to round coordinates of about 20 mm on paper" do
    expect(alignment(rectangle_at(0, 0), rectangle_at(430, 7)).round).to eq(step: 10.0, corner: [-200.0, -150.0])
  end

  # Snyder, Map Projections (1987), eq. 7-4: the scale factor of the Mercator projection on the sphere is the secant of
  # the latitude, so 2 at 60° (on the ellipsoid a little less).
  it "measures paper by the scale that the sheets hold" do
    crs = TileLoom::Crs::System.find("EPSG:3395")
    x, y = TileLoom::Crs::Transform.between(TileLoom::Crs::System.find("EPSG:4326"), crs).point(10.0, 60.0)
    pair = [rectangle_at(x, y, 0.0, 800.0, 600.0), rectangle_at(x + 820, y, 0.0, 800.0, 600.0)]
    plane = alignment(*pair, size: sizes(crs: crs)).gaps.first.mm
    ground = alignment(*pair, size: sizes(crs: crs, held: "ellipsoid")).gaps.first.mm
    expect(plane).to be_within(1e-6).of(20)
    expect(plane / ground).to be_within(0.01).of(2.0)
  end

  it "tells how far cells were moved, and refuses none in the hand" do
    expect(alignment(rectangle_at(0, 0)).moved(2.04, -1.5)).to eq("moved by 2.0 mm east, -1.5 mm north on paper")
    expect { alignment(rectangle_at(0, 0), held: [7]) }.to invalid(/Select at least one cell/)
  end
end
