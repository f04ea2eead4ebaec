# frozen_string_literal: true

require "tmpdir"
require "vips"

RSpec.describe TileLoom::Compose::IndexSheetComposer do
  # Two districts of 2 km by 1 km side by side, the western one larger on the first sheets.
  def book_of(elements: [], key: TileLoom::Layout::Designs.index_elements, **changes)
    features = [
      rectangle(
        400_000,
        6_500_000,
        402_000,
        6_501_000,
        id: 1,
        attributes: {
          "name" => "West moor",
          "Holder of site" => "Trust"
        }
      ),
      rectangle(402_000, 6_500_000, 404_000, 6_501_000, id: 2, attributes: {"name" => "East moor"})
    ]
    book, source = small_book(features, scale: 2500, **changes)
    settings =
      book.settings.merge(
        "index_layout" => {
          "name" => "key",
          "page" => book.settings["layout"]["page"],
          "elements" => key
        },
        "edition" => "2nd edition"
      )
    settings["layout"]["elements"] += elements
    TileLoom::Document::Check.demand(settings)
    [TileLoom::Document::Book.new(settings), source]
  end

  def composer(book, source, index) =
    TileLoom::Compose::SheetComposer.new(
      book: book,
      source: source,
      cell: book.cells(source)[index],
      count: book.cells(source).length
    )

  it "shows every cell, at a scale of two figures that holds them all" do
    book, source = book_of
    key = described_class.new(book: book, source: source, count: book.cells(source).length)
    scale = key.values["sheet"]["scale"]
    expect(scale.to_s).to match(/\A[1-9]\d0*\z/)
    frame = key.view.frame
    corners = book.cells(source).flat_map { |cell| key.view.to_page(cell.ground.corners).each_slice(2).to_a }
    expect(corners).to all(satisfy { |x, y| frame.include?(x, y) })
    spread = corners.transpose.map { |values| values.max - values.min }
    # A scale one tenth larger would not hold them with their room of 3 %.
    expect([spread[0] / frame.width, spread[1] / frame.height].max).to be > 0.8
  end

  # A gutter is where the pages are bound, and the index sheet is the first of them.
  it "counts as the first page of a book that is printed on both sides" do
    binding = {page: {binding: {edge: "left", gutter_mm: 10, mirrored: true}}}
    with_key, source = book_of(layout: binding)
    plain, = small_book([rectangle(400_000, 6_500_000, 402_000, 6_501_000)], layout: binding)
    left = ->(book, number) { composer(book, source, number - 1).page.live_area.min_x - 10 }
    expect([1, 2, 3].map { |number| left.call(with_key, number) }).to eq([0, 10, 0])
    expect([1, 2, 3].map { |number| left.call(plain, number) }).to eq([10, 0, 10])
  end

  it "prints first, with the names of all sheets, and its scale bar true to its own scale" do
    book, source = book_of
    order = TileLoom::Output::Order.new({"sheets" => "index, 1"})
    press = TileLoom::Output::Press.new(book: book, source: source, order: order)
    cells = book.cells(source)
    Dir.mktmpdir do |folder|
      file = File.join(folder, "key.pdf")
      press.bind(press.picked.map { |cell| press.page(cell, count: cells.length) }, file)
      expect(outside("pdfinfo", file)).to match(/Pages:\s+2/)
      words = outside("pdftotext", "-f", "1", "-l", "1", file, "-").split
      expect(words).to include(*cells.map(&:name))
      expect(outside("pdftotext", "-f", "2", "-l", "2", file, "-")).to include("Sheet 1 of #{cells.length}")
      expect(gdal_page(file, 1)["coordinateSystem"]["wkt"]).to include("UTM zone 29N")
    end
  end

  it "says of neighbours, of the feature that a sheet shows most of, of layout and edition" do
    book, source = book_of
    last = book.cells(source).length - 1
    fill = ->(index, text) { composer(book, source, index).live_text(text) }
    first, final = book.cells(source).values_at(0, -1)
    expect(fill[0, "{{ feature.name }}, {{ feature[\"Holder of site\"] }}"]).to eq("West moor, Trust")
    expect(fill[last, "{{ feature.name }}|{{ feature[\"Holder of site\"] }}"]).to eq("East moor|")
    expect(
      fill[0, "{{ neighbours.east }} {{ neighbours.south_east }} {{ neighbours.south }}|{{ neighbours.north }}"]
    ).to eq("B1 B2 A2|")
    expect(fill[0, "{{ layout.page }}, {{ book.edition }}"]).to eq("A3 landscape, 2nd edition")
    expect([first.name, final.name]).to eq(["A1", final.name])
    expect { fill[0, "{{ feature.colour }}"] }.to invalid(/asks for “feature.colour”|asks for “colour”/)
    expect { fill[0, "{{ neighbours.up }}"] }.to invalid(/up/)
  end

  it "shows where a sheet lies in a locator" do
    locator = {
      "kind" => "locator",
      "id" => "where",
      "place" => {
        "left_mm" => 5,
        "top_mm" => 5,
        "width_mm" => 40,
        "height_mm" => 30
      }
    }
    book, source = book_of(elements: [locator])
    places =
      [0, 3].map do |index|
        sheet = composer(book, source, index)
        element = book.layout.elements.last
        group =
          element
            .nodes(sheet, element.box(sheet.page))
            .find { |node| node.is_a?(TileLoom::Scene::Group) && node.name == "cells" }
        TileLoom::Geometry::Box.around(group.children.first.runs.first).centre
      end
    cells = book.cells(source).values_at(0, 3)
    shift = [cells[1].ground.centre_x - cells[0].ground.centre_x, cells[0].ground.centre_y - cells[1].ground.centre_y]
    moved = places.transpose.map { |from, to| to - from }
    expect(moved[0] / shift[0]).to be_within(1e-9).of(moved[1].zero? ? moved[0] / shift[0] : moved[1] / shift[1])
    expect(moved[0]).to be > 0
  end

  # Ten pixels a millimetre: an area at 16 % of dark blue-grey on white is nearly white, not dark, though its line
  # is opaque (ISO 32000-2, 11.6.4.4: constant opacity).
  it "prints a faint area with an opaque line as the screen shows it" do
    around = {
      "kind" => "adjoining",
      "id" => "around",
      "place" => {
        "left_mm" => 350,
        "top_mm" => 130,
        "width_mm" => 30,
        "height_mm" => 30
      }
    }
    book, source = book_of(elements: [around])
    Dir.mktmpdir do |folder|
      file = press(book, source, folder, cells: book.cells(source).first(1))
      outside("pdftocairo", "-png", "-r", "254", "-singlefile", file, File.join(folder, "page"))
      page = Vips::Image.new_from_file(File.join(folder, "page.png"))
      # The middle part begins at 10 + 350 + 10 mm across and 10 + 130 + 10 mm down, beside the map.
      expect(page.getpoint(3720, 1590).first(3)).to all(be_between(210, 230))
      expect(page.getpoint(3700, 1550).first(3)).to all(be < 60)
    end
  end

  it "refuses an index sheet without an index frame, or with a map frame, and checks its texts" do
    elements = TileLoom::Layout::Designs.index_elements
    expect { book_of(key: elements.reject { |element| element["kind"] == "index_frame" }) }.to invalid(
      /has no index frame/,
      path: "/index_layout/elements"
    )
    map = {
      "kind" => "map_frame",
      "id" => "m",
      "place" => {
        "left_mm" => 5,
        "top_mm" => 5,
        "width_mm" => 40,
        "height_mm" => 30
      }
    }
    expect { book_of(key: elements + [map]) }.to invalid(/index frame in its place/)
    expect {
      book_of(
        key: elements + [{"kind" => "text", "id" => "t", "place" => map["place"], "text" => "{{ book.colour }}"}]
      )
    }.to invalid(/“book.colour”|“colour”/, path: "/index_layout/elements/#{elements.length}/text")
  end
end
