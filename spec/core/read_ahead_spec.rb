# frozen_string_literal: true

RSpec.describe TileLoom::Data::ReadAhead do
  it "gives what the source gives, in its order, and raises what it raises" do
    expect(described_class.new([[1], [2], [3]].each).to_a).to eq([[1], [2], [3]])
    broken = Enumerator.new { |list| list << [1] and raise TileLoom::Refusal.new("book.date", date: "torn") }
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
