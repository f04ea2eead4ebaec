# frozen_string_literal: true

# What was done to single labels by hand, on the demo's sheets.
RSpec.describe TileLoom::Symbology::Labels::ByHand do
  source = nil
  before(:all) { source = TileLoom::Document::Folio.read(SmallBooks::DEMO).source }

  define_method(:book) do |*entries|
    settings = demo_settings.merge("labels_by_hand" => JSON.parse(JSON.generate(entries)))
    TileLoom::Document::Check.demand(settings)
    TileLoom::Document::Book.new(settings)
  end

  define_method(:sheet) do |book, name|
    cell = book.cells(source).find { |known| known.name == name }
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 27)
  end

  def labels(sheet) = sheet.layout.main_frame.placed_labels(sheet)

  def label(sheet, string, layer = nil) =
    labels(sheet).find { |found| found.string == string && (layer.nil? || found.layer.id == layer) }

  def entry(layer, feature, **more) = {layer: layer, rule: "rule-1", feature: feature, **more}

  it "moves a point's label, with a leader of its own accord, on one sheet or on all" do
    code = {field: "code", value: "D047"}
    moved = sheet(book(entry("dams", code, offset_mm: [12, -9])), "C3")
    found = label(moved, "D047")
    box = TileLoom::Geometry::Box.around(found.rings.first)
    expect(box.centre).to match([be_within(0.5).of(found.x + 12), be_within(0.5).of(found.y - 9)])
    expect(found.place.leader).not_to be_nil
    near = sheet(book(entry("dams", code, offset_mm: [0, -2.4])), "C3")
    expect(label(near, "D047").place.leader).to be_nil
    elsewhere = sheet(book(entry("dams", code, offset_mm: [12, -9], sheet: "A1")), "C3")
    expect(label(elsewhere, "D047").place.leader).to be_nil
    both = [entry("dams", code, text: "all"), entry("dams", code, text: "here", sheet: "C3")]
    expect(label(sheet(book(*both), "C3"), "here")).not_to be_nil
  end

  it "finds another place where a sheet has no room for what was put somewhere on all; for one alone it is told" do
    hazard = {field: "number", value: "3"}
    cells = book.cells(source).map(&:name)
    shaft = source.features("hazards", nil).find { |feature| feature.attributes["number"] == 3 }
    x, y = shaft.wkb.unpack("@5EE")
    shown = cells.select { |cell| sheet(book, cell).view.then { |view| view.frame.include?(*view.to_page([x, y])) } }
    expect(shown).not_to be_empty
    shown.each do |cell|
      far = [book.layout.frame_box.width, 0]
      all = sheet(book(entry("hazards", hazard, offset_mm: far)), cell)
      expect(label(all, "old shaft")).not_to be_nil
      one = sheet(book(entry("hazards", hazard, offset_mm: far, sheet: cell)), cell)
      expect([label(one, "old shaft"), one.left_out.join]).to match([nil, include("“old shaft”")])
    end
  end

  it "hides, turns, and gives another text; the others make room" do
    plain = sheet(book, "C3")
    hut = {field: "name", value: "Skarrow Hut"}
    hidden = sheet(book(entry("huts", hut, hidden: true)), "C3")
    expect([label(plain, "Skarrow Hut").nil?, label(hidden, "Skarrow Hut").nil?]).to eq([false, true])
    expect(hidden.left_out).to eq(plain.left_out)
    turned = sheet(book(entry("huts", hut, offset_mm: [10, 0], rotation_deg: 30)), "C3")
    setting = label(turned, "Skarrow Hut").place.setting
    expect(setting.angle).to be_within(1e-9).of(30 * Math::PI / 180)
    renamed = sheet(book(entry("huts", hut, text: "Hut\nclosed in winter")), "C3")
    expect(label(renamed, "Hut closed in winter").place.setting.text.lines.length).to eq(2)
    # Put onto the place of another label: that one goes elsewhere.
    victim = label(plain, "D047")
    x, y = TileLoom::Geometry::Box.around(victim.rings.first).centre
    own = label(plain, "Skarrow Hut")
    crowded = sheet(book(entry("huts", hut, offset_mm: [x - own.x, y - own.y])), "C3")
    here, there = label(crowded, "Skarrow Hut"), label(crowded, "D047")
    polygons = [here, there].map { |one| one.rings.map { |ring| TileLoom::Geometry::Geos.polygon(ring) } }
    expect(polygons[0].product(polygons[1]).none? { |one, other| one.intersects?(other) }).to be(true)
  end

  it "keeps a line's label on its line, as near to the place as it can be" do
    plain = sheet(book, "C3")
    road = label(plain, "Moss Road")
    course = source.features("tracks", nil).select { |feature| feature.attributes["name"] == "Moss Road" }
    whole = TileLoom::Geometry::Geos.union(course.map { |one| TileLoom::Geometry::Geos.read(one.wkb) })
    on_sheet = whole.intersection(plain.view.ground.shape)
    at = on_sheet.interpolate_normalized(0.3)
    at = TileLoom::Geometry::Geos.parts(on_sheet).max_by(&:length).interpolate_normalized(0.3) if at.empty?
    moved = sheet(book(entry("tracks", {text: "Moss Road"}, number: road.number, at: [at.x + 4, at.y + 4])), "C3")
    here = labels(moved).find { |found| found.string == "Moss Road" && found.hand }
    middle = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(*moved.view.to_ground(here.middle)))
    expect(middle.distance(at) / moved.view.units_per_mm).to be < 8
    expect(middle.distance(whole) / moved.view.units_per_mm).to be < 3
  end

  # New data number features otherwise; what is done by hand goes by the field that tells them apart.
  it "stays with its feature when new data come" do
    fresh =
      TileLoom::Data::MemorySource.new(
        "dams" =>
          source
            .features("dams", nil)
            .reverse
            .each_with_index
            .map { |feature, index| feature.with(id: index) }
      )
    expect([source.telling_field("dams"), fresh.telling_field("dams"), source.telling_field("contours")]).to eq(
      ["code", "code", nil]
    )
    value =
      described_class.new(
        {"layer" => "dams", "rule" => "rule-1", "feature" => {"field" => "code", "value" => "D047"}}
      )
    found =
      [source, fresh].map do |data|
        data
          .features("dams", nil)
          .select { |feature| value.of?(feature, "D047") }
          .map { |feature| feature.attributes["code"] }
      end
    expect(found).to eq([["D047"], ["D047"]])
  end

  it "is refused where it makes no sense" do
    expect {
      book({layer: "dams", rule: "rule-1", feature: {field: "code", value: "D047"}, offset_mm: [1]})
    }.to invalid
    expect { book({layer: "dams", feature: {}}) }.to invalid
  end
end
