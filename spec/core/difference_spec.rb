# frozen_string_literal: true

RSpec.describe TileLoom::Data::Difference do
  # Each feature as [fields, what stands for its geometry].
  def sentences(before, after) =
    described_class.new(*[before, after].map { |list| list.map { |row| described_class::Row.new(*row) } }).sentences

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
