# frozen_string_literal: true

RSpec.describe TileLoom::Index::Neighbours do
  def cell(number, x, y, width: 100.0, height: 60.0, turn: 0.0) = turned_cell(number, x, y, width, height, turn)

  def names(cells, number)
    list = described_class.new(cells)
    list.of(cells.find { |known| known.number == number }).transform_values(&:name)
  end

  # Nine cells, three by three, numbered row by row from the north-west (facts of geometry).
  def nine(dx: 95.0, dy: 55.0, turn: 0.0)
    angle = turn * Math::PI / 180
    (0..8).map do |index|
      x, y = (index % 3) * dx, -(index / 3) * dy
      cell(index + 1, x * Math.cos(angle) - y * Math.sin(angle), x * Math.sin(angle) + y * Math.cos(angle), turn: turn)
    end
  end

  around_the_middle = {
    "north_west" => "S1",
    "north" => "S2",
    "north_east" => "S3",
    "west" => "S4",
    "east" => "S6",
    "south_west" => "S7",
    "south" => "S8",
    "south_east" => "S9"
  }

  it "knows the eight cells around one, as the sheets show them, however the grid is turned" do
    [0, 30, 90, 200].each { |turn| expect(names(nine(turn: turn), 5)).to eq(around_the_middle) }
    expect(names(nine, 1)).to eq({"east" => "S2", "south_east" => "S5", "south" => "S4"})
  end

  # The cell so many units further east.
  def shifted(cell, by) = cell.with(ground: cell.ground.class.new(*cell.ground.to_a.tap { |members| members[0] += by }))

  it "counts a moved cell where it is, over a small gap too, and not one that is far" do
    moved = nine.tap { |cells| cells[5] = shifted(cells[5], 15) }
    expect(names(moved, 5)).to eq(around_the_middle)
    away = nine.tap { |cells| cells[5] = shifted(cells[5], 60) }
    expect(names(away, 5)).to eq(around_the_middle.except("east"))
    expect(names([cell(1, 0, 0)], 1)).to eq({})
  end

  # Cells of 100 × 60, 95 and 55 apart, overlap by 5: their match lines lie 47.5 and 27.5 from the middle (by hand).
  describe TileLoom::Index::MatchLine do
    def lines(cells, number)
      one = cells.find { |cell| cell.number == number }
      described_class
        .of(one, TileLoom::Index::Neighbours.new(cells).of(one))
        .to_h do |line|
          [line.neighbour.name, line.ends.each_slice(2).map { |place| place.map { |at| at.round(6) } }.sort]
        end
    end

    it "lies in the middle of what two cells share, from side to side, and not towards corners" do
      expect(lines(nine, 5)).to eq(
        {
          "S2" => [[45.0, -27.5], [145.0, -27.5]],
          "S4" => [[47.5, -85.0], [47.5, -25.0]],
          "S6" => [[142.5, -85.0], [142.5, -25.0]],
          "S8" => [[45.0, -82.5], [145.0, -82.5]]
        }
      )
    end

    it "is the same for both, where one was moved too" do
      moved = nine.tap { |cells| cells[5] = shifted(cells[5], -20) }
      expect(lines(moved, 5)["S6"]).to eq([[132.5, -85.0], [132.5, -25.0]])
      expect(lines(moved, 6)["S5"]).to eq([[132.5, -85.0], [132.5, -25.0]])
    end

    it "is there where cells touch, and not over a gap" do
      touching = [cell(1, 0, 0), cell(2, 100, 0)]
      expect(lines(touching, 1)).to eq({"S2" => [[50.0, -30.0], [50.0, 30.0]]})
      expect(lines([cell(1, 0, 0), cell(2, 110, 0)], 1)).to eq({})
    end

    it "is drawn between cells of one row or column, wherever they lie" do
      placed = ->(number, row, column, x, y) { cell(number, x, y).with(row: row, column: column) }
      south_east = ->(row, column) { lines([placed[1, 0, 0, 0, 0], placed[2, row, column, 90, -50]], 1).keys }
      expect([south_east[0, 1], south_east[1, 0], south_east[1, 1], south_east[0, 2], south_east[2, 0]]).to eq(
        [%w[S2], %w[S2], [], [], []]
      )
    end

    # Turned by 30° and 150 apart along their row: square to the row, in the middle between them.
    it "follows the turn of cells that are turned alike, and the way between those that are not" do
      turned = nine(turn: 30.0)
      angle = Math::PI / 6
      x, y =
        [142.5, -55.0].then do |u, v|
          [u * Math.cos(angle) - v * Math.sin(angle), u * Math.sin(angle) + v * Math.cos(angle)]
        end
      ends = lines(turned, 5)["S6"]
      expect(ends.transpose.map { |values| (values.sum / 2).round(6) }).to eq([x.round(6), y.round(6)])
      expect(Math.atan2(ends[1][0] - ends[0][0], ends[0][1] - ends[1][1])).to be_within(1e-7).of(angle)
      other = [cell(1, 0, 0), cell(2, 90, 10, turn: 20.0)].then { |cells| lines(cells, 1)["S2"] }
      expect((other[1][0] - other[0][0]) * 90 + (other[1][1] - other[0][1]) * 10).to be_within(1e-3).of(0)
    end
  end

  # Property: whoever has another in a direction is the other's in the opposite one.
  it "is mutual for cells anywhere, turned anyhow" do
    random = Random.new(7)
    20.times do
      cells =
        (1..40).map do |number|
          cell(number, random.rand * 500, random.rand * 400, turn: random.rand * 360, width: 60 + random.rand * 60)
        end
      list = described_class.new(cells)
      cells.each do |one|
        list
          .of(one)
          .each do |direction, other|
            opposite = described_class::DIRECTIONS[(described_class::DIRECTIONS.index(direction) + 4) % 8]
            expect(list.of(other)[opposite]).to eq(one)
          end
      end
      brute = cells.combination(2).select { |one, other| grown(one).intersects?(grown(other)) }
      expect(list.pairs.map { |pair| pair.map(&:number).sort }.sort).to eq(
        brute.map { |pair| pair.map(&:number).sort }.sort
      )
    end
  end

  # As sheets by feature may lie: none misses those that are nearest.
  it "looks at the nearest where cells lie over one another by the hundred" do
    random = Random.new(3)
    cells = (1..90).map { |number| cell(number, 1000 + random.rand * 40, 5000 + random.rand * 20) }
    pairs = described_class.new(cells).pairs.map { |pair| pair.map(&:number).sort }
    expect(pairs.length).to be < 90 * 89 / 2
    cells.each do |one|
      others = cells - [one]
      nearest =
        others.min_by(40) do |other|
          Math.hypot(other.ground.centre_x - one.ground.centre_x, other.ground.centre_y - one.ground.centre_y)
        end
      expect(nearest.map { |other| [one.number, other.number].sort } - pairs).to eq([])
    end
  end

  # By GEOS, which knows nothing of axes that part rectangles.
  def grown(cell)
    size = 1 + described_class::GAP
    ground = cell.ground
    TileLoom::Geometry::Geos.polygon(
      TileLoom::Geometry::TurnedRectangle.new(
        ground.centre_x,
        ground.centre_y,
        ground.width * size,
        ground.height * size,
        ground.rotation_deg
      ).corners
    )
  end
end
