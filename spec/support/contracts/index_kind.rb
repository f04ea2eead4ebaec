# frozen_string_literal: true

# What a kind of index answers (Index::Generators::Generator): `cells` with [cells, the names that they bring along or
# nil], the `area` that they cover, and `notes`. kind: the class, with `let`; index: an Index::Spec of that kind;
# source: of its study area; crs.
RSpec.shared_examples "a kind of index" do
  let(:room) { TileLoom::Index::Generators }
  let(:frame) { TileLoom::Geometry::Box.at(0, 0, 200, 150) }

  include_examples "a declared kind"

  def generator = kind.new(index, crs: crs, frame: frame, source: source)

  it "makes cells that cover something of the area, the same again" do
    one, other = generator, generator
    cells, names = one.cells
    expect(cells).not_to be_empty
    expect(cells).to all(be_a(TileLoom::Index::Cell))
    expect(cells.map(&:scale)).to all(be > 0)
    area = one.area
    expect(cells).to all(satisfy { |cell| area.meets?(cell.ground) })
    expect(names).to be_nil.or have_attributes(length: cells.length)
    expect(other.cells).to eq([cells, names])
    expect(one.notes).to all(be_a(String))
  end

  it "names and orders its cells in ways that there are, where nothing is said" do
    expect(TileLoom::Index::Naming.parts[:kind].type.schema({})["enum"]).to include(kind.named_by)
    expect(TileLoom::Index::Order.parts[:kind].type.schema({})["enum"]).to include(kind.ordered_by)
  end

  it "declares its settings with a word about each, in the schema" do
    properties = TileLoom::Document::Schema.definition("index")["properties"]
    kind.own_parts.each_value do |part|
      expect(properties).to have_key(part.key)
      expect(properties[part.key].to_s).to include("description")
    end
  end
end
