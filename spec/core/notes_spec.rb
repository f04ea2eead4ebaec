# frozen_string_literal: true

require "tempfile"

# Notes on the ground, on the demo's sheets.
RSpec.describe TileLoom::Furniture::Notes do
  source = nil
  before(:all) { source = TileLoom::Document::Folio.read(SmallBooks::DEMO).source }

  define_method(:book) do |*list, **more|
    settings = demo_settings.merge("notes" => JSON.parse(JSON.generate({list: list}.merge(more))))
    TileLoom::Document::Check.demand(settings)
    TileLoom::Document::Book.new(settings)
  end

  define_method(:sheet) do |book, name|
    cell = book.cells(source).find { |known| known.name == name }
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 27)
  end

  def book_pages(node) =
    node.is_a?(TileLoom::Scene::Group) ? node.children.flat_map { |child| book_pages(child) } : [node]

  def group(node)
    return nil unless node.is_a?(TileLoom::Scene::Group)
    (node.name == "notes" && node.layer) ? node : node.children.lazy.filter_map { |child| group(child) }.first
  end

  def notes(sheet) = group(sheet.layout.main_frame.draw(sheet))

  text = {
    id: "spring",
    kind: "text",
    places: [[403_700, 6_528_300], [403_800, 6_528_350]],
    text: "Repair in spring\nask the estate",
    last_end: "head"
  }
  arrow = {id: "way", kind: "line", places: [[403_500, 6_528_500], [403_600, 6_528_600]], last_end: "head"}
  ring = {
    id: "soft",
    kind: "ellipse",
    places: [[403_850, 6_528_500], [403_950, 6_528_560]],
    fill: {
      colour: "#8c2f39",
      opacity: 0.2
    }
  }

  it "stand at their place of the ground on every sheet that shows it, and on no other" do
    book = book(text, arrow, ring)
    shown = book.cells(source).map(&:name).select { |name| notes(sheet(book, name)) }
    expect(shown).to include("C3")
    frames = shown.map { |name| sheet(book, name).cell.ground }
    places = [text, arrow, ring].flat_map { |note| note[:places] }
    # By GEOS: each of these sheets holds one of the places or lies beside it.
    all =
      TileLoom::Geometry::Geos.union(
        places.map { |x, y| TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(x, y)) }
      )
    expect(frames.map { |ground| ground.shape.distance(all) }.max).to be < 60
    drawn = sheet(book, "C3")
    paths = book_pages(notes(drawn)).grep(TileLoom::Scene::Path)
    ellipse = paths.find { |path| path.fill && (path.fill.opacity - 0.2).abs < 1e-9 }
    expected = drawn.view.to_page([403_850, 6_528_500, 403_950, 6_528_560])
    box = TileLoom::Geometry::Box.around(ellipse.runs.first)
    expect(box.to_a).to match([expected[0], expected[3], expected[2], expected[1]].map { |mm| be_within(0.01).of(mm) })
    words = book_pages(notes(drawn)).grep(TileLoom::Scene::Text)
    expect(words.map(&:string)).to eq(["Repair in spring", "ask the estate"])
  end

  it "are a layer of their own: opaque as it is, switched in a PDF, left out where it is hidden" do
    layer = notes(sheet(book(text, title: "Inspection", opacity: 0.5), "C3"))
    expect([layer.layer.id, layer.layer.title, layer.opacity]).to match(
      ["notes", "Inspection", be_within(1e-9).of(0.5)]
    )
    expect(notes(sheet(book(text, visible: false), "C3"))).to be_nil
    expect(notes(sheet(book(text.merge(hidden: true)), "C3"))).to be_nil
  end

  it "are clear of labels, and told where the frame cuts them" do
    plain = sheet(book, "C3")
    label = plain.layout.main_frame.placed_labels(plain).find { |found| found.string == "D047" }
    x, y = plain.view.to_ground(label.middle)
    noted = sheet(book({id: "here", kind: "text", places: [[x, y]], text: "A long remark on this dam"}), "C3")
    moved = noted.layout.main_frame.placed_labels(noted).find { |found| found.string == "D047" }
    words = book_pages(notes(noted)).grep(TileLoom::Scene::Text).first
    width = words.face.width_mm(words.string, words.size_pt)
    box = TileLoom::Geometry::Geos.box(TileLoom::Geometry::Box.new(words.x, words.y - 2, words.x + width, words.y))
    expect(moved.rings.none? { |one| TileLoom::Geometry::Geos.polygon(one).intersects?(box) }).to be(true)
    edge = plain.view.to_ground([plain.view.frame.max_x - 1, 100])
    cut = sheet(book({id: "edge", kind: "text", places: [edge], text: "Cut here"}), "C3")
    expect(cut.left_out).to include("The frame cuts the note “Cut here”.")
  end

  it "go out as features, by GDAL" do
    collection = book(text, arrow, ring).contents.notes
    Tempfile.create(%w[notes .geojson]) do |file|
      file.write(JSON.generate("type" => "FeatureCollection", "features" => collection.features))
      file.flush
      told = outside("ogrinfo", "-al", file.path)
      expect(told).to include(
        "Feature Count: 3",
        "Repair in spring",
        "POINT (403700 6528300)",
        "LINESTRING (403500 6528500,403600 6528600)"
      )
    end
  end

  it "are refused with too few places, or with an id twice" do
    expect { book(arrow.merge(places: [[1, 2]])) }.to invalid(/has 2 to 500 places/)
    expect { book(text, text) }.to invalid
  end
end
