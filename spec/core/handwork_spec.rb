# frozen_string_literal: true

# Cells changed by hand. Lengths on the ground are paper × scale (1 mm at 1:2,500 is 2.5 m), which is what a scale is.
RSpec.describe TileLoom::Index::Handwork do
  # Two rows of three sheets of 400 × 300 mm at 1:2,500: 1,000 × 750 m each.
  let(:cells) do
    (0...6).map do |index|
      row, column = index.divmod(3)
      TileLoom::Index::Cell.new(
        number: index + 1,
        name: "#{"ABC"[column]}#{row + 1}",
        row: row,
        column: column,
        scale: 2500,
        ground: ground(401_500 + column * 1000, 6_529_375 - row * 750, 1000, 750)
      )
    end
  end
  let(:size) do
    ->(scale) do
      crs = TileLoom::Crs::System.find("EPSG:25829")
      TileLoom::Index::CellSize.new(frame_width_mm: 400, frame_height_mm: 300, scale: scale, crs: crs)
    end
  end
  let(:hand) { described_class.new(cells, size: size, scale: 2500) }

  def ground(x, y, width, height, rotation = 0.0) =
    TileLoom::Geometry::TurnedRectangle.new(x.to_f, y.to_f, width.to_f, height.to_f, rotation.to_f)

  def names(found) = found.map(&:name)

  # What differs of each cell that does.
  def touched(found) = found.zip(cells).reject { |now, before| now.equal?(before) }.map(&:first)

  it "moves cells by ground and by paper, pins them, and leaves the others what they are" do
    moved = touched(hand.move([2, 5], 20, -30))
    expect(moved.map { |cell| [cell.name, cell.ground, cell.pinned, cell.moved] }).to eq(
      [
        ["B1", ground(402_520, 6_529_345, 1000, 750), true, true],
        ["B2", ground(402_520, 6_528_595, 1000, 750), true, true]
      ]
    )
    expect(touched(hand.nudge([1], 10, 4)).map(&:ground)).to eq([ground(401_525, 6_529_385, 1000, 750)])
    expect { hand.move([1], 1e8, 0) }.to raise_error(TileLoom::Refusal, /Cell A1 would be outside/)
    expect { hand.move([], 1, 1) }.to raise_error(TileLoom::Refusal, /Select at least one/)
    expect { hand.move([1, 9], 1, 1) }.to raise_error(TileLoom::Refusal, /9/)
  end

  it "turns and scales them about their middles" do
    turned = touched(hand.turn([4], -12.5)).first
    expect(turned.ground).to eq(ground(401_500, 6_528_625, 1000, 750, -12.5))
    # Clockwise: the right end of the lower edge goes down, or up where it is turned the other way.
    expect(turned.ground.corners.each_slice(2).to_a[1][1]).to be > turned.ground.corners[1]
    expect(touched(hand.scale([6], 1250)).map { |cell| [cell.scale, cell.ground, cell.pinned] }).to eq(
      [[1250, ground(403_500, 6_528_625, 500, 375), true]]
    )
    expect { hand.turn([1], 181) }.to raise_error(TileLoom::Refusal, /−180 to 180/)
    [0, -5, 2e9].each do |scale|
      expect { hand.scale([1], scale) }.to raise_error(TileLoom::Refusal, /greater than zero/)
    end
  end

  it "pins and unpins without moving" do
    pinned = hand.pin([3], true)
    expect(touched(pinned).map { |cell| [cell.number, cell.pinned, cell.ground] }).to eq([[3, true, cells[2].ground]])
    expect(described_class.new(pinned, size: size, scale: 2500).pin([3], false)[2].pinned).to be(false)
  end

  it "takes cells out and puts them elsewhere in the order, without gaps in the numbers" do
    left = hand.remove([2, 4])
    expect(left.map { |cell| [cell.number, cell.name] }).to eq([[1, "A1"], [2, "C1"], [3, "B2"], [4, "C2"]])
    expect(names(hand.place_at(5, 2))).to eq(%w[A1 B2 B1 C1 A2 C2])
    expect([names(hand.place_at(1, 99)).last, names(hand.place_at(6, -3)).first]).to eq(%w[A1 C2])
    expect(hand.place_at(5, 2).map(&:number)).to eq([1, 2, 3, 4, 5, 6])
  end

  it "adds one like its nearest neighbour, as the last, under a name that is free" do
    turned = described_class.new(hand.turn([6], 30), size: size, scale: 2500)
    added = turned.add(404_800, 6_528_600).last
    expect([added.number, added.scale, added.ground, added.pinned]).to eq(
      [7, 2500, ground(404_800, 6_528_600, 1000, 750, 30), true]
    )
    expect(names(cells)).not_to include(added.name)
    expect(turned.add(404_800, 6_528_600, name: "Quay").last.name).to eq("Quay")
    expect { turned.add(404_800, 6_528_600, name: "a1") }.to raise_error(TileLoom::Refusal, /Sheet 1 is called “A1”/)
    expect { turned.add(1e9, 1e9) }.to raise_error(TileLoom::Refusal, /The new cell would be outside/)
    alone = described_class.new([], size: size, scale: 5000).add(402_000, 6_529_000).first
    expect([alone.number, alone.scale, alone.ground.width, alone.name]).to eq([1, 5000, 2000.0, "A1"])
  end

  it "splits one into those at a larger scale that show its ground, and nothing is left open" do
    [0.0, 25.0].each do |turn|
      start = described_class.new(hand.turn([2], turn), size: size, scale: 2500)
      whole = start.turn([2], turn)[1].ground
      parts = start.split(2, 1000)
      fresh = parts.select { |cell| cell.name.start_with?("B1-") }
      expect(parts.map(&:number)).to eq((1..parts.length).to_a)
      expect(names(parts)).to eq(["A1", *(1..fresh.length).map { |n| "B1-#{n}" }, "C1", "A2", "B2", "C2"])
      # 2.5 times as many across and down, so three each way.
      expect(fresh.length).to eq(9)
      expect(fresh.map { |cell| [cell.scale, cell.ground.rotation_deg.round(9), cell.pinned] }.uniq).to eq(
        [[1000, turn, true]]
      )
      shown = fresh.map { |cell| polygon(cell.ground) }.reduce(:union)
      expect(polygon(whole).difference(shown).area).to be < 1e-3
    end
    expect { hand.split(2, 2500) }.to raise_error(TileLoom::Refusal, /larger scale than its own 1:2,500/)
    expect { hand.split(2, 10) }.to raise_error(TileLoom::Refusal, /400/)
  end

  it "renames one, but to no name that is empty, too long or taken in other letters" do
    expect(hand.rename(3, " Ford ")[2].name).to eq("Ford")
    expect(hand.rename(3, "c1")[2].name).to eq("c1")
    ["", " ", "x" * 81].each { |name| expect { hand.rename(3, name) }.to raise_error(TileLoom::Refusal, /at most 80/) }
    expect { hand.rename(3, "a2") }.to raise_error(TileLoom::Refusal, /Sheet 4 is called “A2” already/)
  end

  def polygon(ground) =
    TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.polygon([ground.corners + ground.corners.first(2)]))
end
