# frozen_string_literal: true

# What a source of features answers, from which a book is drawn (Data::MemorySource says it in words):
#   features(layer_id, box, detail: nil)   count(layer_id, box)      extent(layer_id)
#   attribute_names(layer_id)              telling_field(layer_id)   raster(layer_id)
#
# Whoever passes it says with `let`: source; layer_id, a layer of at least two features that lie apart and are told
# apart by a field; and, where boxes are answered nearly (as they are between two references), slack: how far off.
RSpec.shared_examples "a source of features" do
  let(:slack) { 0.0 }

  def every = source.features(layer_id, nil)

  def extent_of(feature) = TileLoom::Geometry::Geos.extent([feature.wkb])

  def grown(box, by) = TileLoom::Geometry::Box.new(box.min_x - by, box.min_y - by, box.max_x + by, box.max_y + by)

  def meet?(one, other) =
    one.min_x <= other.max_x && other.min_x <= one.max_x && one.min_y <= other.max_y && other.min_y <= one.max_y

  it "answers features with identities of their own, well-known binary and attributes, in the same order again" do
    expect(every.length).to be >= 2
    expect(every.map(&:id).uniq.length).to eq(every.length)
    expect(every.map(&:attributes)).to all(be_a(Hash))
    expect(every.map { |feature| feature.wkb.encoding }).to all(eq(Encoding::BINARY))
    expect(every.map { |feature| [feature.id, feature.wkb] }).to eq(every.map { |feature| [feature.id, feature.wkb] })
  end

  it "answers those whose box meets a box, and as many as it counts" do
    every.each do |one|
      box = extent_of(one)
      near = every.select { |other| meet?(extent_of(other), grown(box, slack)) }.map(&:id)
      sure = every.select { |other| meet?(extent_of(other), grown(box, -slack)) }.map(&:id)
      found = source.features(layer_id, box).map(&:id)
      expect(sure - found).to eq([])
      expect(found - near).to eq([])
      expect(found).to eq(every.map(&:id) & found)
      expect(source.count(layer_id, box)).to be_between(sure.length, near.length)
    end
    expect(source.count(layer_id, nil)).to eq(every.length)
  end

  it "answers nothing where there is nothing" do
    far = TileLoom::Geometry::Box.new(1.0, 1.0, 2.0, 2.0)
    expect([source.features(layer_id, far), source.count(layer_id, far)]).to eq([[], 0])
  end

  it "may answer coarser shapes where detail is not looked at, but of the same features" do
    coarse = source.features(layer_id, nil, detail: 1e6).map(&:id)
    expect(coarse - every.map(&:id)).to eq([])
    expect(source.features(layer_id, nil, detail: 0.0).map(&:id)).to eq(every.map(&:id))
  end

  it "knows its extent, its attributes, and what tells its features apart" do
    known, found = source.extent(layer_id), TileLoom::Geometry::Geos.extent(every.map(&:wkb))
    expect(known.to_a.zip(found.to_a).map { |one, other| (one - other).abs }.max).to be <= slack + 1e-6
    names = every.flat_map { |feature| feature.attributes.keys }.uniq
    expect(source.attribute_names(layer_id)).to match_array(names)
    field = source.telling_field(layer_id)
    expect(names).to include(field)
    expect(every.map { |feature| feature.attributes[field] }.uniq.length).to eq(every.length)
    expect(source.raster(layer_id)).to be_nil
  end

  it "answers emptily for a layer that it does not have" do
    expect(source.features("no-such-layer", nil)).to eq([])
    expect(source.count("no-such-layer", nil)).to eq(0)
    expect(source.attribute_names("no-such-layer")).to eq([])
    expect(%i[extent telling_field raster].map { |message| source.public_send(message, "no-such-layer") }).to all(
      be_nil
    )
  end
end
