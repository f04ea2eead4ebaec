# frozen_string_literal: true

# What several requests ask for at once is read once, and nobody waits for what somebody else reads.
RSpec.describe TileLoom::Assets::Readings do
  let(:readings) { described_class.new(2) }

  it "reads once for all who ask at the same time" do
    begun, go_on, count = Queue.new, Queue.new, 0
    first = Thread.new { readings.fetch(:a) { (count += 1).tap { begun << true && go_on.pop } } }
    begun.pop
    others = Array.new(3) { Thread.new { readings.fetch(:a) { count += 1 } } }
    Thread.pass until others.all?(&:stop?)
    go_on << true
    expect([first, *others].map(&:value)).to eq([1, 1, 1, 1])
  end

  it "lets nobody wait for another key, also where one is read within the reading of the other" do
    begun, go_on = Queue.new, Queue.new
    slow = Thread.new { readings.fetch(:slow) { begun << true && go_on.pop } }
    begun.pop
    expect(readings.fetch(:quick) { readings.fetch(:inner) { 1 } + 1 }).to eq(2)
    go_on << :done
    expect(slow.value).to eq(:done)
  end

  it "keeps those used last, nil and false among them, and what could not be read not at all" do
    read = []
    fetch = ->(key, value) { readings.fetch(key) { read << key and value } }
    [[:a, nil], [:b, false], [:a, 1], [:c, 2], [:a, 3], [:b, 4]].each { |key, value| fetch.call(key, value) }
    expect(read).to eq(%i[a b c b])
    expect { readings.fetch(:d) { raise TileLoom::Refusal.new("data.no_features") } }.to raise_error(TileLoom::Refusal)
    expect(readings.fetch(:d) { 5 }).to eq(5)
    expect([readings.fetch(nil) { 6 }, readings.fetch(nil) { 7 }]).to eq([6, 7])
  end
end
