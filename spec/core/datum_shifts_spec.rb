# frozen_string_literal: true

# What brings data to a book's datum, against projinfo of PROJ.
RSpec.describe TileLoom::Document::DatumShifts do
  # On the ground of south Wales, in the British National Grid.
  let(:ground) { TileLoom::Geometry::Box.new(300_000, 180_000, 330_000, 210_000) }
  let(:book) { TileLoom::Document::Book.new(small_settings(reference: "EPSG:27700")) }
  let(:layers) { [%w[Dams EPSG:4326], %w[Walks EPSG:32630], %w[Moss EPSG:27700], %w[Peat EPSG:4258]] }
  let(:shifts) { described_class.new(book, layers: layers, ground: ground) }
  let(:wgs84) { ["Ordnance Survey of Great Britain 1936", "World Geodetic System 1984"] }

  # [name, accuracy in metres] of those made for all of the ground and whose grids are here, as it lists them.
  def projinfo(from, to)
    degrees = TileLoom::Crs::Transform.between(book.crs, book.crs.geographic).box(ground, strict: true).to_a
    outside("projinfo", "-s", from, "-t", to, "--bbox", degrees.join(","), "--summary")
      .lines
      .grep_v(/grid missing|unknown accuracy/)
      .filter_map { |line| line.match(/:\d+, (.+?), ([\d.]+) m, /)&.captures }
      .map { |name, metres| [name, metres.to_f] }
  end

  it "are one for each other datum, with the layers that it brings" do
    expect(shifts.list.map { |shift| shift.values_at("datums", "layers") }).to eq(
      [[wgs84, %w[Dams Walks]], [["European Terrestrial Reference System 1989", wgs84.first], ["Peat"]]]
    )
  end

  it "use the most accurate that is made for the ground, and offer the others" do
    found = shifts.list.first
    known = projinfo("EPSG:4277", "EPSG:4326")
    expect(known.length).to be >= 4
    expect(found.values_at("name", "accuracy_m")).to eq(known.min_by(&:last))
    offered = found["candidates"].map { |candidate| candidate.values_at("name", "accuracy_m") }
    expect(offered).to include(*known)
    expect(offered.first(known.length).map(&:last)).to eq(known.map(&:last).sort)
    expect(found["better"]).to be_nil
  end

  it "tell what would be better than what the book has chosen, and what moves when it changes" do
    chosen = "OSGB36 to WGS 84 (1)"
    settings = small_settings(reference: "EPSG:27700", operations: [{"datums" => wgs84, "name" => chosen}])
    found = described_class.new(TileLoom::Document::Book.new(settings), layers: layers, ground: ground).list.first
    accuracy = projinfo("EPSG:4277", "EPSG:4326").to_h
    expect(found.values_at("name", "accuracy_m")).to eq([chosen, accuracy.fetch(chosen)])
    expect(found["better"]&.values_at("name", "accuracy_m")).to eq(["OSGB36 to WGS 84 (6)", 2.0])
    expect([shifts.offered?(wgs84.reverse, chosen), shifts.offered?(wgs84, "OSGB36 to nowhere")]).to eq([true, false])
    expect([shifts.moves?(wgs84), described_class.new(book, layers: [], ground: ground).moves?(wgs84)]).to eq(
      [true, false]
    )
  end

  it "are none where all is of the book's own datum" do
    expect(described_class.new(book, layers: [%w[Moss EPSG:27700]], ground: nil).list).to eq([])
  end
end
