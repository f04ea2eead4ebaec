# frozen_string_literal: true

RSpec.describe TileLoom::Index::Naming do
  def cell(number, column, row, name: nil, pinned: nil, x: column * 100.0, y: -row * 60.0) =
    TileLoom::Index::Cell.new(
      number: number,
      name: name,
      row: row,
      column: column,
      scale: 1000,
      ground: TileLoom::Geometry::TurnedRectangle.new(x, y, 100.0, 60.0, 0.0),
      pinned: pinned
    )

  def grid(columns, rows) =
    (0...rows)
      .to_a
      .product((0...columns).to_a)
      .each_with_index
      .map { |(row, column), index| cell(index + 1, column, row) }

  def names(settings, cells = grid(2, 2)) = described_class.new(settings).named(cells).map(&:name)

  it "writes places and numbers by the pattern" do
    expect(names({})).to eq(%w[A1 B1 A2 B2])
    expect(names({"rows_from" => "south", "prefix" => "M-", "separator" => "/", "digits" => 2})).to eq(
      %w[M-A/02 M-B/02 M-A/01 M-B/01]
    )
    expect(names({"columns" => "numbers", "rows" => "letters", "first" => "row", "separator" => "."})).to eq(
      %w[A.1 A.2 B.1 B.2]
    )
    expect(names({"kind" => "numbers", "digits" => 3})).to eq(%w[001 002 003 004])
    expect(described_class.new({"without_io" => true}).place(8, 0, 1)).to eq("J1")
    expect(described_class.new({"without_io" => true}).place(24, 0, 1)).to eq("AA1")
  end

  it "names features by a field, with what stands for it where it is empty" do
    naming = described_class.new({"kind" => "field", "field" => "name", "prefix" => "M "})
    expect([{"name" => " Moor "}, {"name" => ""}, {}].map { |attributes| naming.feature(attributes, "7") }).to eq(
      ["M Moor", "M 7", "M 7"]
    )
    expect(naming.feature({"name" => "x" * 100}, "7").length).to eq(80)
  end

  it "shows two names of its pattern, where they are known beforehand" do
    kinds = [
      {"rows_from" => "south"},
      {"kind" => "numbers", "digits" => 2},
      {"kind" => "field", "field" => "name"}
    ]
    expect(kinds.map { |settings| described_class.new(settings).example }).to eq([%w[A1 B1], %w[01 02], []])
  end

  it "makes a name that is taken free by letters, one of features by numbers, and cuts none too long" do
    taken = %w[a1 a1a moor].to_h { |name| [name, true] }
    expect([described_class.free("A1", taken), described_class.free("B1", taken)]).to eq(%w[A1b B1])
    expect(described_class.ordinal("Moor", taken.merge("moor (2)" => true))).to eq("Moor (3)")
    long = "x" * 80
    expect(described_class.free(long, {long => true})).to eq("#{"x" * 76}a")
    expect(described_class.ordinal(long, {long => true})).to eq("#{"x" * 72} (2)")
    expect(names({"kind" => "numbers"}, [cell(3, 0, 0), cell(3, 1, 0)])).to eq(%w[3 3a])
    expect(described_class.new({}).named([])).to eq([])
  end

  # ISO/IEC 29500-1: AZ is followed by BA.
  it "letters columns past Z as a spreadsheet does, none twice among many" do
    expect([51, 52].map { |column| described_class.new({}).place(column, 0, 1) }).to eq(%w[AZ1 BA1])
    many = names({"without_io" => true}, grid(700, 2))
    expect(many.uniq.length).to eq(1400)
    expect(described_class.new({}).named(grid(2, 1), own: %w[Moor moor]).map(&:name)).to eq(["Moor", "moor (2)"])
  end

  describe TileLoom::Index::Order do
    def order(settings, cells = grid(3, 2)) =
      described_class
        .new(settings)
        .numbered(
          cells.map { |cell| cell.dup.tap { |named| named.name = TileLoom::Index::Naming.cell(cell.column, cell.row) } }
        )
        .map(&:name)

    it "takes cells by rows, columns, back and forth, from each corner" do
      expect(order({"kind" => "rows"})).to eq(%w[A1 B1 C1 A2 B2 C2])
      expect(order({"kind" => "rows", "from" => "south_east"})).to eq(%w[C2 B2 A2 C1 B1 A1])
      expect(order({"kind" => "columns"})).to eq(%w[A1 A2 B1 B2 C1 C2])
      expect(order({"kind" => "rows_back_forth"})).to eq(%w[A1 B1 C1 C2 B2 A2])
      expect(order({"kind" => "columns_back_forth", "from" => "north_east"})).to eq(%w[C1 C2 B2 B1 A1 A2])
    end

    # Round the middle of three by three, from the north: the middle itself has no bearing and comes first.
    it "goes round the middle, either way, from a chosen start" do
      ring = grid(3, 3)
      expect(order({"kind" => "clockwise"}, ring)).to eq(%w[B2 B1 C1 C2 C3 B3 A3 A2 A1])
      expect(order({"kind" => "counter_clockwise", "start_deg" => 90}, ring)).to eq(%w[B2 C2 C1 B1 A1 A2 A3 B3 C3])
    end

    it "begins at the bearing that is asked for, and takes the nearer first on one bearing" do
      row = [[0, 0], [1, 0], [2, 0], [3, 0], [4, 0]].each_with_index.map { |at, index| cell(index + 1, *at) }
      at = ->(settings) { described_class.new(settings).numbered(row).map(&:column) }
      expect(at[{"kind" => "clockwise"}]).to eq([2, 3, 4, 1, 0])
      expect(at[{"kind" => "clockwise", "start_deg" => 180}]).to eq([2, 1, 0, 3, 4])
      expect(at[{"kind" => "counter_clockwise"}]).to eq([2, 1, 0, 3, 4])
      expect(described_class.new({"kind" => "clockwise"}).numbered([])).to eq([])
      # Round the middle of the extent, not of the cells: those in the west are many.
      lopsided = [0, 10, 20, 30, 1000].each_with_index.map { |x, index| cell(index + 1, index, 0, x: x.to_f) }
      ordered = described_class.new({"kind" => "clockwise"}).numbered(lopsided)
      expect(ordered.map(&:column)).to eq([4, 3, 2, 1, 0])
    end

    it "takes cells by a field of their features, naturally, and those alike as they were" do
      cells = (1..4).map { |number| cell(number, 0, 0).with(feature: "f#{number}") }
      values = {"f1" => "10", "f2" => "9", "f3" => nil, "f4" => "9"}
      ordered = described_class.new({"kind" => "field", "field" => "x"}).numbered(cells, values: values)
      expect(ordered.map(&:feature)).to eq(%w[f3 f2 f4 f1])
      expect(ordered.map(&:number)).to eq([1, 2, 3, 4])
    end

    it "keeps the order that there is, of one place too" do
      cells = [2, 1, 3].map { |number| cell(number, 0, 0).with(name: "", feature: number) }
      kinds = %w[as_generated by_hand rows columns rows_back_forth columns_back_forth clockwise names field]
      orders = kinds.to_h { |kind| [kind, described_class.new({"kind" => kind}).numbered(cells).map(&:feature)] }
      expect(orders.reject { |_, order| order == [1, 2, 3] }).to eq({})
      first = cell(1, 0, 0)
      expect(described_class.counted([first]).first).to equal(first)
    end

    it "sorts names naturally" do
      cells = %w[10 2 1 B2 B10].each_with_index.map { |name, index| cell(index + 1, index, 0, name: name) }
      expect(described_class.new({"kind" => "names"}).numbered(cells).map(&:name)).to eq(%w[1 2 10 B2 B10])
    end
  end

  describe TileLoom::Index::Renewal do
    def area(west, south, east, north) = TileLoom::Index::StudyArea.new([rectangle(west, south, east, north)])

    def renew(before, fresh, within: area(-500, -500, 900, 500))
      fresh = TileLoom::Index::Naming.new({}).named(fresh)
      described_class.new(before: before, fresh: fresh, area: within, naming: TileLoom::Index::Naming.new({}))
    end

    def row(columns, from: 0.0) =
      (0...columns).map do |column|
        cell(column + 1, column, 0, name: TileLoom::Index::Naming.cell(column, 0), x: from + column * 100)
      end

    it "keeps names when cells come on the east or on the west, and gives newcomers a fitting free one" do
      east = renew(row(3), row(5))
      expect([east.cells.map(&:name), east.come, east.go]).to eq([%w[A1 B1 C1 D1 E1], %w[D1 E1], []])
      west = renew(row(3), row(4, from: -100.0))
      expect(west.cells.map(&:name)).to eq(%w[A1a A1 B1 C1])
      gone = renew(row(4), row(2))
      expect([gone.cells.map(&:name), gone.go]).to eq([%w[A1 B1], %w[C1 D1]])
    end

    it "keeps pinned cells where they are, and generates nothing that they show already" do
      before = row(3).tap { |cells| cells[1] = cells[1].with(pinned: true, name: "Summit") }
      renewal = renew(before, row(3))
      expect(renewal.cells.map(&:name).sort).to eq(%w[A1 C1 Summit])
      ground = row(3)[1].ground
      east = ground.class.new(ground.centre_x + 30, *ground.to_a.drop(1))
      moved = row(3).tap { |cells| cells[1] = cells[1].with(pinned: true, ground: east) }
      renewal = renew(moved, row(3))
      expect(renewal.cells.map(&:name).sort).to eq(%w[A1 B1 B1a C1])
      shapes = renewal.cells.map { |cell| TileLoom::Geometry::Geos.polygon(cell.ground.corners) }
      expect(TileLoom::Geometry::Geos.union(shapes).area).to be_within(1e-6).of(300 * 60)
    end

    it "names all afresh when the cells are of another size" do
      large = row(2).map { |cell| cell.with(ground: cell.ground.sized(300.0, cell.ground.height)) }
      expect(renew(row(3).map { |cell| cell.with(name: "X#{cell.number}") }, large).cells.map(&:name)).to eq(%w[A1 B1])
    end

    it "never gives a name twice" do
      random = Random.new(4)
      30.times do
        before = row(1 + random.rand(6), from: random.rand * 200).map { |cell| cell.with(pinned: random.rand < 0.3) }
        names = renew(before, row(1 + random.rand(8), from: random.rand * 300 - 150)).cells.map(&:name)
        expect(names.uniq).to eq(names)
      end
    end
  end

  describe TileLoom::Index::FeatureCover do
    it "sorts features by how they fall on cells" do
      cells = [cell(1, 0, 0), cell(2, 1, 0)]
      features = [
        rectangle(-10, -10, 10, 10, id: 1),
        rectangle(40, -10, 60, 10, id: 2),
        rectangle(400, 0, 410, 10, id: 3),
        rectangle(-60, -10, -40, 10, id: 4)
      ]
      found = described_class.new(cells, features)
      expect([found.count, *[found.missing, found.cut, found.several].map { |list| list.map(&:id) }]).to eq(
        [4, [3], [2, 4], [2]]
      )
    end
  end
end
