# frozen_string_literal: true

# What was done to cells by hand travels with the document. The oracle is the list of cells itself: whatever was done,
# the document makes the same list again, by another way than it came about.
RSpec.describe TileLoom::Index::ByHand do
  let(:book) { small_book([rectangle(402_000, 6_528_000, 404_400, 6_529_600)]) }
  let(:source) { book.last }
  let(:fresh) { book.first.cells(source) }

  def difference(cells) = TileLoom::Index::HandDifference.new(fresh, cells).to_h

  def handwork(cells)
    document = book.first
    TileLoom::Index::Handwork.new(cells, size: document.method(:cell_size), scale: document.index.scale)
  end

  def known(cells) = cells.each_with_index.map { |cell, index| cell.id ? cell : cell.with(id: 1000 + index) }

  # By everything that makes it; marks that are not set are nil or false.
  def made(cells) =
    cells.map do |cell|
      [cell.number, cell.name, cell.row, cell.column, cell.scale, cell.ground.to_a, cell.feature] +
        %i[kept pinned moved].map { |mark| !!cell.public_send(mark) }
    end

  # As it is read from JSON.
  def again(cells)
    found = JSON.parse(JSON.generate(difference(cells)))
    settings = book.first.settings
    other = TileLoom::Document::Book.new(settings.merge("index" => settings["index"].merge("by_hand" => found)))
    other.cells(source)
  end

  def some_deed(cells, random)
    hand, number = handwork(cells), random.rand(1..cells.length)
    case random.rand(8)
    when 0
      hand.move([number], random.rand(-500.0..500.0), random.rand(-500.0..500.0))
    when 1
      hand.turn([number], random.rand(-90.0..90.0).round(1))
    when 2
      hand.scale([number], [1000, 2500, 5000, 1234.5][random.rand(4)])
    when 3
      (cells.length > 2) ? hand.remove([number]) : cells
    when 4
      hand.add(random.rand(402_000.0..404_000.0), random.rand(6_528_000.0..6_529_000.0))
    when 5
      hand.rename(number, "Sheet #{random.rand(100_000)}")
    when 6
      hand.place_at(number, random.rand(1..cells.length))
    else
      cells.map { |cell| (cell.number == number) ? cell.with(kept: true) : cell }
    end
  end

  it "says nothing where nothing was done" do
    expect(fresh.length).to be > 5
    expect(difference(fresh)).to eq({})
    expect(book.first.carried(source)["index"]).to eq(book.first.settings["index"])
  end

  it "says of one renamed cell nothing but that one, of one that is gone its name, of another order one place" do
    found = difference(handwork(fresh).rename(3, "Quarry"))
    expect(found.keys).to eq(%w[cells])
    expect(found["cells"].map { |entry| entry.values_at("of", "name") }).to eq([[fresh[2].name, "Quarry"]])
    expect(difference(handwork(fresh).remove([2]))).to eq("gone" => [fresh[1].name])
    found = difference(handwork(fresh).place_at(fresh.length, 2))
    expect(found["cells"].map { |entry| entry.values_at("of", "place") }).to eq([[fresh.last.name, 2]])
  end

  it "makes the same cells again, whatever was done, and says the same of them again" do
    60.times do |seed|
      random = Random.new(seed)
      cells = random.rand(1..12).times.reduce(fresh) { |list, _| some_deed(list, random) }
      cells = known(cells)
      expect(made(again(cells))).to eq(made(cells)), "seed #{seed}"
      expect(difference(known(again(cells)))["gone"]).to eq(difference(cells)["gone"])
    end
  end

  it "exchanges the names of two cells, and goes through an order turned round" do
    names = fresh.map(&:name)
    cells = fresh.map { |cell| cell.with(name: names[-cell.number]) }
    expect(made(again(cells))).to eq(made(cells))
    cells = TileLoom::Index::Order.counted(fresh.reverse)
    expect(made(again(cells))).to eq(made(cells))
  end

  it "keeps what was done where the index no longer generates the cell" do
    entry = difference(known(handwork(fresh).move([1], 10, 0)))["cells"].first
    found = described_class.new({"cells" => [entry.merge("of" => "Z99", "name" => "Z99")], "gone" => ["Y88"]})
    expect(found.applied(fresh).map(&:name)).to eq([*fresh.map(&:name), "Z99"])
  end

  it "refuses two cells of one name, whatever their case, and of one id" do
    entry = difference(known(handwork(fresh).move([1], 10, 0)))["cells"].first
    twice = described_class.new({"cells" => [entry.merge("name" => fresh[1].name.downcase)]}, path: "/index/by_hand")
    expect { twice.applied(fresh) }.to invalid(/Two sheets would be called/, path: "/index/by_hand/cells")
    expect { described_class.new({"cells" => [entry, entry.merge("name" => "Other")]}) }.to invalid(/have the id/)
  end
end
