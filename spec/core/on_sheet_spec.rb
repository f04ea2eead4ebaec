# frozen_string_literal: true

# What depends on the sheet: conditions that ask for it, elements that stand on some sheets, the veil.
RSpec.describe "What depends on the sheet" do
  # Three villages side by side, of 1,000 m by 800 m; the second and third share a border.
  def villages
    [["Ardroy", 500_000, 501_000], ["Balmore", 501_150, 502_150], ["Cairnie", 502_150, 503_150]].each_with_index
      .map do |(name, west, east), index|
      rectangle(
        west,
        6_100_000,
        east,
        6_100_800,
        id: index + 1,
        attributes: {
          "name" => name,
          "parish" => (index < 2) ? "North" : "South"
        }
      )
    end
  end

  # By feature at 1:10,000, or a plain grid.
  def book(
    index: {kind: "features", scale_rule: {kind: "fixed"}, naming: {kind: "field", field: "name"}},
    elements: [],
    main: {},
    label: nil,
    rules: nil,
    scale: 10_000
  )
    settings = small_settings(scale: scale, index: index)
    layer = settings["layers"].first
    layer["rules"] = JSON.parse(JSON.generate(rules)) if rules
    layer["labels"] = [JSON.parse(JSON.generate(label))] if label
    list =
      settings["layout"]["elements"].map do |element|
        (element["kind"] == "map_frame") ? element.merge(JSON.parse(JSON.generate(main))) : element
      end
    settings["layout"]["elements"] = [*list, *JSON.parse(JSON.generate(elements))]
    TileLoom::Document::Check.demand(settings)
    TileLoom::Document::Book.new(settings)
  end

  def source = @source ||= TileLoom::Data::MemorySource.new("area" => villages)

  def sheet(book, name)
    cells = book.cells(source)
    TileLoom::Compose::SheetComposer.new(
      book: book,
      source: source,
      cell: cells.find { |cell| cell.name == name },
      count: cells.length
    )
  end

  def nodes(node) = node.is_a?(TileLoom::Scene::Group) ? node.children.flat_map { |child| nodes(child) } : [node]

  def fills(composer)
    nodes(composer.layout.main_frame.draw(composer)).grep(TileLoom::Scene::Path).filter_map { |path| path.fill&.colour }
  end

  def rule(colour, condition = nil) = {title: colour, symbol: {fill: {colour: colour}}, when: condition}.compact

  # The scene's rings as a GEOS area, in page mm; even-odd.
  def area_of(runs)
    shapes = runs.map { |run| TileLoom::Geometry::Geos.polygon(run).buffer(0) }
    shapes.reduce { |all, shape| all.sym_difference(shape) }
  end

  describe "a condition" do
    it "tells the sheet's own feature from those that touch it, are near it, or are far" do
      rules = [
        rule("#111111", {op: "isSheetFeature", args: []}),
        rule("#222222", {op: "touchesSheetFeature", args: []}),
        rule("#333333", {op: "withinSheetFeature", args: [200]}),
        rule("#444444")
      ]
      made = book(rules: rules)
      # Of Balmore: Cairnie shares its border, Ardroy is 150 m away. Of Ardroy: Cairnie is 1,150 m away.
      source_fills = ->(name) do
        sheet(made, name).book.layers.first.then do |layer|
          villages.to_h do |village|
            [
              village.attributes["name"],
              layer
                .rules_for(village.attributes, sheet(made, name).on_sheet.see("area", village))
                .first
                .symbol
                .fill
                .colour
            ]
          end
        end
      end
      expect(source_fills["Balmore"]).to eq("Ardroy" => "#333333", "Balmore" => "#111111", "Cairnie" => "#222222")
      expect(source_fills["Ardroy"]).to eq("Ardroy" => "#111111", "Balmore" => "#333333", "Cairnie" => "#444444")
      expect(fills(sheet(made, "Balmore"))).to include("#111111", "#222222")
    end

    it "asks for the sheet's name, number, place and scale, and fields of its feature" do
      conditions = {
        {op: "=", args: [{property: "sheet.name"}, "Balmore"]} => %w[Balmore],
        {op: ">", args: [{property: "sheet.number"}, 1]} => %w[Balmore Cairnie],
        {op: "=", args: [{property: "sheet.scale"}, 10_000]} => %w[Ardroy Balmore Cairnie],
        {op: "=", args: [{property: "parish"}, {property: "sheet.feature.parish"}]} => %w[Ardroy Balmore]
      }
      conditions.each do |condition, expected|
        made = book(rules: [rule("#111111", condition), rule("#444444")])
        ardroy = villages.first
        names =
          made
            .cells(source)
            .map(&:name)
            .select do |name|
              made
                .layers
                .first
                .rules_for(ardroy.attributes, sheet(made, name).on_sheet.see("area", ardroy))
                .first
                .title == "#111111"
            end
        expect(names).to eq(expected)
      end
    end

    it "is false of a map that is of no sheet, and refused where there is none" do
      made = book(rules: [rule("#111111", {op: "isSheetFeature", args: []}), rule("#444444")])
      expect(made.layers.first.rules_for(villages.first.attributes).map(&:title)).to eq(["#444444"])
      expect { book(index: {area: [{layer: "area", when: {op: "isSheetFeature", args: []}}]}) }.to invalid(
        /asks for the sheet/
      )
      expect { book(rules: [rule("#111111", {op: "=", args: [{property: "sheet.colour"}, 1]})]) }.to invalid(
        /sheet.colour/
      )
      expect { book(rules: [rule("#111111", {op: "withinSheetFeature", args: [-1]})]) }.to invalid(
        /from 0 to 1,000,000 m/
      )
      expect {
        book(
          elements: [
            {
              kind: "box",
              id: "b",
              place: {
                left_mm: 0,
                top_mm: 0,
                width_mm: 5,
                height_mm: 5
              },
              shown_on: {
                when: {
                  op: "=",
                  args: [{property: "name"}, "x"]
                }
              }
            }
          ]
        )
      }.to invalid(/asks for “name” of a feature/)
    end

    it "chooses which features have labels" do
      label = {field: "name", when: {op: "isSheetFeature", args: []}}
      composer = sheet(book(label: label), "Balmore")
      texts = nodes(composer.layout.main_frame.draw(composer)).grep(TileLoom::Scene::Text).map(&:string)
      expect(texts).to include("Balmore")
      expect(texts).not_to include("Cairnie")
    end
  end

  it "elements stand on the sheets that are named, counted or met by a condition, and on no others" do
    box = ->(id, **shown) do
      {kind: "box", id: id, place: {left_mm: 0, top_mm: 0, width_mm: 5, height_mm: 5}, shown_on: shown}
    end
    elements = [
      box["named", sheets: "Balmore, 3"],
      box["first", which: "first"],
      box["others", which: "not_first"],
      box["odd", which: "odd"],
      box["even", which: "even"],
      box["last", which: "last"],
      box["before_last", which: "not_last"],
      box["any", which: "all", sheets: " "],
      box["east", neighbour: "east"],
      box["end", neighbour: "east", without: true],
      box["northern", when: {op: "=", args: [{property: "sheet.feature.parish"}, "North"]}],
      box["gone", sheets: "Dunmore"]
    ]
    made = book(elements: elements)
    standing =
      made
        .cells(source)
        .to_h do |cell|
          [cell.name, sheet(made, cell.name).elements.map(&:id) & elements.map { |element| element[:id] }]
        end
    expect(standing["Ardroy"]).to include("first", "odd", "northern")
    expect(standing["Balmore"]).to include("named", "others", "northern")
    expect(standing["Cairnie"]).to include("named", "others", "odd", "end")
    expect(standing.transform_values { |ids| ids & %w[even last before_last any] }).to eq(
      {"Ardroy" => %w[before_last any], "Balmore" => %w[even before_last any], "Cairnie" => %w[last any]}
    )
    expect(standing.transform_values { |ids| ids & %w[east end] }.values.map(&:length)).to eq([1, 1, 1])
    expect(standing.values.flatten.tally).to include("named" => 2, "first" => 1, "others" => 2, "northern" => 2)
    expect(standing.values.flatten).not_to include("gone")
    expect(sheet(made, "Ardroy").left_out).to include(
      a_string_matching(/“gone” is shown on the sheets “Dunmore”.*Dunmore/)
    )
  end

  describe "the veil" do
    def veil_paths(composer)
      frame = composer.layout.main_frame.draw(composer)
      frame.children.find { |group| group.is_a?(TileLoom::Scene::Group) && group.name == "veil" }&.children.to_a
    end

    # GEOS's own difference of the frame and the feature.
    it "covers the frame but for the sheet's feature, to 0.01 mm², and reaches its very vertices" do
      composer = sheet(book(main: {veil: {}}), "Balmore")
      veil = veil_paths(composer).first
      view = composer.view
      feature =
        TileLoom::Geometry::Geos.polygon(
          view.to_page(TileLoom::Geometry::Wkb.each_run(villages[1].wkb).first[1][0...-2])
        )
      window = TileLoom::Geometry::Geos.box(view.frame)
      expected = window.difference(feature)
      found = area_of(veil.runs).intersection(window)
      expect(found.sym_difference(expected).area).to be < 0.01
      expect(veil.fill.opacity).to eq(0.5)
      # The feature's fill ends in the same numbers, so that no sliver shows at any enlargement.
      drawn =
        nodes(composer.layout.main_frame.draw(composer))
          .grep(TileLoom::Scene::Path)
          .reject { |path| path.equal?(veil) }
          .flat_map(&:runs)
      own = veil.runs.last.each_slice(2).to_a
      expect(drawn.map { |run| run.each_slice(2).to_a }).to include(satisfy { |run| (own - run).empty? })
    end

    it "keeps a margin, and has a soft edge of outlines that come to its opacity" do
      clear = sheet(book(main: {veil: {margin_mm: 4, opacity: 1}}), "Balmore")
      frame = TileLoom::Geometry::Geos.box(clear.view.frame)
      # 100 mm by 80 mm at 1:10,000 with 4 mm round it, its corners rounded.
      area = frame.area - area_of(veil_paths(clear).first.runs).intersection(frame).area
      expect(area).to be_within(0.5).of(100 * 80 + 2 * 4 * (100 + 80) + Math::PI * 16)
      soft = veil_paths(sheet(book(main: {veil: {soft_mm: 5, opacity: 0.8}}), "Balmore"))
      expect(soft.length).to be >= 8
      expect(1 - soft.map { |path| 1 - path.fill.opacity }.reduce(:*)).to be_within(1e-9).of(0.8)
    end

    it "lies below labels and grids or above them, as it is asked for, and never in a legend" do
      order = ->(veil) do
        grids = [{id: "g", crs: "book", stroke: {colour: "#777777", width_mm: 0.1}}]
        composer = sheet(book(main: {veil: veil, grids: grids}, label: {field: "name"}), "Balmore")
        frame = composer.layout.main_frame.draw(composer)
        all = nodes(frame)
        veiled = all.index(veil_paths(composer).first)
        [
          all.index { |node| node.is_a?(TileLoom::Scene::Text) && node.string == "Balmore" } <=> veiled,
          all.index { |node| node.respond_to?(:stroke) && node.stroke&.colour == "#777777" } <=> veiled,
          composer.legend_entries.map(&:title)
        ]
      end
      above, below = order[{}], order[{labels: "below", grids: "below"}]
      expect(above.first(2)).to eq([1, 1])
      expect(below.first(2)).to eq([-1, -1])
      expect(above.last).to eq(below.last)
    end

    it "that hides what lies outside leaves it out of the legend, too" do
      rules = [rule("#111111", {op: "=", args: [{property: "name"}, "Balmore"]}), rule("#222222")]
      titles = ->(opacity) do
        sheet(book(rules: rules, main: {veil: {opacity: opacity}}), "Ardroy").legend_entries.map(&:title)
      end
      expect(titles[0.5]).to include("#222222")
      expect(titles[1]).to eq(["#222222"])
      cairnie = ->(opacity) do
        sheet(book(rules: rules, main: {veil: {opacity: opacity}}), "Cairnie").legend_entries.map(&:title)
      end
      expect(cairnie[0.5]).to match_array(%w[#111111 #222222])
      expect(cairnie[1]).to match_array(%w[#111111 #222222]).or eq(["#222222"])
    end

    it "in a plain grid stays clear of the feature that the sheet shows most of, and the sheet says so" do
      made =
        book(
          index: {
            kind: "grid"
          },
          main: {
            veil: {}
          },
          elements: [
            {
              kind: "text",
              id: "t",
              place: {
                left_mm: 0,
                top_mm: 0,
                width_mm: 60,
                height_mm: 8
              },
              text: "{{ feature.name }}"
            }
          ],
          scale: 4000
        )
      names =
        made
          .cells(source)
          .map do |cell|
            composer = sheet(made, cell.name)
            window = cell.ground.shape
            most = villages.max_by { |village| TileLoom::Geometry::Geos.read(village.wkb).intersection(window).area }
            expect(composer.live_text("{{ feature.name }}")).to eq(most.attributes["name"])
            expect(TileLoom::Compose::SheetFacts.new(composer).to_h["feature"]).to eq(
              "name" => most.attributes["name"],
              "own" => false
            )
            expect(composer.on_sheet.own.id).to eq(most.id)
            most.attributes["name"]
          end
      expect(names.uniq.length).to be > 1
    end
  end
end
