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
