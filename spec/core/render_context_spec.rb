# frozen_string_literal: true

# What is kept while sheets are drawn, by whom and for how long.
RSpec.describe "Drawing a sheet" do
  let(:folio) { TileLoom::Document::Folio.read(SmallBooks::DEMO) }
  let(:book) { folio.document }
  let(:source) { folio.source }
  let(:cell) { book.cells(source).first }

  def sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 1)

  # PROJ manual, "Threads": objects of one context are not to be used by two threads at a time.
  it "resolves references in the thread that draws, though sheets share what is reckoned once" do
    here = sheet.nominal_view
    there = Thread.new { sheet.nominal_view }.value
    expect(there.place).to eq(here.place)
    expect(there.crs).not_to equal(here.crs)
    expect(sheet.nominal_view.crs).to equal(here.crs)
  end

  it "draws the ground of each view that is asked for, and each once" do
    one = sheet
    east, *rest = one.view.ground.to_a
    ground = TileLoom::Geometry::TurnedRectangle.new(east + 300, *rest)
    shifted = TileLoom::View::FrameView.new(frame: one.view.frame, ground: ground, crs: book.crs)
    drawn = one.ground_drawing(one.view)
    expect(one.ground_drawing(shifted).nodes).not_to eq(drawn.nodes)
    expect(one.ground_drawing(one.view)).to equal(drawn)
  end

  it "lists on the index sheet what its index frame draws: areas, not lines and points, where it shows areas alone" do
    legend = {
      "kind" => "legend",
      "id" => "signs",
      "place" => {
        "left_mm" => 0,
        "top_mm" => 0,
        "width_mm" => 60,
        "height_mm" => 150
      }
    }
    settings = demo_settings
    settings["index_layout"] = {
      "name" => "Index",
      "page" => settings["layout"]["page"],
      "elements" => [
        *TileLoom::Layout::Designs.index_elements.map do |element|
          (element["kind"] == "index_frame") ? element.merge("layers" => "areas") : element
        end,
        legend
      ]
    }
    book = TileLoom::Document::Book.new(settings)
    index = TileLoom::Compose::IndexSheetComposer.new(book: book, source: source, count: 1)
    element = book.index_layout.elements.last
    texts = ->(node) { node.is_a?(TileLoom::Scene::Group) ? node.children.flat_map(&texts) : [node] }
    told = texts.call(element.draw(index)).grep(TileLoom::Scene::Text).map(&:string)
    rules = book.layers.flat_map(&:rules)
    areas, others = rules.partition { |rule| rule.symbol.area? }
    expect(told & areas.map(&:title)).not_to be_empty
    expect(told & (others.map(&:title) - areas.map(&:title))).to be_empty
  end

  # HarfBuzz manual, "Object model": each object is reference-counted, and ends with its last *_destroy.
  it "gives what HarfBuzz keeps for a typeface back with the typeface" do
    bytes = TileLoom::Type::Library.face("sans").bytes
    alive = -> { ObjectSpace.each_object(TileLoom::Type::Shaper::Library::Font).count }
    before = alive.call
    Thread.new { 200.times { TileLoom::Type::Shaper.new(bytes).shape("Skarrow Moss") } }.join
    GC.start
    expect(alive.call - before).to be < 100
    expect(TileLoom::Type::Shaper::Library::Font.ancestors).to include(FFI::AutoPointer)
  end
end
