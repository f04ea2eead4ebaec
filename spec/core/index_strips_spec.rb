# frozen_string_literal: true

RSpec.describe TileLoom::Index::Strip do
  # A frame of 220 × 120 mm at 1:1,000, the line 10 mm inside: 200 × 100 m of room.
  let(:size) do
    TileLoom::Index::CellSize.new(
      frame_width_mm: 220,
      frame_height_mm: 120,
      scale: 1000,
      crs: TileLoom::Crs::System.find("EPSG:25829")
    )
  end

  def line(points, id: 1) =
    TileLoom::Data::Feature.new(id: id, wkb: TileLoom::Geometry::Wkb.line(points.flatten.map(&:to_f)), attributes: {})

  def strip(**options) = described_class.new(size: size, lead_mm: 10, overlap_mm: 20, **options)

  def generated(features, gap: 0.0, reverse: false, **options) =
    strip(**options).cells(TileLoom::Index::Chain.of(features, gap: gap, reverse: reverse))

  def shapes(cells) = cells.map { |cell| TileLoom::Geometry::Geos.polygon(cell.ground.corners) }

  # Each place of the lines is on a sheet, and 10 m inside its sides.
  def expect_followed(cells, features)
    inner =
      cells.map do |cell|
        cell.ground.dup.tap do |ground|
          ground.width, ground.height = ground.width - 20 + 1e-6, ground.height - 20 + 1e-6
        end
      end
    cover = TileLoom::Geometry::Geos.union(inner.map { |ground| TileLoom::Geometry::Geos.polygon(ground.corners) })
    expect(
      TileLoom::Geometry::Geos
        .union(features.map { |feature| TileLoom::Geometry::Geos.read(feature.wkb) })
        .difference(cover)
        .length
    ).to be < 1e-6
  end

  # By hand: the first sheet shows 200 m, each other 180 m more; 1,000 m take 1 + 800 / 180, that is 6.
  it "takes the number of sheets that can be worked out by hand along a straight line, evenly" do
    [[[0, 0], [1000, 0]], [[0, 0], [600, 800]], [[0, 0], [0, -1000]]].each do |ends|
      cells = generated([line(ends)])
      expect(cells.length).to eq(6)
      expect_followed(cells, [line(ends)])
      gaps =
        cells
          .each_cons(2)
          .map do |one, other|
            Math.hypot(other.ground.centre_x - one.ground.centre_x, other.ground.centre_y - one.ground.centre_y)
          end
      expect(gaps.max - gaps.min).to be < 0.5
    end
    expect(generated([line([[0, 0], [200, 0]])]).length).to eq(1)
    expect(generated([line([[0, 0], [200.5, 0]])]).length).to eq(2)
    expect(generated([line([[0, 0], [30, 0]])]).length).to eq(1)
  end

  # By hand: a chord of 200 m in a circle of 500 m radius rises 10.1 m and spans an arc of 2·500·asin 0.2 =
  # 201.4 m; the circle of 3,141.6 m takes 1 + (3,141.6 − 201.4) / 181.4, that is 18.
  it "goes round a circle, turned to follow it" do
    ring = (0..720).map { |half| angle = half * Math::PI / 360 and [500 * Math.cos(angle), 500 * Math.sin(angle)] }
    cells = generated([line(ring)])
    expect(cells.length).to eq(18)
    expect_followed(cells, [line(ring)])
    expect_even_turns(cells, 25)
  end

  # Half a turn between neighbours would put a reader's map upside down (common practice: one sense along a strip).
  def expect_even_turns(cells, most)
    changes =
      cells
        .map { |cell| cell.ground.ccw_deg }
        .each_cons(2)
        .map { |one, other| TileLoom::Units::Angle.wrapped(other - one).abs }
    expect(changes.max).to be <= most
  end

  it "turns frames of a strip in one sense where the route passes the upright, north up on most of them or read " \
       "along it" do
    # A bow from 60° to 140° against the easting.
    bow =
      (0..80).reduce([[0.0, 0.0]]) do |points, n|
        angle = (60 + n) * Math::PI / 180 and
          points + [[points.last[0] + 20 * Math.cos(angle), points.last[1] + 20 * Math.sin(angle)]]
      end
    [bow, bow.reverse].each do |points|
      cells = generated([line(points)])
      expect_even_turns(cells, 45)
      expect_followed(cells, [line(points)])
      expect(cells.sum { |cell| Math.cos(cell.ground.ccw_deg * Math::PI / 180) }).to be >= 0
    end
    west = [[0, 0], [-900, 0]]
    chain = ->(points) { TileLoom::Index::Chain.new(points.flatten.map(&:to_f)) }
    expect(strip.cells([chain[west]]).map { |cell| cell.ground.ccw_deg }.uniq).to eq([0.0])
    expect(strip(upward: "route").cells([chain[west]]).map { |cell| cell.ground.ccw_deg.abs }.uniq).to eq([180.0])
    expect(strip(upward: "route").cells([chain[[[0, 0], [0, -900]]]]).map { |cell| cell.ground.ccw_deg }.uniq).to eq(
      [-90.0]
    )
  end

  # Teeth of 80 m height fit across the frame's 100 m, so that the zigzag of 600 m takes what a straight line
  # of 600 m does, but for what the last tooth sticks out: 4 sheets.
  it "goes straight through a zigzag that fits across the frame" do
    teeth = (0..30).map { |index| [index * 20, index.odd? ? 80 : 0] }
    cells = generated([line(teeth)])
    expect(cells.length).to be_between(4, 5)
    expect_followed(cells, [line(teeth)])
  end

  it "turns at sharp bends and goes round loops" do
    bend = [[0, 0], [400, 0], [400, 20], [10, 20], [10, 400]]
    loop_ = [
      [0, 0],
      [300, 0],
      *(0..40).map { |i| angle = i * Math::PI / 20 and [300 + 30 * Math.sin(angle), 30 - 30 * Math.cos(angle)] },
      [700, 0]
    ]
    [bend, loop_].each { |points| expect_followed(generated([line(points)]), [line(points)]) }
  end

  it "never turns frames that may not be turned, and holds a limit" do
    wave = (0..200).map { |x| [x * 5, 200 * Math.sin(x / 15.0)] }
    flat = generated([line(wave)], maximum_rotation_deg: 0)
    expect(flat.map { |cell| cell.ground.ccw_deg }.uniq).to eq([0.0])
    expect_followed(flat, [line(wave)])
    limited = generated([line(wave)], maximum_rotation_deg: 20)
    expect(limited.map { |cell| cell.ground.ccw_deg.abs }.max).to be <= 20
    expect_followed(limited, [line(wave)])
    expect(generated([line(wave)]).length).to be <= flat.length
  end

  it "joins lines end to end, bridges gaps when asked, follows branches one by one, and goes the other way" do
    pieces = [line([[300, 0], [600, 0]]), line([[0, 0], [300, 0]], id: 2), line([[600, 0], [900, 0]], id: 3)]
    chains = TileLoom::Index::Chain.of(pieces)
    expect([chains.length, chains.first.length, chains.first.points.first]).to eq([1, 900.0, [0.0, 0.0]])
    expect(TileLoom::Index::Chain.of(pieces, reverse: true).first.points.first).to eq([900.0, 0.0])
    apart = [line([[0, 0], [300, 0]]), line([[340, 0], [700, 0]], id: 2)]
    expect([TileLoom::Index::Chain.of(apart).length, TileLoom::Index::Chain.of(apart, gap: 50.0).map(&:length)]).to eq(
      [2, [700.0]]
    )
    fork = [line([[0, 0], [500, 0]]), line([[500, 0], [900, 300]], id: 2), line([[500, 0], [900, -300]], id: 3)]
    cells = generated(fork)
    expect(cells.map(&:row).uniq).to eq([0, 1, 2])
    expect_followed(cells, fork)
  end

  it "refuses a lead or an overlap that leaves nothing of the frame" do
    expect { described_class.new(size: size, lead_mm: 60) }.to invalid(
      /clearance of 60 mm leaves nothing/,
      path: "/index/clearance_mm"
    )
    expect { described_class.new(size: size, lead_mm: 10, overlap_mm: 99) }.to invalid(
      /overlap of 99 mm leaves nothing/
    )
  end

  # Both sheets draw the same ground line, square to the way from one to the other, where they overlap.
  it "parts neighbours by match lines that both share" do
    ring = (0..180).map { |degree| angle = degree * Math::PI / 180 and [500 * Math.cos(angle), 500 * Math.sin(angle)] }
    cells = generated([line(ring)])
    neighbours = TileLoom::Index::Neighbours.new(cells)
    cells.each_cons(2) do |one, other|
      mine = TileLoom::Index::MatchLine.of(one, neighbours.of(one)).find { |match| match.neighbour == other }
      theirs = TileLoom::Index::MatchLine.of(other, neighbours.of(other)).find { |match| match.neighbour == one }
      x1, y1, x2, y2 = mine.ends
      a1, b1, a2, b2 = theirs.ends
      [[a1, b1], [a2, b2]].each do |x, y|
        expect(((x2 - x1) * (y - y1) - (y2 - y1) * (x - x1)).abs / Math.hypot(x2 - x1, y2 - y1)).to be < 1e-6
      end
      # The line crosses the curve it was generated along: a place of the circle lies on either side of it.
      middle = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.line(mine.ends))
      expect(middle.intersects?(TileLoom::Geometry::Geos.read(line(ring).wkb))).to be(true)
    end
  end
end
