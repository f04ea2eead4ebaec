# frozen_string_literal: true

require "app_helper"

RSpec.describe App::LayerDifference do
  before { empty_database }

  let(:book) { kept_book }

  def layer(key, *features)
    list =
      features.map do |properties, x|
        {
          "type" => "Feature",
          "properties" => properties,
          "geometry" => {
            "type" => "Point",
            "coordinates" => [x, 58.87]
          }
        }
      end
    App::LayerImport.new(book).keep(
      TileLoom::Data::GeojsonReader.from_text(
        JSON.generate({"type" => "FeatureCollection", "features" => list}),
        target: book.document.crs
      ),
      key: key,
      title: key
    )
  end

  def sentences(before, after) =
    described_class.new(
      layer("before-#{App::Layer.count}", *before),
      layer("after-#{App::Layer.count}", *after)
    ).sentences

  it "knows features again by an attribute that tells them apart, though they moved and changed order" do
    before = [
      [{"name" => "A", "state" => "sound"}, -10.7],
      [{"name" => "B", "state" => "sound"}, -10.6],
      [{"name" => "C", "state" => "sound"}, -10.5]
    ]
    after = [
      [{"name" => "C", "state" => "failed"}, -10.5],
      [{"name" => "D", "state" => "sound"}, -10.4],
      [{"name" => "A", "state" => "sound"}, -10.7]
    ]
    expect(sentences(before, after)).to eq(
      ["1 added, 1 removed, 1 changed, 1 unchanged (matched by name).", "Added: D.", "Removed: B.", "Changed: C."]
    )
  end

  it "prefers a code to a name, and passes over an attribute that repeats or is missing somewhere" do
    before = [
      [{"state" => "sound", "label" => "x", "code" => 1}, -10.7],
      [{"state" => "sound", "label" => "y", "code" => 2}, -10.6]
    ]
    expect(sentences(before, before).first).to include("matched by code")
    gaps = [[{"code" => nil, "label" => "x"}, -10.7], [{"code" => 2, "label" => "y"}, -10.6]]
    expect(sentences(gaps, gaps).first).to include("matched by label")
  end

  it "counts wholes where nothing tells features apart" do
    same = [[{"state" => "sound"}, -10.7], [{"state" => "sound"}, -10.7]]
    expect(sentences(same, [same.first, [{"state" => "failed"}, -10.7]])).to eq(
      ["1 added, 1 removed, 0 changed, 1 unchanged."]
    )
  end

  it "names five and counts the rest" do
    many = (1..9).map { |n| [{"code" => "D#{n}"}, -10.7] }
    expect(sentences([many.first], many)[1]).to eq("Added: D2, D3, D4, D5, D6 and 3 more.")
  end
end

RSpec.describe TileLoom::Data::ReadAhead do
  it "gives what the source gives, in its order, and raises what it raises" do
    expect(described_class.new([[1], [2], [3]].each).to_a).to eq([[1], [2], [3]])
    broken = Enumerator.new { |list| list << [1] and raise TileLoom::Invalid, "torn" }
    seen = []
    expect { described_class.new(broken).each { |batch| seen << batch } }.to invalid(/torn/)
    expect(seen).to eq([[1]])
  end

  it "stops the source when the reader leaves early, and reads no further ahead than it may" do
    read = 0
    endless = Enumerator.new { |list| loop { list << (read += 1) } }
    described_class.new(endless).each { |number| break if number == 2 }
    before = read
    sleep 0.05
    expect(read).to eq(before)
    expect(read).to be <= 2 + described_class::MOST_WAITING + 2
  end
end

RSpec.describe App::FeatureRows do
  before { empty_database }

  it "keeps quotes, backslashes and other scripts, and splits what is too much for one statement" do
    stub_const("App::FeatureRows::LARGEST", 600)
    book = kept_book
    names = ["O'Hara", 'back\\slash "quoted"', "Ωμέγα", "x'); DROP TABLE features; --", "line\nbreak", nil]
    features =
      names.each_with_index.map do |name, n|
        TileLoom::Data::Feature.new(
          id: n + 1,
          wkb: TileLoom::Geometry::Wkb.point(1.5 + n, 2.5),
          attributes: {
            "name" => name
          }
        )
      end
    layer = App::Layer.find_by!(book_id: book.id, key: "dams")
    App::Feature.where(layer_id: layer.id).delete_all
    described_class.insert(layer, features.map { |feature| [feature, feature] })
    kept = App::Feature.where(layer_id: layer.id).order(:identity)
    expect(kept.map { |row| row.properties["name"] }).to eq(names)
    expect(kept.map { |row| TileLoom::Geometry::Wkb.each_run(row.shape).first[1] }).to eq(
      (0..5).map { |n| [1.5 + n, 2.5] }
    )
    expect(kept.first.original.to_s.b).to eq(features.first.wkb)
  end
end
