# frozen_string_literal: true

require "tmpdir"

RSpec.describe TileLoom::Layout::Run do
  include Outside

  def page(id, title, elements: [], **settings)
    {id: id, title: title, layout: {page: small_settings["layout"]["page"], elements: elements}, **settings}
  end

  def book(pages: [], index: nil, index_pages: nil, elements: [])
    settings = small_settings
    settings["pages"] = JSON.parse(JSON.generate(pages)) if pages.any?
    if index
      settings["index_layout"] = {
        "page" => settings["layout"]["page"],
        "elements" => TileLoom::Layout::Designs.index_elements
      }
    end
    settings["index_pages"] = JSON.parse(JSON.generate(index_pages)) if index_pages
    settings["layout"]["elements"] += JSON.parse(JSON.generate(elements))
    TileLoom::Document::Check.demand(settings)
    TileLoom::Document::Book.new(settings)
  end

  def source
    @source ||=
      TileLoom::Data::MemorySource.new(
        "area" => [rectangle(500_000, 6_100_000, 502_000, 6_101_000, attributes: {"name" => "Moor"})]
      )
  end

  def run(book) = book.run(source)

  def order(book) =
    run(book).book_pages.map { |book_page| book_page.sheet? ? book_page.name : [book_page.kind, book_page.name] }

  it "puts pages first, behind the index, before a sheet and behind all" do
    made =
      book(
        index: true,
        pages: [
          page("b", "Back", place: "back"),
          page("c", "Cover", place: "front"),
          page("n", "Notes", place: "before_sheet", sheet: "A2"),
          page("t", "Contents", place: "before_sheets")
        ]
      )
    sheets = made.cells(source).map(&:name)
    expect(order(made)).to eq(
      [
        [:page, "Cover"],
        [:index, "Index"],
        [:page, "Contents"],
        *sheets.flat_map { |name| (name == "A2") ? [[:page, "Notes"], name] : [name] },
        [:page, "Back"]
      ]
    )
    expect(run(made).book_pages.map(&:position)).to eq((1..sheets.length + 5).to_a)
  end

  # A right-hand page has an odd number (The Chicago Manual of Style, 1.9; common practice).
  it "begins pages on the side that they ask for, with empty pages between, and counts those that print a number" do
    made =
      book(
        index: true,
        pages: [
          page("c", "Cover", place: "front", numbered: false),
          page("t", "Contents", place: "before_sheets", starts: "right"),
          page("b", "Back", place: "back", starts: "left", numbered: false)
        ]
      )
    book_pages = run(made).book_pages
    contents, back = book_pages.find { |book_page| book_page.name == "Contents" }, book_pages.last
    expect(contents.position).to be_odd
    expect(back.position).to be_even
    expect(book_pages.first.folio).to be_nil
    numbered = book_pages.filter_map(&:folio)
    expect(numbered).to eq((1..numbered.length).to_a)
    expect(run(made).folios).to eq(numbered.length)
    book_pages.select(&:blank?).each { |blank| expect(blank.page.starts).not_to eq("anywhere") }
  end

  it "tells of a page that is to stand before a sheet which is not there, and has it at the end" do
    made = book(pages: [page("n", "Notes", place: "before_sheet", sheet: "Z9")])
    expect(order(made).last).to eq([:page, "Notes"])
    expect(run(made).notices).to eq(
      ["The page “Notes” is to stand before sheet Z9, which is not in the book; it stands at the end."]
    )
    expect { book(pages: [page("n", "Notes", place: "before_sheet")]) }.to invalid(
      /belongs before a sheet, but none is named/
    )
  end

  it "divides the index into parts, each with its own cells at a scale of its own, before or behind the sheets" do
    whole, parts = book(index: true), book(index: true, index_pages: {across: 2, place: "last"})
    indexes = run(parts).indexes
    expect(indexes.map(&:name)).to eq(["Index 1", "Index 2"])
    expect(indexes.flat_map(&:cells).map(&:name)).to match_array(parts.cells(source).map(&:name))
    expect(run(parts).book_pages.last).to eq(indexes.last)
    scale = ->(made, book_page) { TileLoom::Compose::Composers.of(made, source, book_page, count: 9).view.scale }
    expect(indexes.map { |book_page| scale[parts, book_page] }.max).to be < scale[whole, run(whole).indexes.first]
    left, right = indexes.map { |book_page| book_page.cells.map { |cell| cell.ground.centre_x } }
    expect(left.max).to be < right.min
  end

  it "lists its sheets with the numbers that their pages print" do
    table = {
      kind: "table",
      id: "list",
      place: {
        left_mm: 0,
        top_mm: 0,
        width_mm: 80,
        height_mm: 200
      },
      contents: "sheets",
      columns: [
        {title: "Sheet", field: "name"},
        {title: "Of", field: "feature.name"},
        {title: "Page", field: "page"}
      ]
    }
    made = book(index: true, pages: [page("t", "Contents", elements: [table], place: "front")])
    book_page = run(made).book_pages.first
    composer = TileLoom::Compose::Composers.of(made, source, book_page, count: 9)
    rows = composer.elements.first.cells_on(composer)
    expect(rows).to eq(made.cells(source).map { |cell| [cell.name, "Moor", (cell.number + 2).to_s] })
    expect(composer.left_out).to eq([])
  end

  it "says in live text which page it is, and of how many" do
    text = {
      kind: "text",
      id: "n",
      place: {
        left_mm: 0,
        top_mm: 0,
        width_mm: 40,
        height_mm: 8
      },
      text: "{{ page.title }} {{ page.number }} of {{ page.count }}"
    }
    made = book(pages: [page("c", "Cover", place: "front", elements: [text])], elements: [text])
    cells = made.cells(source)
    sheet = TileLoom::Compose::SheetComposer.new(book: made, source: source, cell: cells.first, count: cells.length)
    expect(sheet.live_text(text[:text])).to eq("#{cells.first.name} 2 of #{cells.length + 1}")
    cover = TileLoom::Compose::Composers.of(made, source, run(made).book_pages.first, count: cells.length)
    expect(cover.live_text(text[:text])).to eq("Cover 1 of #{cells.length + 1}")
  end

  # poppler reads what the file says.
  it "prints them all in their order, and some by their names" do
    text = ->(words) do
      {kind: "text", id: "w", place: {left_mm: 10, top_mm: 10, width_mm: 100, height_mm: 10}, text: words}
    end
    made =
      book(
        index: true,
        pages: [
          page("c", "Cover", place: "front", elements: [text["Welcome"]]),
          page("t", "Notes", place: "before_sheets", starts: "right", elements: [text["Remarks"]])
        ]
      )
    printed = ->(sheets) do
      Dir.mktmpdir do |folder|
        press =
          TileLoom::Output::Press.new(
            book: made,
            source: source,
            order: TileLoom::Output::Order.new({"sheets" => sheets})
          )
        file = File.join(folder, "book.pdf")
        press.bind(press.picked.map { |book_page| press.page(book_page) }, file)
        outside("pdftotext", "-layout", file, "-").split("\f").map(&:strip)
      end
    end
    all = printed["all"]
    expect(all.length).to eq(run(made).book_pages.length)
    expect(all[0]).to include("Welcome")
    expect(all[1]).to include("Index to")
    expect(all[2]).to include("Remarks")
    expect(printed["cover, A1"].length).to eq(2)
    expect(printed["index, Notes"].map { |page| page[/Remarks|Index to/] }).to eq(["Index to", "Remarks"])
    expect(printed["pages"].length).to eq(2)
  end

  it "has an index sheet in the design of the sheets, its grids counted for its own scale" do
    settings = small_settings
    frame = settings["layout"]["elements"].find { |element| element["kind"] == "map_frame" }
    frame["grids"] = [
      {
        "id" => "g",
        "crs" => "geographic",
        "interval" => {
          "x" => "30 sec",
          "y" => "30 sec"
        },
        "stroke" => {
          "colour" => "#777777",
          "width_mm" => 0.1
        }
      }
    ]
    settings["layout"]["elements"] << {
      "kind" => "locator",
      "id" => "where",
      "place" => {
        "left_mm" => 0,
        "top_mm" => 0,
        "width_mm" => 30,
        "height_mm" => 30
      }
    }
    settings["index_layout"] = TileLoom::Layout::IndexDesign.of(settings["layout"])
    TileLoom::Document::Check.demand(settings)
    elements = settings["index_layout"]["elements"]
    expect(elements.map { |element| element["kind"] }).to include("index_frame")
    expect(elements.map { |element| element["kind"] } & %w[map_frame locator adjoining]).to eq([])
    expect(elements.find { |element| element["kind"] == "index_frame" }["grids"].first).not_to have_key("interval")
    made = TileLoom::Document::Book.new(settings)
    composer = TileLoom::Compose::IndexSheetComposer.new(book: made, source: source, count: 9)
    expect(composer.left_out).to eq([])
  end
end
