# frozen_string_literal: true

RSpec.describe TileLoom::View do
  def flatten(nodes) = nodes.flat_map { |node| node.is_a?(TileLoom::Scene::Group) ? flatten(node.children) : [node] }

  def composer(book, source, index = 0)
    cells = book.cells(source)
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cells[index], count: cells.length)
  end

  it "holds the scale of the projection, or the true one on the ground" do
    area = [rectangle(500_000, 8_399_000, 500_200, 8_399_200)]
    plane = composer(*small_book(area, reference: "EPSG:3857", scale: 5000))
    ground = composer(*small_book(area, reference: "EPSG:3857", scale: 5000, index: {held: "ellipsoid"}))
    expect(plane.view.true_scale).to be_within(30).of(2500)
    # Held in the mean of all directions, which keeps areas right; along the bar and the meridian it is what
    # GeodSolve finds, 1.5 per mille either way on this reference.
    expect(ground.view.units_per_mm * 1000 / ground.view.factors.point_scale).to be_within(0.001).of(5000)
    [plane, ground].each do |sheet|
      x, y = sheet.view.frame.centre
      ends = sheet.view.to_geographic.forward(sheet.view.to_ground([x - 5, y, x + 5, y]))
      expect(sheet.view.true_scale).to be_within(0.01).of(
        geodesic_m(*ends, ellipsoid: [6_378_137, "1/298.257223563"]) * 100
      )
    end
    expect(plane.cell.ground.width).to be_within(1e-6).of(plane.view.frame.width * 5)
  end

  it "maps ground to paper by one affine map, turned frames included" do
    rectangle = TileLoom::Geometry::TurnedRectangle.turned(1000, 2000, 500, 300, 30)
    frame = TileLoom::Geometry::Box.at(10, 20, 250, 150)
    map = rectangle.onto(frame)
    expect(map.map(rectangle.corners).each_slice(2).to_a.flatten).to match(
      [10, 170, 260, 170, 260, 20, 10, 20].map { |mm| be_within(1e-9).of(mm) }
    )
    expect(map.inverse.point(*map.point(123, 456))).to match([be_within(1e-9).of(123), be_within(1e-9).of(456)])
  end

  # A frame turned counter-clockwise on the ground sees north turned clockwise on the page.
  it "turns the north arrow to grid north" do
    book, source = small_book([rectangle(403_000, 6_528_000, 403_050, 6_528_050)])
    cell = book.cells(source).first.dup
    cell.ground =
      TileLoom::Geometry::TurnedRectangle.turned(
        cell.ground.centre_x,
        cell.ground.centre_y,
        cell.ground.width,
        cell.ground.height,
        40
      )
    sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 1)
    element = book.layout.elements.find { |known| known.kind == "north_arrow" }
    box = element.box(sheet.page)
    tip = element.nodes(sheet, box).first.runs.first.first(2)
    pointing = Math.atan2(tip[0] - box.centre[0], box.centre[1] - tip[1]) * 180 / Math::PI
    from, to =
      sheet
        .view
        .to_page([cell.ground.centre_x, cell.ground.centre_y, cell.ground.centre_x, cell.ground.centre_y + 10])
        .each_slice(2)
        .to_a
    expect(pointing).to be_within(1e-6).of(Math.atan2(to[0] - from[0], from[1] - to[1]) * 180 / Math::PI)
    expect(pointing).to be_within(1e-6).of(40)
  end

  it "cuts what lies outside the frame and thins what lies inside to 0.05 mm" do
    wavy =
      (0..20_000).flat_map do |i|
        [403_000 + i * 0.5 - 3000, 6_528_000 + Math.sin(i / 900.0) * 100 + Math.sin(i * 2.0) * 0.05]
      end
    line = TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.line(wavy), attributes: {})
    book, source = small_book([rectangle(403_000, 6_528_000, 403_050, 6_528_050)])
    view = composer(book, source).view
    window = view.ground.box.grow(5)
    drawn =
      described_class::Clipping
        .new(line.wkb, window, 0.05 * view.units_per_mm)
        .to_enum(:each_run)
        .map { |_kind, coordinates| coordinates }
    expect(drawn.sum(&:length) / 2).to be_between(10, 300)
    drawn.flatten.each_slice(2) { |x, y| expect(window.grow(1e-6).include?(x, y)).to be(true) }
    true_line = TileLoom::Geometry::Geos.read(line.wkb).clip_by_rect(*window.to_a)
    # In GEOS's own measure (Hausdorff), the thinned line stays within the tolerance.
    thinned = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.line(drawn.first))
    expect(thinned.hausdorff_distance(true_line)).to be <= 0.05 * view.units_per_mm + 1e-9
  end

  it "keeps holes open and draws no edge along the frame" do
    hole = [
      [403_020, 6_528_020],
      [403_040, 6_528_020],
      [403_040, 6_528_040],
      [403_020, 6_528_040],
      [403_020, 6_528_020]
    ].flatten.map(&:to_f)
    outer = [
      [400_000, 6_525_000],
      [406_000, 6_525_000],
      [406_000, 6_531_000],
      [400_000, 6_531_000],
      [400_000, 6_525_000]
    ].flatten.map(&:to_f)
    area = TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.polygon([outer, hole]), attributes: {})
    book, = small_book([])
    source = TileLoom::Data::MemorySource.new("area" => [area])
    cell =
      TileLoom::Index::Cell.new(
        number: 1,
        name: "A1",
        row: 0,
        column: 0,
        scale: 2500,
        ground: TileLoom::Geometry::TurnedRectangle.new(403_030, 6_528_030, 785, 650, 0)
      )
    sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 1)
    fill =
      flatten(sheet.ground_drawing(sheet.view).nodes).find { |node| node.is_a?(TileLoom::Scene::Path) && node.fill }
    expect(fill.runs.length).to eq(2)
    ring = fill.runs.max_by { |run| TileLoom::Geometry::Box.around(run).width }
    frame = sheet.view.frame
    ring.each_slice(2) { |x, y| expect(frame.include?(x, y)).to be(false) }
  end

  it "draws each feature by the first rule it meets, and lists what the sheet shows" do
    settings = small_settings
    settings["layers"][0]["rules"] = [
      {
        "title" => "Big",
        "when" => {
          "op" => ">",
          "args" => [{"property" => "size"}, 5]
        },
        "symbol" => {
          "fill" => {
            "colour" => "#ff0000"
          }
        }
      },
      {"title" => "Rest", "symbol" => {"fill" => {"colour" => "#00ff00"}}}
    ]
    book = TileLoom::Document::Book.new(settings)
    source =
      TileLoom::Data::MemorySource.new(
        "area" => [rectangle(403_000, 6_528_000, 403_050, 6_528_050, attributes: {"size" => 9})]
      )
    expect(composer(book, source).legend_entries.map(&:title)).to eq(["Big"])
  end

  describe "live text" do
    it "knows the book and the sheet" do
      book, source = small_book([rectangle(403_000, 6_528_000, 405_000, 6_528_050)])
      sheet = composer(book, source, 1)
      expect(
        sheet.live_text(
          "{{ book.title }}: {{ sheet.name }}, {{ sheet.number }}/{{ sheet.count }} at {{ sheet.fraction }}, {{ " \
          "crs.name }}"
        )
      ).to eq("Test sheets: B1, 2/#{book.cells(source).length} at 1:2,500, ETRS89 / UTM zone 29N")
      TileLoom::Compose::LiveValues.names.each do |name|
        expect(sheet.live_text("{{ #{name} }}", path: "/x")).to be_a(String)
      end
    end

    it "names a value that it does not know, a tag that does not close, and a text that runs away" do
      fill = ->(template) do
        TileLoom::Compose::LiveText.new(template, path: "/t").fill(TileLoom::Document::LiveSample.values)
      end
      expect { fill.call("{{ sheet.nane }}") }.to invalid(/asks for “nane”.*sheet\.name/, path: "/t")
      expect { fill.call("{{ sheet.name ") }.to invalid(/cannot be read/, path: "/t")
      expect { fill.call("{{ sheet.name | shout }}") }.to invalid(
        /uses the filter “shout”, which is not known/,
        path: "/t"
      )
      expect { fill.call("{% for i in (1..1000000) %}x{% endfor %}") }.to invalid(/cannot be filled in/, path: "/t")
    end
  end

  it "breaks lines at words that fit" do
    face = TileLoom::Type::Library.face("sans")
    setting = TileLoom::Type::Setting.new(face: face, size_pt: 10)
    lines = setting.lines("one two three four five\nsix", 20)
    expect(lines.join(" ")).to eq("one two three four five six")
    expect(lines.map { |line| face.width_mm(line, 10) }).to all(be <= 20)
  end
end
