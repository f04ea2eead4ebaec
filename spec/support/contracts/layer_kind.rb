# frozen_string_literal: true

# What a kind of layer answers (Symbology::LayerKind): what its shapes are in well-known binary, what they are drawn
# with, and the symbol that a new layer begins with. kind: the class, with `let`.
RSpec.shared_examples "a kind of layer" do
  let(:room) { TileLoom::Symbology::LayerKinds }
  let(:symbol) { TileLoom::Symbology::MapSymbol.new(kind.symbol("#123456")) }

  include_examples "a declared kind"

  it "has shapes of well-known binary to itself" do
    others = room.all.values - [kind]
    expect(kind.types).to all(be_between(1, 17))
    expect(others.flat_map(&:types) & kind.types).to eq([])
    kind.types.each { |type| expect(room.of_types([type])).to be(kind) }
  end

  it "begins with a symbol that has what it is drawn with, in the colour that is asked for" do
    expect(symbol.marker.nil?).to be(!kind.markers?)
    expect(symbol.area?).to be(kind.fills?)
    expect(symbol.strokes.any?).to be(true) if kind.strokes?
    expect(JSON.generate(symbol.given)).to include("#123456")
    shape = {"type" => "object", "properties" => {"symbol" => TileLoom::Document::Schema.definition("symbol")}}
    expect(shape["properties"]["symbol"]["properties"].keys).to include(*symbol.given.keys)
  end
end
