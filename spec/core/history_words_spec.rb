# frozen_string_literal: true

require "tile_loom"

# What of a document is another, in words, and a change that is taken back below others.
RSpec.describe TileLoom::Document::Differences do
  def part(*names, of: {}) = TileLoom::Document::PartName.of(names, of)

  it "names parts as people do: by titles of entries, units behind a comma" do
    book = {"layers" => [{"id" => "l1", "title" => "Dams", "labels" => [{"id" => "r2", "size_pt" => 7}]}]}
    expect(part("layers", "l1", "labels", "r2", "size_pt", of: book)).to eq("Layers › Dams › Labels › r2 › Size, pt")
    expect(part("layout", "page", "binding_mm")).to eq("Sheet design › Page › Binding, mm")
    expect([part("crs"), part("index", "scale")]).to eq(["CRS", "Index › Scale"])
  end

  it "shows values as a sentence has them" do
    {
      nil => "nothing",
      true => "on",
      2.50 => "2.5",
      "#1b1b1b" => "“#1b1b1b”",
      [1.0, 2.5] => "1, 2.5",
      [{"a" => 1}] => "1 entry",
      {"title" => "Dams", "rules" => []} => "“Dams”",
      {"width_mm" => 0.30} => "Width, mm 0.3",
      "a" * 90 => "“#{"a" * 59}…”"
    }.each { |value, words| expect(TileLoom::Document::PartName.value(value)).to eq(words) }
  end

  it "lists what came, went, moved and changed, with both values" do
    before = {"title" => "A", "layers" => [{"id" => "a", "title" => "Peat"}, {"id" => "b", "title" => "Dams"}]}
    after = {
      "title" => "B",
      "layers" => [{"id" => "b", "title" => "Dams"}, {"id" => "c", "title" => "Hags"}],
      "date" => ""
    }
    expect(described_class.new(before, after).to_a.map { |one| one.to_h.compact }).to contain_exactly(
      {part: "Title", what: "changed", before: "“A”", after: "“B”"},
      {part: "Layers › Peat", what: "removed", before: "“Peat”"},
      {part: "Layers › Hags", what: "added", after: "“Hags”"},
      {part: "Date", what: "added", after: "“”"}
    )
    turned = before.merge("layers" => before["layers"].reverse)
    expect(described_class.new(before, turned).to_a.map(&:what)).to eq(["moved"])
  end
end

RSpec.describe TileLoom::Document::TakenBack do
  layers = ->(*entries) { {"title" => "Moss", "layers" => entries} }
  dams, peat = {"id" => "dams", "colour" => "blue"}, {"id" => "peat", "colour" => "brown"}

  def taken_back(before, after, now)
    ways = [[before, after], [after, before]].map { |one, other| TileLoom::Document::Operations.between(one, other) }
    described_class.new(*ways).applied(now, label: "Change")
  end

  it "leaves what others changed since" do
    before, after = layers.call(dams, peat), layers.call(dams.merge("colour" => "red"), peat)
    now = layers.call({"id" => "hags"}, dams.merge("colour" => "red", "width" => 2)).merge("title" => "Other")
    expect(taken_back(before, after, now)).to eq(
      layers.call({"id" => "hags"}, dams.merge("width" => 2)).merge("title" => "Other")
    )
    expect(taken_back(layers.call(dams), layers.call(dams, peat), layers.call(peat))).to eq(layers.call)
    expect(taken_back(layers.call(dams, peat), layers.call(dams), layers.call)).to eq(layers.call(peat))
    expect(taken_back(layers.call(dams, peat), layers.call(peat, dams), layers.call(peat, dams))).to eq(
      layers.call(dams, peat)
    )
  end

  it "is refused where someone changed the same, with both values" do
    red, green = dams.merge("colour" => "red"), dams.merge("colour" => "green")
    [
      [layers.call(dams), layers.call(red), layers.call(green), /left “Layers › dams › Colour” at “red”.*“green”/],
      [layers.call(dams), layers.call(red), layers.call(peat), /“Layers › dams › Colour” was removed by someone else/],
      [layers.call(peat), layers.call(dams, peat), layers.call(green, peat), /left “Layers › dams” at .*blue.*green/],
      [layers.call(dams), layers.call, layers.call(green), /left “Layers › dams” at nothing.*set it to .*green/],
      [layers.call(dams, peat), layers.call(peat, dams), layers.call(peat), /“Layers › dams” was removed/],
      [layers.call(dams), layers.call(red), {"title" => "x"}, /“Layers › Dams › Colour” was removed/]
    ].each { |*states, words| expect { taken_back(*states) }.to raise_error(TileLoom::Refusal, words) }
  end
end
