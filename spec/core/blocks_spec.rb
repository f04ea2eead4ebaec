# frozen_string_literal: true

# Features packed in blocks: what comes out is what went in, and a window finds just those whose box meets it.
RSpec.describe TileLoom::Data::BlockBuilder do
  def square(x, y, side) = TileLoom::Geometry::Wkb.box(TileLoom::Geometry::Box.new(x, y, x + side, y + side))

  let(:random) { Random.new(7) }
  let(:features) do
    (1..2_000).map do |id|
      attributes = {"name" => "N#{id}", "n" => id, "share" => id / 3.0, "none" => nil}
      attributes = {"n" => id, "other" => ["a", nil, true][id % 3]} if (id % 500).zero?
      [id, square(random.rand * 1000, random.rand * 700, random.rand * 5), attributes]
    end
  end
  def all_built(**options)
    builder = described_class.new(**options)
    features.shuffle(random: Random.new(1)).each { |feature| builder.add(*feature) }
    builder.each.to_a
  end

  let(:built) { all_built }
  let(:blocks) { built.map { |block| TileLoom::Data::Block.new(block.bytes) } }

  it "gives back each feature with the fields that it had, in the order that is asked for" do
    found = blocks.flat_map { |block| block.features(nil) }.sort_by(&:id)
    expect(found.map { |feature| [feature.id, feature.wkb, feature.attributes] }).to eq(features)
  end

  it "finds in a window those whose box meets it, touching counts" do
    boxes = features.to_h { |id, wkb, _| [id, TileLoom::Geometry::Wkb.extent([wkb])] }
    window =
      boxes.fetch(10).then { |box| TileLoom::Geometry::Box.new(box.max_x, box.min_y, box.max_x + 90, box.min_y + 60) }
    found = blocks.flat_map { |block| block.features(window) }
    expect(found.map(&:id)).to match_array(boxes.select { |_, box| box.intersects?(window) }.keys)
    expect(found.map(&:id)).to include(10)
    expect(blocks.sum { |block| block.count_in(window) }).to eq(found.length)
    expect(found.map(&:sides)).to eq(found.map { |feature| boxes[feature.id].to_a })
  end

  it "puts together what lies together: blocks overlap little, and their boxes hold their features" do
    expect(built.map(&:number)).to eq((0...built.length).to_a)
    expect(built.map(&:count)).to all(be <= TileLoom::Data::Block::FEATURES)
    # Four or five blocks of 2,000 features over 1000 × 700: at random each would reach over all of it.
    expect(built.sum { |block| block.box.width * block.box.height }).to be < 2 * 1000 * 700
  end

  it "has some of a large layer's features, spread as all are, by themselves" do
    stub_const("#{described_class}::MANY", 1_000)
    stub_const("#{described_class}::SOME", 100)
    some = built.select { |block| block.level == described_class::FEW }
    expect(some.sum(&:count)).to eq(100)
    west =
      some.flat_map do |block|
        TileLoom::Data::Block.new(block.bytes).features(TileLoom::Geometry::Box.new(0, 0, 500, 705))
      end
    expect(west.length).to be_between(35, 65)
  end

  it "builds the same blocks in several processes, in the same order" do
    stub_const("#{described_class}::MANY_TO_SHARE", 1_000)
    stub_const("#{described_class}::MANY", 1_000)
    expect(TileLoom::Data::SharedReading).to receive(:new).with(3).and_call_original
    expect(all_built(processes: 3)).to eq(built)
  end

  it "passes over what has no place, and holds values of any length" do
    builder = described_class.new
    builder.add(1, TileLoom::Geometry::Wkb.collection(7, []), {})
    builder.add(2, TileLoom::Geometry::Wkb.point(1, 2), {"text" => "Ω" * 5_000})
    found = builder.each.flat_map { |block| TileLoom::Data::Block.new(block.bytes).features(nil) }
    expect(found.map { |feature| [feature.id, feature.attributes["text"].length] }).to eq([[2, 5_000]])
    expect(builder.box.to_a).to eq([1, 2, 1, 2])
  end
end

# Cut and thinned many at a time or one by one: the same, to the last bit.
RSpec.describe TileLoom::View::Cutting do
  def demand_the_same(features, window)
    [0.05, 0.5, 20, nil].each do |tolerance|
      found = described_class.new(features, window, tolerance).enum_for(:each).to_a
      expect(found.map(&:first)).to eq(features)
      alone =
        features.map do |feature|
          [].tap { |runs| TileLoom::View::Clipping.new(feature.wkb, window, tolerance).each_run { |*run| runs << run } }
        end
      expect(found.map(&:last)).to eq(alone)
    end
  end

  it "gives of lines what GEOS gives of each by itself, of closed ones, too, and of one that stays in one place" do
    random = Random.new(5)
    features =
      (1..300).map do |id|
        x, y, heading = random.rand * 110 - 5, random.rand * 110 - 5, random.rand * 6.3
        course =
          (0...[2, 6, 7, 40][id % 4]).flat_map do
            heading += random.rand - 0.5
            [x += Math.cos(heading) * 0.4, y += Math.sin(heading) * 0.4]
          end
        course += course.first(2) if (id % 5).zero?
        course = [50.0, 60.0] * 9 if id == 50
        TileLoom::Data::Feature.new(id: id, wkb: TileLoom::Geometry::Wkb.line(course), attributes: {})
      end
    demand_the_same(features, TileLoom::Geometry::Box.new(0, 0, 100, 100))
  end

  it "gives of small areas what GEOS gives of each by itself" do
    random = Random.new(3)
    features =
      (1..400).map do |id|
        x, y, size = random.rand * 110 - 5, random.rand * 110 - 5, 0.02 + random.rand * 3
        ring =
          (0...[3, 4, 6, 12][id % 4]).flat_map do |n|
            (n * 6.2832 / [3, 4, 6, 12][id % 4]).then { |a| [x + Math.cos(a) * size, y + Math.sin(a) * size] }
          end
        TileLoom::Data::Feature.new(
          id: id,
          wkb: TileLoom::Geometry::Wkb.polygon([ring + ring.first(2)]),
          attributes: {}
        )
      end
    demand_the_same(features, TileLoom::Geometry::Box.new(0, 0, 100, 100))
  end
end
