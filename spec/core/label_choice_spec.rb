# frozen_string_literal: true

# The choice of places against every way in which labels may stand.
RSpec.describe TileLoom::Labelling::Selection do
  # The eight places round points on a piece of paper on which they are crowded; each label 10 × 3.
  def crowd(random)
    count = 3 + random.rand(7)
    room = 14 + random.rand(12)
    offsets = [[0, -1], [-1, -1], [-1, 0], [0, 0], [0, -0.5], [-0.5, -1], [-1, -0.5], [-0.5, 0]]
    Array.new(count) do
      x, y = random.rand * room, random.rand * room * 0.6
      offsets.map { |dx, dy| [x + dx * 10, y + dy * 3, x + dx * 10 + 10, y + dy * 3 + 3] }
    end
  end

  def overlaps(rectangles)
    all = rectangles.flatten(1)
    (0...all.length)
      .to_a
      .combination(2)
      .select do |one, other|
        next if one / 8 == other / 8
        a, b = all[one], all[other]
        a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3]
      end
  end

  # How many can be placed at the most, by trying all: independent of the engine, over bit masks.
  def most(count, touching)
    blocks = Array.new(count * 8, 0)
    touching.each do |one, other|
      blocks[one] |= 1 << other
      blocks[other] |= 1 << one
    end
    best = 0
    try = ->(label, taken, placed) do
      next if placed + count - label <= best
      next best = placed if label == count
      8.times do |place|
        try[label + 1, taken | blocks[label * 8 + place], placed + 1] if taken[label * 8 + place].zero?
      end
      try[label + 1, taken, placed]
    end
    try[0, 0, 0]
    best
  end

  it "places as many of up to nine labels as can be placed, in 300 random cases" do
    random = Random.new(18)
    short =
      Array.new(300) do
        rectangles = crowd(random)
        touching = overlaps(rectangles)
        count = rectangles.length
        choice =
          described_class.new(
            unplaced_costs: [800] * count,
            costs: [(0..7).map { |place| place * 4 }] * count,
            touching: touching
          ).solve
        taken = choice.chosen.compact
        expect(touching.none? { |one, other| taken.include?(one) && taken.include?(other) }).to be(true)
        expect(choice.total).to eq(choice.chosen.sum { |place| place ? place % 8 * 4 : 800 })
        most(count, touching) - choice.placed
      end
    expect(short.max).to be <= 1
    expect(short.count(0)).to be >= 294
  end

  it "finds the same whatever was found before it, and keeps what it is given to start from" do
    rectangles = crowd(Random.new(4))
    touching = overlaps(rectangles)
    given = {unplaced_costs: [800] * rectangles.length, costs: [(0..7).map { |place| place * 4 }] * rectangles.length}
    first = described_class.new(**given, touching: touching).solve.chosen
    expect(described_class.new(**given, touching: touching.reverse).solve.chosen.compact.length).to eq(
      first.compact.length
    )
    expect(Array.new(3) { described_class.new(**given, touching: touching).solve.chosen }.uniq).to eq([first])
    held = {0 => 6}
    expect(described_class.new(**given, touching: [], held: held).solve.chosen[0]).to eq(6)
  end

  it "loses the label that is worth least" do
    choice =
      described_class.new(
        unplaced_costs: [400, 1200, 800],
        costs: [[0], [0], [0]],
        touching: [[0, 1], [1, 2], [0, 2]]
      ).solve
    expect(choice.chosen).to eq([nil, 1, nil])
  end
end
