# frozen_string_literal: true

RSpec.describe TileLoom::Index::Carry do
  from, to = %w[EPSG:25829 EPSG:27700].map { |code| TileLoom::Crs::System.find(code) }
  frame = TileLoom::Geometry::Box.at(0, 0, 200, 160)
  cell =
    TileLoom::Index::Cell.new(
      number: 4,
      name: "B2",
      row: 1,
      column: 1,
      scale: 2500,
      ground: TileLoom::Geometry::TurnedRectangle.new(610_000.0, 6_528_000.0, 500.0, 400.0, 0.0)
    )

  # cs2cs of PROJ's own programs, through the geographic reference, as the independent path.
  it "keeps a cell's corners on the ground to within what the two grids differ in scale" do
    carried = described_class.new(from: from, to: to, frame: frame, held: "projection").cell(cell)
    input = cell.ground.corners.each_slice(2).map { |x, y| format("%.6f %.6f", x, y) }.join("\n") + "\n"
    theirs =
      outside("cs2cs", "-f", "%.4f", "EPSG:25829", "EPSG:27700", input: input).lines.map do |row|
        row.split.first(2).map(&:to_f)
      end
    scales =
      [[from, cell], [to, carried]].map do |crs, found|
        TileLoom::Crs::Factors.at(crs, found.ground.centre_x, found.ground.centre_y).point_scale
      end
    apart = Math.hypot(250, 200) * (scales[1] / scales[0] - 1).abs
    carried
      .ground
      .corners
      .each_slice(2)
      .zip(theirs) { |ours, (x, y)| expect(Math.hypot(ours[0] - x, ours[1] - y)).to be_within(0.01).of(apart) }
    expect([carried.name, carried.number, carried.scale]).to eq(["B2", 4, 2500])
    expect(carried.ground.rotation_deg).not_to eq(0)
  end

  # PROJ’s way back from the equal-area reference is good to 0.2 mm.
  it "comes back to where it was, upright" do
    other = TileLoom::Crs::System.find("EPSG:3035")
    there = described_class.new(from: from, to: other, frame: frame, held: "projection").cell(cell)
    back = described_class.new(from: other, to: from, frame: frame, held: "projection").cell(there)
    expect(back.ground.to_a.first(4)).to match(cell.ground.to_a.first(4).map { |number| be_within(1e-3).of(number) })
    expect(back.ground).to be_upright
  end

  it "bends the sides of a drawn area as the ground does" do
    ring = [0, 0, 90_000, 0, 90_000, 90_000, 0, 0].each_slice(2).flat_map { |x, y| [x + 450_000, y + 6_500_000] }
    carried = described_class.new(from: from, to: to, frame: frame, held: "projection").ring(ring)
    expect(carried.length).to eq((3 * 8 + 1) * 2)
    expect(carried.first(2)).to eq(carried.last(2))
  end
end
