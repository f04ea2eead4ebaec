# frozen_string_literal: true

RSpec.describe TileLoom::Furniture::Elements::Inset do
  include Outside

  # Nine cells of 750 m by 500 m about, three by three, with an area, lines and points in them.
  def book(*insets, main: {}, **changes)
    features = [rectangle(500_000, 6_100_000, 502_200, 6_101_400, attributes: {"name" => "Whole"})]
    settings = deep_merge(small_settings(**changes), {})
    elements =
      settings["layout"]["elements"].map do |element|
        (element["kind"] == "map_frame") ? element.merge(JSON.parse(JSON.generate(main))) : element
      end
    settings["layout"] = settings["layout"].merge("elements" => [*elements, *JSON.parse(JSON.generate(insets))])
    TileLoom::Document::Check.demand(settings)
    [TileLoom::Document::Book.new(settings), TileLoom::Data::MemorySource.new("area" => features)]
  end

  def inset(id, place: {left_mm: 10, top_mm: 10, width_mm: 60, height_mm: 45}, **more) =
    {kind: "inset", id: id, place: place, border: {}, **more}

  def sheet(book, source, name = nil)
    cells = book.cells(source)
    cell = name ? cells.find { |known| known.name == name } : cells.first
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: cells.length)
  end

  def view(sheet, id) = sheet.frame(id).view_on(sheet)

  def main_id(sheet) = sheet.layout.main_frame.id

  def nodes(node) = node.is_a?(TileLoom::Scene::Group) ? node.children.flat_map { |child| nodes(child) } : [node]

  def drawn(sheet, id) = nodes(sheet.frame(id).draw(sheet))

  describe "its extent" do
    it "round the sheet is so many times as wide and as high, at the scale that shows all of it" do
      composer = sheet(*book(inset("in", extent: {kind: "sheet", times: 4})))
      ground, found = composer.cell.ground, view(composer, "in")
      expect([found.ground.centre_x, found.ground.centre_y]).to eq([ground.centre_x, ground.centre_y])
      # 60 by 45 mm: whichever side is the tighter holds four of the sheet's.
      expect([found.ground.width / ground.width, found.ground.height / ground.height].min).to be_within(1e-9).of(4)
      expect(found.scale).to be_within(1e-3).of([ground.width * 4 / 0.060, ground.height * 4 / 0.045].max)
    end

    it "of neighbours has one scale on all sheets, and each in the middle" do
      book, source = book(inset("in", extent: {kind: "neighbours", rings: 1, margin_percent: 0}))
      views = book.cells(source).map { |cell| view(sheet(book, source, cell.name), "in") }
      expect(views.map { |found| found.scale.round(3) }.uniq.length).to eq(1)
      book
        .cells(source)
        .zip(views) do |cell, found|
          expect([found.ground.centre_x, found.ground.centre_y]).to eq([cell.ground.centre_x, cell.ground.centre_y])
        end
      # The sheet itself and all that touch it are in view.
      cells = book.cells(source)
      middle = cells.find { |cell| book.neighbours(source).of(cell).length == 8 } || cells.first
      around = book.neighbours(source).of(middle).values.map { |cell| cell.ground.box }
      window = view(sheet(book, source, middle.name), "in").ground.box.grow(1e-6)
      expect(around).to all(
        satisfy { |box| window.include?(box.min_x, box.min_y) && window.include?(box.max_x, box.max_y) }
      )
    end

    it "is held, round or standard, as its scale is asked for" do
      scales =
        {"held" => 40_000, "round" => nil, "standard" => nil}.to_h do |size, scale|
          composer = sheet(*book(inset("in", extent: {kind: "whole_index", size: size, scale: scale}.compact)))
          [size, view(composer, "in").scale.round(6)]
        end
      expect(scales["held"]).to eq(40_000)
      expect(scales["round"].to_i.to_s).to match(/\A[1-9]\d0+\z/)
      expect(TileLoom::Index::StandardScales::ALL).to include(scales["standard"].round)
    end

    it "of a feature has the margin that is asked for" do
      composer = sheet(*book(inset("in", extent: {kind: "features", margin_percent: 10})))
      # 2,200 m by 1,400 m and a tenth of the larger side all round: 2,640 by 1,840 in 60 by 45 mm.
      expect(view(composer, "in").scale).to be_within(0.01).of([2640 / 0.060, 1840 / 0.045].max)
    end

    it "as a detail is so many times as large as the frame that it is of, and has the place that its outline shows" do
      main = {outlines: [{frame: "in"}]}
      composer =
        sheet(*book(inset("in", letter: "A", extent: {kind: "detail", at_mm: [100, 80], times: 4}), main: main))
      found, outer = view(composer, "in"), composer.view
      expect(outer.scale / found.scale).to be_within(1e-9).of(4)
      outline =
        drawn(composer, main_id(composer)).find do |node|
          node.is_a?(TileLoom::Scene::Path) && node.stroke&.colour == "#1f6f78"
        end
      box = TileLoom::Geometry::Box.around(outline.runs.first)
      expect([box.width, box.height]).to match([be_within(1e-6).of(15), be_within(1e-6).of(11.25)])
      expect(box.centre).to match(
        [be_within(1e-6).of(outer.frame.min_x + 100), be_within(1e-6).of(outer.frame.min_y + 80)]
      )
      letters = [main_id(composer), "in"].map { |id| drawn(composer, id).grep(TileLoom::Scene::Text).map(&:string) }
      expect(letters).to all(include("A"))
    end

    it "as a detail of a place of the ground stands on the sheets of that place alone, and is told nowhere" do
      book, source = book(inset("in", extent: {kind: "detail", at: [500_100, 6_101_300], times: 3}))
      with, without = book.cells(source).partition { |cell| view(sheet(book, source, cell.name), "in") }
      expect(with).not_to be_empty
      expect(with).to all(satisfy { |cell| cell.ground.box.include?(500_100, 6_101_300) })
      expect(without).not_to be_empty
      expect(sheet(book, source, without.first.name).left_out).to eq([])
    end

    it "that goes round in a circle shows nothing, and a frame that is not there is told" do
      one = inset("one", extent: {kind: "detail", frame: "two", at_mm: [10, 10]})
      two =
        inset(
          "two",
          extent: {
            kind: "detail",
            frame: "one",
            at_mm: [10, 10]
          },
          place: {
            left_mm: 90,
            top_mm: 10,
            width_mm: 40,
            height_mm: 30
          }
        )
      composer = sheet(*book(one, two, main: {outlines: [{frame: "gone"}]}))
      expect(view(composer, "one")).to be_nil
      expect(composer.left_out).to include(
        "The frame “gone”, whose ground is to be shown, is not on this page.",
        a_string_matching(/“one” has nothing to show/)
      )
    end
  end

  # cs2cs of PROJ on its own, of the same edges cut into 2,000 parts.
  it "shows the ground of another frame bent as PROJ has it, within 0.05 mm" do
    mercator =
      inset(
        "in",
        crs: "EPSG:3035",
        extent: {
          kind: "sheet",
          times: 1.2
        },
        place: {
          left_mm: 10,
          top_mm: 10,
          width_mm: 260,
          height_mm: 180
        },
        outlines: [{stroke: {colour: "#123456", width_mm: 0.2}}]
      )
    # Cells of 300 km, whose edges bend by some millimetres.
    features = [rectangle(200_000, 5_600_000, 1_400_000, 6_700_000)]
    settings = small_settings(scale: 1_000_000, index: {buffer: "0 m"})
    settings["layout"]["elements"] << JSON.parse(JSON.generate(mercator))
    book = TileLoom::Document::Book.new(settings)
    composer = sheet(book, TileLoom::Data::MemorySource.new("area" => features))
    found = view(composer, "in")
    outline =
      drawn(composer, "in").find { |node| node.is_a?(TileLoom::Scene::Path) && node.stroke&.colour == "#123456" }
    ours = outline.runs.first.each_slice(2).to_a
    corners = composer.cell.ground.corners.each_slice(2).to_a
    dense =
      [*corners, corners.first].each_cons(2)
        .flat_map do |(x1, y1), (x2, y2)|
          (0...500).map { |step| [x1 + (x2 - x1) * step / 500.0, y1 + (y2 - y1) * step / 500.0] }
        end
    input = dense.map { |x, y| format("%.6f %.6f\n", x, y) }.join
    # EPSG:3035 counts northing first.
    theirs =
      outside("cs2cs", "-f", "%.6f", "EPSG:25829", "EPSG:3035", input: input).lines.map do |line|
        line.split.first(2).map(&:to_f).reverse
      end
    line = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.line([*ours, ours.first].flatten))
    off =
      theirs.map do |place|
        TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(*found.to_page(place))).distance(line)
      end
    expect(off.max).to be < 0.05
    # It does bend: its corners alone would not do.
    straight =
      TileLoom::Geometry::Geos.polygon(
        corners.flat_map { |place| found.to_page(TileLoom::Crs::Transform.between(book.crs, found.crs).forward(place)) }
      )
    expect(
      theirs
        .map do |place|
          TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(*found.to_page(place))).distance(
            straight.boundary
          )
        end
        .max
    ).to be > 0.05
    expect(ours.length).to be < 200
  end

  # 30″ of latitude are 928 m (the meridian at 55° N), 9.3 mm at 1:100,000; 1′ is the next of the series on maps.
  it "says where a fixed interval is too close for its scale, and which one is not" do
    grid = {
      id: "g",
      crs: "geographic",
      interval: {
        x: "30 sec",
        y: "30 sec"
      },
      stroke: {
        colour: "#777777",
        width_mm: 0.1
      }
    }
    told = ->(scale) do
      frame = inset("in", extent: {kind: "whole_index", size: "held", scale: scale}, grids: [grid])
      TileLoom::Compose::GridTrial.new(sheet(*book(frame)), "in").to_h["grids"].first
    end
    expect(told[100_000]["wider"]).to eq("x" => "1 min", "y" => "1 min")
    expect(told[100_000]["warnings"]).to include(a_string_matching(/use an interval of 1 min/))
    expect(told[40_000]["wider"]).to be_nil
  end

  it "draws features of the book in a reference of its own where PROJ has them" do
    composer = sheet(*book(inset("in", crs: "EPSG:3857", extent: {kind: "whole_index"}, grids: [])))
    found = view(composer, "in")
    ring =
      drawn(composer, "in").find do |node|
        node.is_a?(TileLoom::Scene::Path) && node.closed && node.runs.first.length >= 8 && !node.fill.nil?
      end
    expect(ring).not_to be_nil
    corner =
      outside("cs2cs", "-f", "%.6f", "EPSG:25829", "EPSG:3857", input: "500000 6100000\n").split.first(2).map(&:to_f)
    near =
      ring
        .runs
        .flatten
        .each_slice(2)
        .map { |x, y| Math.hypot(x - found.to_page(corner)[0], y - found.to_page(corner)[1]) }
        .min
    expect(near).to be < 0.05
  end

  it "has shapes that cut its ground, and says that such a frame has no labels of grids" do
    grids = [{id: "g", crs: "book", stroke: {colour: "#777777", width_mm: 0.1}, labels: {sides: %w[left bottom]}}]
    composer = sheet(*book(inset("in", shape: {kind: "ellipse"}, grids: grids)))
    group = composer.frame("in").draw(composer)
    clips = group.children.grep(TileLoom::Scene::Group).map(&:clip)
    expect(clips).to all(be_a(TileLoom::Scene::Outline))
    area =
      clips
        .first
        .runs
        .first
        .each_slice(2)
        .to_a
        .then { |ring| [*ring, ring.first].each_cons(2).sum { |(x1, y1), (x2, y2)| x1 * y2 - x2 * y1 } / 2 }
    expect(area).to be_within(1).of(Math::PI * 30 * 22.5)
    expect(composer.left_out).to include("“in” is no rectangle, so its grids have no labels.")
    expect { book(inset("in", shape: {kind: "polygon", points: [[0, 0], [1, 1], [1, 0], [0, 1]]})) }.to invalid(
      /crosses itself/
    )
  end

  it "has a look of its own: other layers, symbols, labels" do
    symbol = {fill: {colour: "#abcdef"}}
    looks = [
      {id: "plain", title: "Plain", layers: [{id: "area", rules: [{title: "All", symbol: symbol}]}]},
      {id: "none", title: "None", layers: []}
    ]
    composer = sheet(*book(inset("in", look: "plain"), inset("bare", look: "none"), looks: looks))
    fills = ->(id) { drawn(composer, id).grep(TileLoom::Scene::Path).filter_map { |path| path.fill&.colour } }
    expect(fills["in"]).to include("#abcdef")
    expect(fills["bare"]).to eq([])
    expect(fills[main_id(composer)]).not_to include("#abcdef")
    expect { book(inset("in", look: "gone")) }.to invalid(/no look “gone”/)
  end

  it "shows cells with names, numbers or both, and gives way to labels of features where those come first" do
    texts = ->(composer) { drawn(composer, "in").grep(TileLoom::Scene::Text).map(&:string) }
    both = sheet(*book(inset("in", extent: {kind: "whole_index"}, labels: false, cells: {labels: "both"})))
    expect(texts[both]).to include("1  #{both.cell.name}")
    label = {
      layers: [
        {
          id: "area",
          title: "Area",
          rules: [{title: "A", symbol: {fill: {colour: "#dddddd"}}}],
          labels: [{field: "name", size_pt: 44}]
        }
      ]
    }
    first =
      %w[cells features].to_h do |way|
        composer =
          sheet(*book(inset("in", extent: {kind: "whole_index"}, cells: {first: way, size_pt: 6}), **label))
        [way, [texts[composer], composer.left_out]]
      end
    expect(first["cells"][0]).not_to include("Whole")
    expect(first["features"][0]).to include("Whole")
    expect(first["features"][1]).to include(a_string_matching(/In “in” the labels of \d+ cells do not fit/))
  end
end
