# frozen_string_literal: true

RSpec.describe TileLoom::Layout do
  def page(size, **more) =
    TileLoom::Layout::Page.new(
      {"size" => size, "margins_mm" => {"top" => 10, "right" => 11, "bottom" => 12, "left" => 13}}.merge(
        more.transform_keys(&:to_s)
      ),
      path: "/layout/page"
    )

  # ISO 216, table 1; ASME Y14.1 (from memory).
  it "knows the standard sizes of paper" do
    expect([page("A3").width_mm, page("A3").height_mm]).to eq([297, 420])
    expect([page("A4").width_mm, page("A4").height_mm]).to eq([210, 297])
    expect([page("B4").width_mm, page("B4").height_mm]).to eq([250, 353])
    expect([page("ANSI B").width_mm, page("ANSI B").height_mm]).to eq([279.4, 431.8])
  end

  # ISO 216: each A size is half the one before, its sides in the ratio of one to the root of two.
  it "halves A sizes" do
    sizes = TileLoom::Layout::PageSize::ALL.values_at("A0", "A1", "A2", "A3", "A4", "A5", "A6")
    sizes.each_cons(2) do |(short, long), (less, more)|
      expect([more, less]).to match([be_within(0.01).of(short), be_within(1.01).of(long / 2)])
    end
  end

  it "turns the page, and leaves margins and gutter free" do
    expect(page("A3", orientation: "landscape").width_mm).to eq(420)
    area = page("A4", binding: {"edge" => "left", "gutter_mm" => 7}).live_area
    expect(area.to_a).to eq([20, 10, 210 - 11, 297 - 12])
    expect(page("A4", binding: {"edge" => "top", "gutter_mm" => 7}).live_area.min_y).to eq(17)
  end

  it "refuses margins larger than the page" do
    huge = page("A6", margins_mm: {"top" => 80, "right" => 10, "bottom" => 80, "left" => 10})
    expect { huge.live_area }.to invalid(
      /margins leave 85 × -12 mm of a page of 105 × 148 mm/,
      path: "/layout/page/margins_mm"
    )
  end

  it "ties an element to edges, or stretches it between them" do
    area = TileLoom::Geometry::Box.new(10, 10, 110, 210)
    place = ->(settings) { TileLoom::Furniture::Place.new(settings.transform_keys(&:to_s)).within(area).to_a }
    expect(place.call({left_mm: 5, right_mm: 15, top_mm: 0, bottom_mm: 0})).to eq([15, 10, 95, 210])
    expect(place.call({right_mm: 5, width_mm: 20, bottom_mm: 5, height_mm: 10})).to eq([85, 195, 105, 205])
    expect { place.call({left_mm: 60, right_mm: 60}) }.to invalid(/does not fit on this page/)
  end

  # Which pages each design is for, ISO and ANSI.
  designs = {
    "side-panel" => %w[A1 A2 A3 ANSI\ B ANSI\ C],
    "foot-panel" => %w[A1 A3 A4 ANSI\ A ANSI\ B],
    "frame-only" => %w[A0 A3 A4 A5 ANSI\ A ANSI\ B],
    "plain-proof" => %w[A0 A3 A4 ANSI\ A ANSI\ D],
    "pocket" => %w[A4 A5 ANSI\ A],
    "narrow-side-panel" => %w[A2 A3 A4 ANSI\ A ANSI\ B],
    "wide-legend" => %w[A0 A1 A2 A3 ANSI\ B ANSI\ D],
    "wall-sheet" => %w[A0 A1 A2 ANSI\ C ANSI\ D ANSI\ E]
  }

  it("ships at least eight designs") { expect(described_class::Designs.names).to match_array(designs.keys) }

  it "keeps every ready design on every page that it is for" do
    designs
      .flat_map { |name, sizes| [name].product(sizes, %w[portrait landscape]) }
      .each do |name, size, orientation|
        layout =
          described_class::Layout.new(
            {
              "page" => {
                "size" => size,
                "orientation" => orientation,
                "margins_mm" => {
                  "top" => 10,
                  "right" => 10,
                  "bottom" => 10,
                  "left" => 10
                }
              },
              "elements" => described_class::Designs.elements(name)
            }
          )
        live = layout.page.live_area.grow(0.001)
        layout.elements.each do |element|
          box = element.box(layout.page)
          expect(live.include?(box.min_x, box.min_y) && live.include?(box.max_x, box.max_y)).to be(true),
            "#{name} on #{size} #{orientation}: #{element.id}"
        end
      end
  end

  it "lets no two elements of a ready design lie over one another" do
    designs
      .flat_map { |name, sizes| [name].product(sizes, %w[portrait landscape]) }
      .each do |name, size, orientation|
        layout =
          described_class::Layout.new(
            {
              "page" => {
                "size" => size,
                "orientation" => orientation,
                "margins_mm" => {
                  "top" => 10,
                  "right" => 10,
                  "bottom" => 10,
                  "left" => 10
                }
              },
              "elements" => described_class::Designs.elements(name)
            }
          )
        boxes =
          layout
            .elements
            .reject { |element| element.kind == "neatline" }
            .map { |element| [element.id, element.box(layout.page)] }
        over =
          boxes
            .combination(2)
            .select do |(_, one), (_, other)|
              one.grow(-0.01).intersects?(other.grow(-0.01)) && [one, other].all? { |box| box.height > 0.1 }
            end
        expect(over.map { |(one, _), (other, _)| [one, other] }).to eq([]),
          "#{name} on #{size} #{orientation}: #{over.map { |(one, _), (other, _)| "#{one} over #{other}" }}"
      end
  end

  # ASME Y14.1 and the architectural series (from memory).
  # Labels of grids and what a border takes beyond the frame find room, and say enough to read a position.
  it "gives the grids of every ready design room on paper, with two lines a side at least" do
    crs = TileLoom::Crs::System.find("EPSG:25829")
    ["A3", "A4", "ANSI A", "ANSI B"].product(
      %w[landscape portrait],
      described_class::Designs.names
    ) do |size, orientation, name|
      layout = described_class::Layout.new(TileLoom::Document::Starter.layout(size, orientation, name))
      frame, page = layout.frame_box, layout.page
      view =
        TileLoom::View::FrameView.new(
          frame: frame,
          crs: crs,
          ground:
            TileLoom::Geometry::TurnedRectangle.new(404_000, 6_528_000, frame.width * 2.5, frame.height * 2.5, 0.0)
        )
      surround =
        TileLoom::CoordinateGrid::Surround.new(
          view: view,
          grids: layout.main_frame.grids,
          border: layout.main_frame.border,
          paper: TileLoom::Geometry::Box.new(0, 0, page.width_mm, page.height_mm)
        )
      expect(surround.drawn.flat_map { |entry| TileLoom::CoordinateGrid::Words.new(entry, view).warnings }).to eq([]),
        "#{name} on #{size} #{orientation}"
      room = surround.room
      taken =
        TileLoom::Geometry::Box.new(
          frame.min_x - room["left"],
          frame.min_y - room["top"],
          frame.max_x + room["right"],
          frame.max_y + room["bottom"]
        ).grow(-0.05)
      others =
        layout.elements.reject do |element|
          %w[map_frame neatline box].include?(element.kind) || element.box(page).intersects?(frame)
        end
      expect(others.select { |element| element.box(page).intersects?(taken) }.map(&:id)).to eq([]),
        "#{name} on #{size} #{orientation}"
    end
  end

  it "knows the architectural sizes" do
    expect([page("ARCH C").width_mm, page("ARCH C").height_mm]).to eq([457.2, 609.6])
    expect([page("ARCH E").width_mm, page("ARCH E").height_mm]).to eq([914.4, 1219.2])
  end

  describe "elements" do
    area = TileLoom::Geometry::Box.new(10, 10, 110, 210)
    box = ->(*numbers) { TileLoom::Geometry::Box.at(*numbers) }

    it "stay tied to the edges that they were tied to when they are moved" do
      moved = ->(settings, wanted) { TileLoom::Furniture::Place.new(settings).moved(area, wanted) }
      expect(
        moved.call({"right_mm" => 5, "width_mm" => 20, "top_mm" => 0, "height_mm" => 9}, box[80, 30, 25, 10])
      ).to eq({"width_mm" => 25, "right_mm" => 5, "top_mm" => 20, "height_mm" => 10})
      expect(
        moved.call({"left_mm" => 5, "right_mm" => 5, "bottom_mm" => 0, "height_mm" => 9}, box[30, 30, 25, 10])
      ).to eq({"left_mm" => 20, "right_mm" => 55, "height_mm" => 10, "bottom_mm" => 170})
      expect(TileLoom::Furniture::Place.new(moved.call({}, box[30, 30, 25, 10])).within(area).to_a).to eq(
        [30, 30, 55, 40]
      )
    end

    it "are tied to the nearer edges when they are new" do
      expect(TileLoom::Furniture::Place.nearest(area, box[80, 30, 20, 10])).to eq(
        {"right_mm" => 10, "width_mm" => 20, "top_mm" => 20, "height_mm" => 10}
      )
    end

    it "turn about their middle" do
      path = TileLoom::Scene::Path.new(runs: [[0.0, 0.0, 10.0, 0.0]], closed: false, stroke: nil)
      text =
        TileLoom::Scene::Text.new(x: 0.0, y: 0.0, string: "a", face: TileLoom::Type::Library.face("sans"), size_pt: 9)
      group = TileLoom::Scene::Group.new(children: [path, text], clip: box[0, 0, 10, 10])
      turned = TileLoom::Scene::Turn.new(90, 5, 5).nodes([group]).first
      expect(turned.children[0].runs[0].map { |number| number.round(9) }).to eq([10, 0, 10, 10])
      expect([turned.children[1].x.round(9), turned.children[1].y.round(9), turned.children[1].rotation_deg]).to eq(
        [10, 0, 90]
      )
      expect(turned.clip.runs[0].map { |number| number.round(9) }).to eq([10, 0, 10, 10, 0, 10, 0, 0])
    end

    it "round their corners, fill and hide" do
      draw = ->(settings) do
        TileLoom::Furniture::Element.read(
          {
            "kind" => "box",
            "id" => "b",
            "place" => {
              "left_mm" => 0,
              "width_mm" => 20,
              "top_mm" => 0,
              "height_mm" => 10
            }
          }.merge(settings),
          path: "/e"
        )
      end
      sheet = Struct.new(:page).new(page("A4"))
      run = draw.call({"corner_mm" => 3, "fill" => {"colour" => "#ffffff"}}).draw(sheet).children.first.runs.first
      expect(run.length).to eq(9 * 4 * 2)
      expect(TileLoom::Geometry::Box.around(run).to_a.map { |number| number.round(6) }).to eq([13, 10, 33, 20])
      expect(draw.call({"hidden" => true}).draw(sheet).children).to eq([])
    end
  end

  it "turns left and right over on even pages that are printed on both sides" do
    both = page("A4", binding: {"edge" => "left", "gutter_mm" => 7, "mirrored" => true})
    expect(both.for_page(1).live_area.to_a).to eq([20, 10, 199, 285])
    expect(both.for_page(2).live_area.to_a).to eq([11, 10, 190, 285])
    expect(
      page("A4", binding: {"edge" => "top", "gutter_mm" => 7, "mirrored" => true}).for_page(2).live_area.min_y
    ).to eq(17)
  end

  # ISO 32000-2, 14.11.2; poppler reads the boxes.
  it "prints beyond the edge with marks to cut by, and everything stays in its place on the page" do
    plain, marked =
      [{}, {"bleed_mm" => 3, "trim_marks" => true}].map do |more|
        book, source = small_book([rectangle(402_000, 6_528_000, 402_100, 6_528_100)], layout: {"page" => more})
        Dir.mktmpdir do |folder|
          press(book, source, folder).then do |file|
            [outside("pdfinfo", "-box", file), outside("pdftotext", "-bbox", file, "-"), gdal_page(file, 1)]
          end
        end
      end
    numbers = ->(text, name) { text[/#{name}:\s+([\d. -]+)/, 1].split.map(&:to_f) }
    expect(numbers.call(marked[0], "TrimBox").map { |pt| (pt * 25.4 / 72).round(1) }).to eq([9, 9, 429, 306])
    expect(numbers.call(marked[0], "BleedBox").map { |pt| (pt * 25.4 / 72).round(1) }).to eq([6, 6, 432, 309])
    expect(numbers.call(marked[0], "MediaBox").map { |pt| (pt * 25.4 / 72).round(1) }).to eq([0, 0, 438, 315])
    lefts =
      [plain, marked].map do |_, text, _|
        text.scan(/<word xMin="([\d.]+)" yMin="([\d.]+)"/).map { |pair| pair.map(&:to_f) }
      end
    lefts[0].zip(lefts[1]) do |one, other|
      expect(one.zip(other).map { |a, b| ((b - a) * 25.4 / 72).round(2) }).to eq([9, 9])
    end
  end

  it "says which page size is not known" do
    expect { page("A9") }.to invalid(/“A9” is not a page size; use one of A0/)
  end
end
