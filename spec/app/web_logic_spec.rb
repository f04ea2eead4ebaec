# frozen_string_literal: true

require "app_helper"

RSpec.describe "The front end’s own reckoning" do
  # Small pictures must not keep what somebody looks at waiting.
  it "lets so many begin at once, the others as turns end or are given up" do
    found =
      web(
        "frame/turns.ts",
        "(() => { const turns = new m.Turns(2), begun = []; " \
          "const ends = [1, 2, 3, 4, 5].map((n) => turns.take(() => begun.push(n))); const seen = [[...begun]]; " \
          "ends[2](); ends[0](); seen.push([...begun]); ends[0](); seen.push([...begun]); ends[1](); " \
          "seen.push([...begun]); return seen; })()"
      )
    expect(found).to eq([[1, 2], [1, 2, 4], [1, 2, 4], [1, 2, 4, 5]])
  end

  it "says how the drawing of a map stands" do
    said =
      web(
        "map/groundSaid.ts",
        'm.groundSaid({ kind: "drawn" })',
        'm.groundSaid({ kind: "waiting", seconds: 3 })',
        'm.groundSaid({ kind: "more" })',
        'm.groundSaid({ kind: "failed" })'
      )
    expect(said).to match([nil, "Drawing the map … 3 s", /still being drawn/, /could not be drawn; move it/])
  end

  describe "lengths as they are typed" do
    # Hand-worked: an inch is 25.4 mm, a point 1/72 inch.
    it "reads numbers, units and sums" do
      found =
        web(
          "sheet/lengths.ts",
          'm.readLength("12.5", "mm")',
          'm.readLength("297/2", "mm")',
          'm.readLength("(210-20)/4+1", "mm")',
          'm.readLength("2 in", "mm")',
          'm.readLength("1", "in")',
          'm.readLength("72 pt", "in")',
          'm.readLength("12,5", "mm")',
          'm.readLength("-3*2", "mm")',
          'm.readLength("1+2*3", "mm")'
        )
      expect(found).to eq([12.5, 148.5, 48.5, 50.8, 25.4, 25.4, 12.5, -6, 7])
    end

    it "does not read what is no length" do
      expect(
        web(
          "sheet/lengths.ts",
          *['""', '"two"', '"1/0"', '"3+"', '"(3"', '"3 ft"', '"alert(1)"', '"3 4"'].map do |text|
            "m.readLength(#{text}, 'mm')"
          end
        )
      ).to all(be_nil)
    end

    it "shows a length in each unit without a tail of noughts" do
      expect(web("sheet/lengths.ts", 'm.shown(25.4, "in")', 'm.shown(25.4, "pt")', 'm.shown(12.3456, "mm")')).to eq(
        %w[1 72 12.35]
      )
    end
  end

  # Three sheets, an index sheet before them, a page before the second sheet, and one behind all, by hand.
  describe "pages" do
    let(:book) do
      cells = (1..3).map { |number| {number: number, name: "S#{number}"} }
      pages = [[0, "Index", 1, 0], [-100, "Notes", 3, 1], [-101, "Back", 6, 3]]
      pages.map! { |number, name, position, after| {number: number, name: name, position: position, after: after} }
      JSON.generate({cells: cells, pages: pages})
    end

    it "stand among the sheets in the order that the server gives" do
      places = (0..6).map { |place| "m.leafAt(#{book}, #{place})?.name ?? null" }
      expect(web("frame/leaves.ts", *places)).to eq(["Index", "S1", "Notes", "S2", "S3", "Back", nil])
      numbers = [0, 1, -100, 2, 3, -101, 9, -7]
      expect(web("frame/leaves.ts", *numbers.map { |number| "m.placeOf(#{book}, #{number})" })).to eq(
        [0, 1, 2, 3, 4, 5, -1, -1]
      )
    end
  end

  # A frame at 1:1,000 turned by a quarter to the left, so that right on the page is north: 1 mm is 1 m.
  describe "the ground of a frame" do
    it "goes with the hand, whatever the frame’s rotation, and a frame that followed the sheet stays where it is put" do
      place = "{x: 500, y: 900, scale: 1000, rotation_deg: 0, to_ground: [0, 1, 1, 0, 0, 0]}"
      way, fixed, detail, held =
        web(
          "sheet/frames/moving.ts",
          "m.groundWay(#{place}, [10, 3])",
          "m.movedExtent({kind: 'neighbours', rings: 2}, #{place}, [10, 3])",
          "m.movedExtent({kind: 'detail', at_mm: [50, 40], times: 4}, #{place}, [10, 4])",
          "m.rescaledExtent({kind: 'sheet', times: 3}, 7500, 5000)"
        )
      expect(way).to eq([-3, -10])
      expect(fixed).to eq("kind" => "fixed", "x" => 497, "y" => 890, "scale" => 1000)
      # Four times as large: ten millimetres there are two and a half in the frame.
      expect(detail).to include("at_mm" => [47.5, 39])
      expect(held).to eq("kind" => "sheet", "times" => 3, "size" => "held", "scale" => 5000)
    end
  end

  describe "conditions on the sheet" do
    it "go into CQL2 and come back as they were" do
      attributes =
        JSON.generate(
          [
            {name: "parish", type: "text"},
            {name: "isSheetFeature", type: "boolean", asked: true},
            {name: "withinSheetFeature", type: "distance", asked: true},
            {name: "sheet.scale", type: "real"}
          ]
        )
      tests =
        JSON.generate(
          {
            all: true,
            list: [
              {attribute: "isSheetFeature", is: "no", value: ""},
              {attribute: "withinSheetFeature", is: "within", value: 200},
              {attribute: "parish", is: "same", value: "parish"},
              {attribute: "sheet.scale", is: "<", value: 10_000}
            ]
          }
        )
      written = "m.toCql(#{tests}, #{attributes})"
      cql, back = web("fields/conditions.ts", written, "m.fromCql(#{written}, #{attributes})")
      expect(cql["args"]).to eq(
        [
          {"op" => "not", "args" => [{"op" => "isSheetFeature", "args" => []}]},
          {"op" => "withinSheetFeature", "args" => [200]},
          {"op" => "=", "args" => [{"property" => "parish"}, {"property" => "sheet.feature.parish"}]},
          {"op" => "<", "args" => [{"property" => "sheet.scale"}, 10_000]}
        ]
      )
      expect(back).to eq(JSON.parse(tests))
    end
  end

  describe "boxes" do
    it "draws a handle’s sides, keeps the proportion when asked, and never turns a box inside out" do
      found =
        web(
          "sheet/boxes.ts",
          "m.resized([10, 10, 40, 20], {x: 1, y: 0}, 5, 99, false)",
          "m.resized([10, 10, 40, 20], {x: -1, y: -1}, 4, 6, false)",
          "m.resized([10, 10, 40, 20], {x: 1, y: 1}, 20, 1, true)",
          "m.resized([10, 10, 40, 20], {x: -1, y: 0}, 100, 0, false)"
        )
      expect(found).to eq([[10, 10, 45, 20], [14, 16, 36, 14], [10, 10, 60, 30], [49.5, 10, 0.5, 20]])
    end

    it "lines boxes up on a side of all of them, a single one on the margins" do
      two = "{a: [0, 0, 10, 10], b: [30, 20, 20, 5]}"
      found =
        web(
          "sheet/boxes.ts",
          "m.aligned(#{two}, 'right', [0, 0, 200, 100])",
          "m.aligned(#{two}, 'middle', [0, 0, 200, 100])",
          "m.aligned({a: [3, 3, 10, 10]}, 'centre', [20, 0, 100, 50])"
        )
      expect(found).to eq(
        [
          {"a" => [40, 0, 10, 10], "b" => [30, 20, 20, 5]},
          {"a" => [0, 7.5, 10, 10], "b" => [30, 10, 20, 5]},
          {"a" => [65, 3, 10, 10]}
        ]
      )
    end

    it "gives neighbours the same gap, and leaves the outermost where they are" do
      expect(web("sheet/boxes.ts", "m.distributed({a: [0, 0, 10, 1], c: [90, 0, 10, 1], b: [15, 0, 20, 1]}, 0)")).to eq(
        {"a" => [0, 0, 10, 1], "b" => [40, 0, 20, 1], "c" => [90, 0, 10, 1]}
      )
      expect(web("sheet/boxes.ts", "m.distributed({a: [0, 0, 10, 1], b: [15, 0, 20, 1]}, 0)")).to eq(
        {"a" => [0, 0, 10, 1], "b" => [15, 0, 20, 1]}
      )
    end
  end

  describe "snapping" do
    to = "m.targets([0, 0, 210, 297], [10, 10, 190, 277], [[50, 50, 20, 10]])"

    it "brings an edge to the nearest edge and a middle to a middle, and shows the line" do
      found =
        web(
          "sheet/snapping.ts",
          "m.snapMove([11, 100.2, 30, 10], #{to}, 2, 0.5)",
          "m.snapMove([44, 51, 31, 8.2], #{to}, 1, 0.5)"
        )
      expect(found[0]).to match(
        {"dx" => -1, "dy" => be_within(1e-9).of(-0.2), "guides" => [{"axis" => 0, "at" => 10}]}
      )
      expect(found[1]["guides"]).to include({"axis" => 0, "at" => 60}, {"axis" => 1, "at" => 55})
      expect(found[1]["dx"]).to be_within(1e-9).of(0.5)
    end

    it "keeps to the grid where nothing is near, and to nothing at all when it is asked not to snap" do
      expect(web("sheet/snapping.ts", "m.snapMove([100.3, 200.1, 7, 7], #{to}, 0.1, 0.5)")).to include(
        "dx" => be_within(1e-9).of(0.2),
        "dy" => be_within(1e-9).of(-0.1),
        "guides" => []
      )
      expect(web("sheet/snapping.ts", "m.snapMove([10.4, 10.4, 7, 7], #{to}, 0, 0)")).to eq(
        {"dx" => 0, "dy" => 0, "guides" => []}
      )
    end

    it "snaps only the sides that a handle moves" do
      expect(web("sheet/snapping.ts", "m.snapSides([20, 20, 29.5, 5], {x: 1, y: 0}, #{to}, 1, 0.5)")).to eq(
        {"dx" => 0.5, "dy" => 0, "guides" => [{"axis" => 0, "at" => 50}]}
      )
    end
  end

  # What the controls write is read by the core, which is checked against the standard on its own.
  describe "conditions from controls" do
    attributes =
      JSON.generate(
        [
          {name: "depth", type: "real"},
          {name: "name", type: "text"},
          {name: "seen", type: "date"},
          {name: "open", type: "boolean"}
        ]
      )
    features = {
      "a" => {
        "depth" => 5,
        "name" => "Black Hag 50%",
        "seen" => "2026-04-01",
        "open" => true
      },
      "b" => {
        "depth" => 12.5,
        "name" => "White hag",
        "seen" => "2025-01-01",
        "open" => false
      },
      "c" => {
        "name" => nil
      }
    }
    {
      {attribute: "depth", is: ">", value: 5} => %w[b],
      {attribute: "depth", is: "between", value: [5, 6]} => %w[a],
      {attribute: "depth", is: "missing", value: ""} => %w[c],
      {attribute: "depth", is: "there", value: ""} => %w[a b],
      {attribute: "name", is: "holds", value: "HAG"} => %w[a b],
      {attribute: "name", is: "starts", value: "White"} => %w[b],
      {attribute: "name", is: "holds", value: "50%"} => %w[a],
      {attribute: "name", is: "in", value: ["White hag", "x"]} => %w[b],
      {attribute: "seen", is: "before", value: "2026-01-01"} => %w[b],
      {attribute: "seen", is: "from", value: "2026-04-01"} => %w[a],
      {attribute: "open", is: "yes", value: ""} => %w[a],
      {attribute: "open", is: "no", value: ""} => %w[b]
    }.each do |test, met|
      it "#{test[:attribute]} #{test[:is]} #{test[:value]} goes out as CQL2, is met by the right features, and comes " \
           "back as it was" do
        tests = JSON.generate({all: true, list: [test]})
        cql, back =
          web(
            "fields/conditions.ts",
            "m.toCql(#{tests}, #{attributes})",
            "m.fromCql(m.toCql(#{tests}, #{attributes}), #{attributes})"
          )
        condition = TileLoom::Data::Condition.new(cql)
        condition.check_types({"depth" => "real", "name" => "text", "seen" => "date", "open" => "boolean"})
        expect(features.select { |_, feature| condition.match?(feature) }.keys).to eq(met)
        wanted = JSON.parse(tests)
        wanted["list"][0]["value"] = wanted["list"][0]["value"].downcase if test[:is] == "holds"
        expect(back).to eq(wanted)
      end
    end

    it "joins several by and or or, and leaves alone what the controls cannot show" do
      list =
        JSON.generate(
          {all: false, list: [{attribute: "depth", is: ">", value: 5}, {attribute: "open", is: "yes", value: ""}]}
        )
      cql, back, strange =
        web(
          "fields/conditions.ts",
          "m.toCql(#{list}, #{attributes})",
          "m.fromCql(m.toCql(#{list}, #{attributes}), #{attributes})",
          'm.fromCql({op: ">", args: [{op: "+", args: [{property: "depth"}, 1]}, 3]}, [])'
        )
      expect(cql["op"]).to eq("or")
      expect(back).to eq(JSON.parse(list))
      expect(strange).to be_nil
    end
  end

  # Cynthia Brewer's palettes as the npm package has them: YlGnBu in three classes, from its table.
  describe "palettes" do
    it "gives the colours of a palette, reversed, fewer than it starts with, and more than it ends with" do
      found =
        web(
          "fields/palettes.ts",
          'm.colours("YlGnBu", 3)',
          'm.colours("YlGnBu", 3, true)',
          'm.colours("YlGnBu", 2)',
          'm.colours("Dark2", 10)',
          "m.RAMPS.map(name => m.colours(name, 12).length)"
        )
      expect(found[0]).to eq(%w[#edf8b1 #7fcdbb #2c7fb8])
      expect(found[1]).to eq(found[0].reverse)
      expect(found[2]).to eq(found[0].last(2))
      expect(found[3].length).to eq(10)
      expect(found[4].uniq).to eq([12])
    end
  end

  it "shows its own changes at once, but for what the server has to say first, and takes back what is refused" do
    book = {revision: 4, document: {title: "Moss", layers: [{id: "dams", title: "Dams"}], index: {scale: 2500}}}
    put = ->(path, value) { {op: "replace", path: path, value: value} }
    shown = ->(*waiting) { "m.withWaiting(#{book.to_json}, #{waiting.to_json}).document" }
    one = {operations: [put.call("/title", "Bog"), put.call("/layers/dams/title", "Weirs")]}
    two = {operations: [put.call("/title", "Fen")]}
    found =
      web(
        "api/atOnce.ts",
        shown.call(one, two),
        shown.call(two),
        shown.call(one.merge(until: 4), two.merge(until: 5)),
        shown.call(
          {
            operations: [
              {op: "add", path: "/layers/peat", value: {id: "peat"}},
              {op: "remove", path: "/layers/dams"},
              put.call("/layers", []),
              put.call("/layers/gone/title", "x"),
              {op: "test", path: "/title", value: "x"}
            ]
          }
        )
      )
    expect(found.map { |document| [document["title"], document["layers"][0]["title"]] }).to eq(
      [%w[Fen Weirs], %w[Fen Dams], %w[Fen Dams], %w[Moss Dams]]
    )
    expect(
      web("api/atOnce.ts", "m.atOnce({layers: [{id: 'a'}]}, #{[put.call("/layers/a/title", "x")].to_json}).length")
    ).to eq(1)
  end

  it "knows what the hand is doing on the page" do
    walk = ->(*moves) { "[#{moves.map(&:to_json).join(",")}].reduce(m.moved, m.EMPTY)" }
    select = ->(*ids) { {do: "select", ids: ids} }
    line, row = {do: "line", on: true}, {do: "row", row: "note 1", beside: true}
    found =
      web(
        "sheet/hand.ts",
        walk.call(select.call("a"), line, row, select.call("a")),
        walk.call(select.call("a"), line, row, select.call("b")),
        walk.call(line, row),
        walk.call({do: "designs"}, select.call("a"), select.call),
        walk.call({do: "new page"}, select.call),
        walk.call({do: "designs"}, {do: "back"}),
        walk.call({do: "detail", on: true}, select.call("a"), {do: "page"})
      )
    expect(found[0]).to include("line" => true, "row" => "note 1", "beside" => true)
    expect(found[1]).to include("ids" => ["b"], "line" => false, "row" => nil)
    expect(found[2..5].map { |hand| hand["at"] }).to eq(["page", "page", "new page", "page"])
    expect(found[6]).to eq({"at" => "page", "detail" => true})
  end

  it "gives entries of a list ids that nobody else has, and knows again those that lost theirs" do
    before = {
      layout: {
        elements: [{id: "key", rows: [{id: "row-1", kind: "note", text: "a"}, {id: "row-2", kind: "note"}]}]
      }
    }
    rows = ->(*list) { {layout: {elements: [{id: "key", rows: list}]}}.to_json }
    one, other = before[:layout][:elements][0][:rows]
    cases = [
      rows.call(one, other, {kind: "heading"}),
      rows.call({kind: "note"}, {kind: "note", text: "a"}),
      rows.call({kind: "heading"}, other),
      rows.call(one, one, other)
    ]
    found = web("api/entryIds.ts", *cases.map { |list| "m.identified(#{list}, #{before.to_json})" })
    ids = found.map { |document| document["layout"]["elements"][0]["rows"].map { |row| row["id"] } }
    expect(ids[0]).to match(["row-1", "row-2", /\An[a-z0-9]{5,}\z/])
    expect(ids[1]).to eq(%w[row-2 row-1])
    expect(ids[2]).to eq(%w[row-1 row-2])
    expect(ids[3]).to match(["row-1", /\An/, "row-2"])
    expect(web("api/entryIds.ts", "m.identified({tabs: [{at: 1}]}, {})")).to eq({"tabs" => [{"at" => 1}]})
  end

  it "says of a step when it was and whose, and what became of it" do
    now = "new Date(2026, 10, 30, 15, 0)"
    at = ->(*time) { "m.when(new Date(#{time.join(",")}).toISOString(), #{now})" }
    found =
      web(
        "history/words.ts",
        at.call(2026, 10, 30, 14, 31),
        at.call(2026, 10, 29, 9, 5),
        at.call(2025, 0, 3, 14, 31),
        "m.who({own: null})",
        "m.who({own: true})",
        "m.who({own: false})",
        "m.since({state: 'given_up'})",
        "m.since({state: 'step'})"
      )
    expect(found).to eq(
      ["14:31", "29 Nov, 09:05", "3 Jan 2025, 14:31", "the server", "you", "another browser", "undone since", nil]
    )
  end

  it "offers what differs of the book as it was, to be taken" do
    book = {
      document: {
        layout: {
          a: 1
        },
        layers: [{id: "moss", title: "Moss"}],
        index: {
          scale: 1
        }
      },
      cells: [{id: 7, number: 1, name: "A1"}]
    }
    today = JSON.parse(JSON.generate(book))
    today["document"]["layers"] = [{id: "moss", title: "Moss", version: 3}]
    same = today.merge("cells" => today["cells"])
    today = JSON.parse(JSON.generate(today)).merge("cells" => [{id: 7, number: 1, name: "B9"}])
    today["document"]["layout"] = {a: 2}
    found = web("history/parts.ts", *[same, today].map { |one| "m.partsOf(#{book.to_json}, #{one.to_json}, 1)" })
    expect(found[0]).to eq([])
    expect(found[1].map { |part| part["title"] }).to eq(
      ["Design of the sheets", "Sheet A1 alone", "Index with all its cells"]
    )
    gone = today["document"].merge("layers" => [])
    found = web("history/parts.ts", "m.partsOf(#{book.to_json}, #{today.merge("document" => gone).to_json}, null)")
    expect(found.last).to eq({"part" => "layer", "id" => "moss", "title" => "Layer Moss"})
  end

  it "says which area an index covers, and writes one whole layer as its id" do
    book =
      JSON.generate(
        {
          document: {
            layers: [{id: "moss", title: "Moss"}, {id: "dams", title: "Dams"}],
            index: {
              area: [
                {layer: "moss", when: {op: "isNull", args: []}},
                {layer: "dams", features: [1, 2]},
                {polygon: []},
                {polygon: []}
              ]
            }
          }
        }
      )
    expect(
      web(
        "api/area.ts",
        "m.areaInWords(#{book})",
        'm.areaOf([{layer: "moss"}])',
        'm.areaOf([{layer: "moss", features: [1]}])',
        'm.partsOf("moss")'
      )
    ).to eq(
      [
        "part of Moss, 2 features of Dams and 2 drawn shapes",
        "moss",
        [{"layer" => "moss", "features" => [1]}],
        [{"layer" => "moss"}]
      ]
    )
  end

  # As the core has them (spec/core/operations_spec.rb), which does what the front end asks for.
  describe "operations on a document" do
    let(:core) { TileLoom::Document::Operations }

    def layers(*entries) = {"layers" => entries.map { |id, more| {"id" => id, "title" => id}.merge(more || {}) }}

    it "are those of the core, and do the same" do
      before = layers(["a"], ["b", {"list" => [1, 2]}], ["c"]).merge("title" => "x", "gone" => 1)
      after =
        layers(["c"], ["n"], ["a", {"title" => "First"}], ["b", {"list" => [3]}]).merge(
          "title" => "y",
          "a/b~" => {
            "p" => nil
          }
        )
      both = [before, after].map { |document| JSON.generate(document) }
      made = web("api/operations.ts", "m.between(#{both.join(", ")})")
      expect(made.reject { |operation| operation["op"] == "test" }).to match_array(core.between(before, after))
      expect(made).to include({"op" => "test", "path" => "/layers/b/list", "value" => [1, 2]})
      expect(core.applied(before, made)).to eq(after)
      done = core.between(before, after)
      expect(web("api/operations.ts", "m.applied(#{both.first}, #{JSON.generate(done)})")).to eq(after)
      back = core.between(after, before)
      expect(web("api/operations.ts", "m.applied(#{both.last}, #{JSON.generate(back)})")).to eq(before)
    end

    # A word is made bold before the answer to the text that was typed a moment ago is there.
    it "of one hand hold one after the other, and are of nothing but what it changed" do
      elements = ->(text, key = "Key") do
        {"elements" => [{"id" => "t", "text" => text}, {"id" => "u", "text" => key}]}
      end
      seen = elements["Text"]
      patch = elements["Skarrow <b>Moss</b>"]
      bold = web("api/operations.ts", "m.between(#{JSON.generate(seen)}, #{JSON.generate(patch)})")
      expect(core.applied(elements["Skarrow Moss", "Legend"], bold)).to eq(elements["Skarrow <b>Moss</b>", "Legend"])
    end

    it "test a list that is a value as a whole as it was seen, or as one left it oneself" do
      made = web("api/operations.ts", "m.between({p: {list: [1]}}, {p: {list: [1, 2]}})")
      expect { core.applied({"p" => {"list" => [7]}}, made) }.to raise_error(TileLoom::Refusal)
      own = web("api/operations.ts", "m.retested(#{JSON.generate(made)}, {p: {list: [7]}})")
      expect(core.applied({"p" => {"list" => [7]}}, own)).to eq({"p" => {"list" => [1, 2]}})
    end

    it "come of a merge patch that leaves the document as it was" do
      found =
        web(
          "api/merged.ts",
          "(() => { const d = {a: {b: 1, c: 2}, l: [1]}; return [m.merged(d, {a: {b: null, x: undefined}, l: [2]}), d]; })()"
        )
      expect(found).to eq([{"a" => {"c" => 2}, "l" => [2]}, {"a" => {"b" => 1, "c" => 2}, "l" => [1]}])
    end

    it "are one hand’s as long as each was made on what the one before it led to" do
      chain = ->(*changes) do
        changes.reduce("null") { |own, (since, revision)| "m.joined(#{own}, #{since}, #{revision})" }
      end
      alone = ->(own, seen, now) { web("api/ownChanges.ts", "m.alone(#{own}, #{seen}, #{now})") }
      expect(web("api/ownChanges.ts", chain[[3, 4], [4, 5]])).to eq("from" => 3, "to" => 5)
      mine = chain[[3, 4], [4, 5]]
      expect(alone[mine, 3, 5]).to be(true)
      expect(alone[mine, 2, 5]).to be(false)
      expect(alone[mine, 3, 6]).to be(false)
      # Somebody else made the fifth.
      expect(alone[chain[[3, 4], [5, 6]], 3, 6]).to be(false)
      expect(alone["null", 3, 3]).to be(false)
    end
  end
end
