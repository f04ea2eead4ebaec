# frozen_string_literal: true

# Scales at which an area makes a handy book; sheets are counted here by hand, of areas that fill their grid.
RSpec.describe TileLoom::Document::ScaleProposal do
  # An upright area of so many metres, with a frame of 400 × 300 mm.
  def proposal(width, height, **more)
    area = TileLoom::Index::StudyArea.new([rectangle(400_000, 6_500_000, 400_000 + width, 6_500_000 + height)])
    described_class.new(
      area: area,
      frame: TileLoom::Geometry::Box.new(0, 0, 400, 300),
      crs: TileLoom::Crs::System.find("EPSG:25829"),
      **more
    )
  end

  # Without overlap at 1:S a sheet is 0.4 S × 0.3 S metres.
  def sheets(width, height, scale) = [width / (0.4 * scale), height / (0.3 * scale)].map(&:ceil).reduce(:*)

  it "counts what each scale would take, between its neighbours" do
    list = proposal(9_990, 7_490, overlap_mm: 0).list
    expect(list.map(&:count)).to eq(list.map { |entry| sheets(9_990, 7_490, entry.scale) })
    expect(list.map(&:scale)).to eq(list.map(&:scale).sort)
    expect(list.length).to eq(3)
  end

  it "proposes a book that can be carried, whatever the size of the area" do
    [300, 2_000, 10_000, 80_000, 600_000].each do |width|
      best = proposal(width, width * 0.7, overlap_mm: 0).best
      expect(best.count).to be_between(6, 60), "#{width} m: #{best.to_a}"
      expect(TileLoom::Index::StandardScales::ALL).to include(best.scale)
    end
  end

  it "needs more sheets where they overlap" do
    plain, lapped = [0, 40].map { |overlap| proposal(9_990, 7_490, overlap_mm: overlap) }
    scale = plain.best.scale
    counts = [plain, lapped].map { |one| one.list.find { |entry| entry.scale == scale }&.count }
    expect(counts.compact.length).to eq(2)
    expect(counts[1]).to be > counts[0]
  end

  it "leaves uncounted what would be too many" do
    stub_const("#{described_class}::MOST_PLACES", 40)
    list = proposal(9_990, 7_490, overlap_mm: 0).list
    expect(list.first.count).to be_nil
    expect(list.last.count).to be_between(1, 60)
  end
end
