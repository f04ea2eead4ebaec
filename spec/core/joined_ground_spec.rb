# frozen_string_literal: true

# Held against GEOS’s own union of all cells.
RSpec.describe TileLoom::Index::JoinedGround do
  # 12 columns and 9 rows, of which some are missing; cells overlap, touch or stand apart by `gap`.
  def grid(turn, gap)
    cos, sin = Math.cos(turn * Math::PI / 180), Math.sin(turn * Math::PI / 180)
    (0...108).filter_map do |place|
      next if [5, 40, 41, 77, 107].include?(place)
      u, v = (place % 12) * (600 + gap), (place / 12) * (400 + gap)
      turned_cell(place, 500_000 + u * cos - v * sin, 6_500_000 + u * sin + v * cos, 600, 400, turn)
    end
  end

  def all(cells) = TileLoom::Geometry::Geos.union(cells.map { |one| one.ground.shape })

  [0, 17.3, -30].product([-25, 0, 10])
    .each do |turn, gap|
      it "is the ground of a grid turned by #{turn}°, #{gap} m apart, in few shapes" do
        cells = grid(turn, gap)
        ground = described_class.new(cells)
        expect(ground.union.sym_difference(all(cells)).area).to be < 1e-3
        # Nine rows, of which the missing cells part three, and end two.
        expect(ground.shapes.length).to eq(gap.positive? ? cells.length : 12)
      end
    end

  it "leaves cells of other heights, places and turns as they are" do
    cells =
      [[0, 0, 600, 400, 0], [500, 1, 600, 400, 0], [900, 0, 600, 401, 0], [300, 0, 600, 400, 5]].map
        .with_index(1) do |(x, y, width, height, turn), number|
          turned_cell(number, 500_000 + x, 6_500_000 + y, width, height, turn)
        end
    ground = described_class.new(cells)
    expect(ground.shapes.length).to eq(4)
    expect(ground.union.sym_difference(all(cells)).area).to be < 1e-3
  end

  it "holds narrow cells of one row within a wide one" do
    cells =
      [[0, 2_000], [-500, 300], [1_100, 300], [1_300, 100]].map
        .with_index(1) { |(x, width), number| turned_cell(number, 500_000 + x, 6_500_000, width, 400, 0) }
    ground = described_class.new(cells)
    expect(ground.shapes.map(&:area)).to eq([2_350 * 400.0])
  end
end
