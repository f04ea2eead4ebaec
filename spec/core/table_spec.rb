# frozen_string_literal: true

require "tmpdir"

RSpec.describe TileLoom::Furniture::Elements::Table do
  columns = [
    {"title" => "No.", "field" => "number", "width_mm" => 20},
    {"title" => "State", "field" => "state"},
    {"title" => "Height", "field" => "height", "decimals" => 2, "unit" => "m", "align" => "right", "width_mm" => 18}
  ]

  def dam(id, number, state, height, x, y = 6_528_003) =
    rectangle(x, y, x + 1, y + 1, id: id, attributes: {"number" => number, "state" => state, "height" => height})

  # A sheet on whose frame of 20 × 20 mm at 1:2,500 (50 m by 50 m, from 401,980 E) lie all but the last.
  def dams
    [
      dam(1, "D10", "sound", 1.5, 402_001),
      dam(2, "D2", "failed", 0.75, 402_003),
      dam(3, "D1", "sound", nil, 402_005),
      dam(4, "D7", "failed", 12, 402_900)
    ]
  end

  def sheet(*tables, features: dams)
    book, = book_with_elements(tables.map { |table| {"kind" => "table", "columns" => [], **table} })
    settings = book.settings
    settings["layers"] << settings["layers"].first.merge("id" => "dams", "title" => "Dams")
    book = TileLoom::Document::Book.new(settings)
    source =
      TileLoom::Data::MemorySource.new(
        "area" => [rectangle(402_000, 6_528_000, 402_010, 6_528_010)],
        "dams" => features
      )
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
  end

  def rows(sheet, index = 1) = sheet.layout.elements[index].cells_on(sheet)

  it "lists the records of which the sheet shows something, sorted naturally, with those without a value last" do
    table = {"layer" => "dams", "columns" => columns, "sorted_by" => [{"field" => "number"}]}
    expect(rows(sheet(table))).to eq([["D1", "sound", ""], ["D2", "failed", "0.75 m"], ["D10", "sound", "1.50 m"]])
    two = [{"field" => "state"}, {"field" => "number", "descending" => true}]
    expect(rows(sheet(table.merge("sorted_by" => two))).map(&:first)).to eq(%w[D2 D10 D1])
    expect(rows(sheet(table.merge("records" => "book"))).map(&:first)).to eq(%w[D1 D2 D7 D10])
    failed = {"op" => "=", "args" => [{"property" => "state"}, "failed"]}
    expect(rows(sheet(table.merge("when" => failed))).map(&:first)).to eq(%w[D2])
  end

  it "takes in what touches the frame, not what only its box touches" do
    # A triangle whose box reaches over the frame's corner, and which does not.
    ground = sheet({"layer" => "dams", "columns" => columns}).cell.ground.box
    x, y = ground.max_x, ground.max_y
    away =
      TileLoom::Data::Feature.new(
        id: 1,
        wkb: TileLoom::Geometry::Wkb.polygon([[x - 5, y + 20, x + 20, y - 5, x + 20, y + 20, x - 5, y + 20]]),
        attributes: {
          "number" => "away"
        }
      )
    over =
      TileLoom::Data::Feature.new(
        id: 2,
        wkb: TileLoom::Geometry::Wkb.polygon([[x - 5, y - 5, x + 20, y - 5, x + 20, y + 20, x - 5, y - 5]]),
        attributes: {
          "number" => "over"
        }
      )
    expect(rows(sheet({"layer" => "dams", "columns" => columns}, features: [away, over])).map(&:first)).to eq(
      ["over"]
    )
  end

  it "prints heads, rows and lines where they should be" do
    table = {
      "kind" => "table",
      "id" => "x",
      "columns" => columns.map { |column| column.except("field") },
      "rows" => [["{{ sheet.name }}", "two words"], ["3"]],
      "padding_mm" => 1,
      "size_pt" => 10,
      "caption" => "All"
    }
    printed_elements([table]) do |words, _|
      at = words.to_h { |word, *box| [word, box] }
      expect(words.map(&:first)).to match_array(%w[All No. State Height A1 two words 3])
      pitch = 10 * 1.2 * 25.4 / 72
      # Below the caption and 1 mm: the head, 2 mm and a line high, then rows of the same height.
      expect(at["A1"][1] - at["No."][1]).to be_within(0.05).of(pitch + 2)
      expect(at["3"][1] - at["A1"][1]).to be_within(0.05).of(pitch + 2)
      expect([at["No."][0], at["State"][0]]).to match([be_within(0.05).of(31), be_within(0.05).of(51)])
      # 60 mm wide in all, the last column ends 1 mm before its right side.
      expect(at["Height"][2]).to be_within(0.05).of(89)
    end
  end

  it "shrinks, goes on in a second table, and says what has no room" do
    many = (1..30).map { |n| dam(n, "D#{n}", "sound", n, 402_000 + n % 9) }
    table = {"layer" => "dams", "columns" => columns, "sorted_by" => [{"field" => "number"}], "id" => "one"}
    alone = sheet(table, features: many)
    fitting = alone.layout.elements[1].on(alone).rows.fitting
    # 30 mm: a head and rows of 8 pt × 1.2 and twice 0.8 mm.
    expect(fitting).to eq((30 / (8 * 1.2 * 25.4 / 72 + 1.6)).floor - 1)
    expect(alone.left_out).to include(
      "The table “one” fits #{fitting} of 30 rows; make it larger, let it shrink, or let a second table continue it."
    )
    small = sheet(table.merge("minimum_pt" => 4), features: many)
    expect(small.layout.elements[1].on(small).rows.fitting).to be > fitting
    second = {"id" => "two", "continues" => "one", "columns" => columns}
    both = sheet(table, second, features: many)
    expect(rows(both, 2).first.first).to eq("D#{fitting + 1}")
    expect(both.left_out).to include(match(/The table “two” fits #{fitting} of #{30 - fitting} rows/))
    expect(both.left_out.join).not_to include("“one”")
  end

  it "says what it asks for in vain" do
    wrong = sheet({"layer" => "dams", "columns" => [{"field" => "depth"}], "title" => "Dams"})
    expect(wrong.left_out).to include(
      "The table “Dams” asks for the field “depth”, which none of the layer's records has."
    )
    none =
      sheet({"layer" => "gone", "columns" => columns, "title" => "Dams", "empty" => "No dams on {{ sheet.name }}."})
    expect(none.left_out).to include("The table “Dams” lists the layer “gone”, which the book has not; choose another.")
    text = TileLoom::Output::Svg.new(none.drawing).to_s
    expect(text).to include("No dams on A1.")
  end

  it "refuses live text that is none, with its cell" do
    book, =
      book_with_elements(
        [{"kind" => "table", "columns" => [{"title" => "A"}], "rows" => [["x"], ["{{ sheet.nam }}"]]}]
      )
    expect { TileLoom::Document::Check.demand(book.settings) }.to invalid(
      /sheet\.nam/,
      path: "/layout/elements/1/rows/1/0"
    )
  end
end
