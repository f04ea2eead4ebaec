# frozen_string_literal: true

# What any kind of a thing declares (Values::Kind): a key as the document has it, a title as a menu has it, a rank.
# kind: the class, with `let`; room: the Values::Kinds that it is of.
RSpec.shared_examples "a declared kind" do
  it "has a key, a title and a place in the menu of its own" do
    expect(kind.key).to match(/\A[a-z][a-z0-9_]*\z/)
    expect(kind.title).to match(/\S/)
    expect(kind.rank).to be_an(Integer)
    expect(room.all.values.count { |other| [other.key, other.title].intersect?([kind.key, kind.title]) }).to eq(1)
    expect(room.of(kind.key)).to be(kind)
  end
end
