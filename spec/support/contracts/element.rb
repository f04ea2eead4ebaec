# frozen_string_literal: true

# What a kind of element answers (Furniture::Element): its nodes on a sheet, and what the page, the check and the print
# ask of any element. kind: the class, with `let`; sheet: the Compose::SheetComposer of a page of one of its roles.
RSpec.shared_examples "a kind of element" do
  let(:room) { TileLoom::Furniture::Elements }
  let(:given) do
    kind.start.merge(
      "kind" => kind.key,
      "id" => "the-one",
      "place" => {
        "left_mm" => 20,
        "top_mm" => 20,
        "width_mm" => kind.size_mm[0],
        "height_mm" => kind.size_mm[1]
      }
    )
  end
  let(:element) { read({}) }

  include_examples "a declared kind"

  def read(more) =
    TileLoom::Furniture::Element.read(given.merge(more), path: "/layout/elements/0", assets: sheet.book.contents.assets)

  def flat(nodes) = nodes.flat_map { |node| node.is_a?(TileLoom::Scene::Group) ? [node, *flat(node.children)] : [node] }

  it "is what the schema lets be, as a new one begins and as it goes out again" do
    expect(TileLoom::Document::Schema.definition("#{kind.key}_element")["properties"].keys).to include(*given.keys)
    expect(element.given).to eq(given)
    expect(element.kind).to eq(kind.key)
  end

  it "draws nodes of the scene, the same again, in a group of its name" do
    drawn = element.draw(sheet)
    expect(drawn).to be_a(TileLoom::Scene::Group)
    expect(drawn.name).to eq("#{kind.key} the-one")
    expect(flat(drawn.children).map { |node| node.class.name }).to all(start_with("TileLoom::Scene::"))
    again = TileLoom::Output::Svg.new(sheet.drawing_of([read({}).draw(sheet)])).to_s
    expect(TileLoom::Output::Svg.new(sheet.drawing_of([drawn])).to_s).to eq(again)
  end

  it "draws nothing where it is hidden" do
    expect(read({"hidden" => true}).draw(sheet).children).to eq([])
  end

  it "stands in its box on the page" do
    box = element.box(sheet.page)
    expect(box).to be_a(TileLoom::Geometry::Box)
    expect([box.width, box.height]).to all(be >= 0)
  end

  it "says of itself what the page, the check and the print ask" do
    expect(element.views(sheet)).to all(be_a(TileLoom::View::FrameView))
    expect(element.left_out(sheet)).to all(be_a(String))
    expect(element.spoken(sheet)).to be_nil.or be_a(String).or all(be_a(String))
    expect(element.templates).to all(match([a_string_starting_with("/layout/elements/0"), String]))
    expect(element.typefaces).to all(match([a_string_starting_with("/layout/elements/0"), anything]))
    expect(element.pictures).to be_an(Array)
    expect { element.check_drawings }.not_to raise_error
    told =
      %i[gridded? decides_cells? shows_index? text? explains? covers?].map { |message| element.public_send(message) }
    expect(told).to all(be(true).or(be(false)))
    expect(element.title).to eq("the-one")
  end

  it "says on which pages it stands" do
    expect(kind.roles - TileLoom::Furniture::Element::ROLES).to eq([])
    codes = [*kind.refused_on.values, kind.only_one].compact
    expect(codes).to all(satisfy { |code| TileLoom::Sentences.all.key?(code) })
  end
end
