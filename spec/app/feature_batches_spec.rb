# frozen_string_literal: true

require "app_helper"

# Features as they came: what is kept of them in rows of some hundred is what came.
RSpec.describe App::FeatureBatches do
  before { empty_database }

  let(:layer) { App::Layer.find_by!(book_id: kept_book.id, key: "dams") }

  def original(id, attributes)
    wkb = TileLoom::Geometry::Wkb.point(0.5 + id, 2.5)
    TileLoom::Data::FeatureReader::Original.new(id, id, wkb, attributes)
  end

  # Each list of originals comes as a batch.
  def keep(*lists)
    App::FeatureBatch.of(layer).delete_all
    writer, types = described_class.new(layer), TileLoom::Data::AttributeTypes.new
    lists.each do |items|
      batch = TileLoom::Data::PackedBatch.of(items, items.map(&:wkb))
      types.merge(batch.types)
      writer.add(batch)
    end
    writer.finish
    layer.update!(fields: types.to_h, feature_count: lists.sum(&:length))
    App::FeatureBatch.each_kept(layer, shapes: true).to_a
  end

  it "keeps quotes, backslashes and other scripts, and splits what is too much for one statement" do
    stub_const("#{described_class}::LARGEST", 600)
    stub_const("#{described_class}::FEATURES", 2)
    names = ["O'Hara", 'back\\slash "quoted"', "Ωμέγα", "x'); DROP TABLE books; --", "line\nbreak", nil, "last"]
    kept = keep(names.map.with_index(1) { |name, id| original(id, {"name" => name}) })
    expect(kept.map(&:length)).to eq([2, 2, 2, 1])
    expect(kept.flatten.map { |own| own.properties["name"] }).to eq(names)
    expect(kept.flatten.map { |own| TileLoom::Geometry::Wkb.each_run(own.original).first[1] }).to eq(
      (1..7).map { |id| [0.5 + id, 2.5] }
    )
  end

  it "keeps of each the fields that it has, though others come later or in another order" do
    own = [{"a" => 1}, {}, {"b" => true, "a" => nil}, {"c" => 1.5, "b" => "x"}, {"a" => 2, "c" => "ü"}]
    kept =
      keep(*own.each_slice(2).with_index.map { |some, at| some.each_with_index.map { original(2 * at + _2 + 1, _1) } })
    expect(kept.flatten.map(&:properties)).to eq(own)
    expect(kept.flatten.map(&:identity)).to eq([1, 2, 3, 4, 5])
  end

  it "keeps features that have no field at all" do
    expect(keep([original(1, {}), original(9, {})]).flatten.map(&:to_a)).to eq(
      [1, 9].map { |id| [id, {}, TileLoom::Geometry::Wkb.point(0.5 + id, 2.5)] }
    )
  end

  describe "shown as a table" do
    def ids(**asked) = App::AttributeTable.new(layer).page(page: 0, size: 10, **asked)["rows"].map { _1["id"] }

    def total(**asked) = App::AttributeTable.new(layer).page(page: 0, size: 10, **asked)["total"]

    # By hand: numbers by their value, then texts by their numbers and words, what has none last.
    it "are sorted by the database, naturally" do
      values = ["b10", "B2", "10", "9.5", "-3", "1e2", "a", "", nil, "b2x"]
      keep(values.map.with_index(1) { |value, id| original(id, value.nil? ? {} : {"code" => value}) })
      codes = ->(**more) { ids(sort: "code", **more).map { |id| values[id - 1] } }
      expect(codes.call).to eq(["-3", "9.5", "10", "1e2", "", "a", "B2", "b2x", "b10", nil])
      expect(codes.call(descending: true).first(3)).to eq(%w[b10 b2x B2])
    end

    it "come a page at a time from either end, whatever batch they are in" do
      stub_const("#{described_class}::FEATURES", 4)
      keep((1..23).map { |id| original(id, {"n" => 100 - id}) })
      all = (1..23).to_a
      [all, all.reverse].zip([false, true]) do |order, descending|
        pages = (0..3).map { |page| ids(page: page, size: 7, descending: descending) }
        expect(pages).to eq([order[0, 7], order[7, 7], order[14, 7], order[21, 7]])
      end
      expect(ids(page: 9)).to eq([])
      expect(ids(sort: "n", size: 3, page: 1)).to eq([20, 19, 18])
      expect(ids(sort: "no such", size: 3)).to eq([1, 2, 3])
      expect([ids(only: [22, 3, 90]), total(only: [22, 3, 90])]).to eq([[3, 22], 2])
    end

    it "are found by what their values say, and not by names of fields or their numbers" do
      keep([original(17, {"name" => 'Ben "Mòr"'}), original(18, {"name" => "50 % peat_moss"}), original(19, {})])
      found = {"17" => [], "name" => [], 'n "m' => [17], "MÒR" => [17], "0 %" => [18], "peat%m" => [], "t_m" => [18]}
      expect(found.keys.to_h { |text| [text, ids(search: text)] }).to eq(found)
      expect(total(search: "e")).to eq(2)
    end

    it "are filtered and sorted at once" do
      keep((1..9).map { |id| original(id, {"n" => id, "odd" => id.odd?}) })
      condition = TileLoom::Conditions::Condition.new({"op" => ">", "args" => [{"property" => "n"}, 4]}, path: "/when")
      asked = {sort: "n", descending: true, condition: condition}
      expect([ids(**asked), ids(size: 2, page: 1, **asked), total(**asked)]).to eq([[9, 8, 7, 6, 5], [7, 6], 5])
      expect(ids(condition: condition, search: "true", sort: "n")).to eq([5, 7, 9])
      in_order = [false, true].map { |descending| ids(condition: condition, descending: descending, size: 3) }
      expect(in_order).to eq([[5, 6, 7], [9, 8, 7]])
    end
  end
end
