# frozen_string_literal: true

RSpec.describe TileLoom::Compose::ShownFeature do
  def feature(id, ring) =
    TileLoom::Data::Feature.new(
      id: id,
      wkb: TileLoom::Geometry::Wkb.polygon([ring.map(&:to_f)]),
      attributes: {
        "name" => "part #{id}"
      }
    )

  # Whatever the box asks for, as a source may answer by the boxes round its features.
  def shown(features, cell_feature: nil)
    area = Struct.new(:list) { def by_layer(_, _) = list.map { |one| ["moss", one] } }.new(features)
    ground = TileLoom::Geometry::TurnedRectangle.new(5, 5, 10, 10, 0)
    described_class.new(area, nil, Struct.new(:ground, :feature).new(ground, cell_feature))
  end

  it "is that of which the sheet shows most, among those that it shows at all" do
    # Round two sides of the sheet: the box round it holds the sheet, which shows nothing of it.
    round = feature(1, [-20, -20, 30, -20, 30, -10, -10, -10, -10, 30, -20, 30, -20, -20])
    corner = feature(2, [8, 8, 12, 8, 12, 12, 8, 12, 8, 8])
    half = feature(3, [0, 0, 5, 0, 5, 10, 0, 10, 0, 0])
    expect(shown([round]).found).to be_nil
    expect(shown([round]).attributes).to eq({})
    expect(shown([round, corner, half]).attributes).to eq({"name" => "part 3"})
    expect(shown([round, corner, half], cell_feature: 2).own?).to be(true)
  end
end
