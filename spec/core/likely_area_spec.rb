# frozen_string_literal: true

RSpec.describe TileLoom::Document::LikelyArea do
  def layer(name, areas, count, sides) =
    described_class::Candidate.new(name, areas, count, sides && TileLoom::Geometry::Box.new(*sides))

  let(:buildings) { layer("buildings", true, 300_000, [1, 1, 9, 9]) }
  let(:roads) { layer("roads", false, 4_000, [-0.2, 0.5, 9.5, 10.3]) }
  let(:district) { layer("district", true, 1, [0, 0, 10, 10]) }

  # Common practice: a district, a park, a concession is what a map book covers, not what stands in it.
  it "is the areas that hold the rest, wherever they stand in the file, though a road runs a little out of them" do
    expect(described_class.of([buildings, roads, district])).to eq("district")
    expect(described_class.of([layer("wards", true, 12, [0, 0, 10, 10]), buildings, district])).to eq("district")
  end

  it "is the only areas, else what there is" do
    expect(described_class.of([roads, buildings])).to eq("buildings")
    expect(described_class.of([roads, layer("nothing", true, 0, [0, 0, 10, 10])])).to eq("roads")
    expect(described_class.of([buildings, layer("far", true, 3, [40, 40, 41, 41]), roads])).to eq("buildings")
    expect(described_class.of([layer("somewhere", true, 3, nil)])).to eq("somewhere")
    expect(described_class.of([])).to be_nil
  end
end
