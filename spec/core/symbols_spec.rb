# frozen_string_literal: true

RSpec.describe TileLoom::Symbology::MapSymbol do
  scene = TileLoom::Scene

  def page(nodes) = TileLoom::Scene::Drawing.new(width_mm: 100, height_mm: 60, nodes: nodes, title: "Page")

  # Prints nodes on a page of 100 × 60 mm and yields the file.
  def print(nodes)
    Dir.mktmpdir do |folder|
      file = File.join(folder, "page.pdf")
      File.open(file, "wb") do |io|
        writer = TileLoom::Output::Pdf::Writer.new(io, title: "Page")
        writer.add(TileLoom::Output::Pdf::Page.read(StringIO.new(TileLoom::Output::Pdf::Page.of(page(nodes)).dump)))
        writer.close
      end
      yield file
    end
  end

  # [r, g, b] of pixels at 10 a millimetre, asked for by place in mm: poppler's own rendering.
  def pixels(file, *places)
    outside("pdftoppm", "-r", "254", "-singlefile", file, file.delete_suffix(".pdf"))
    raw = File.binread(file.sub(".pdf", ".ppm"))
    width, height = raw[/\AP6\s+(\d+\s+\d+)/, 1].split.map(&:to_i)
    raw = raw.byteslice(raw.bytesize - width * height * 3, width * height * 3)
    places.map { |x, y| raw.byteslice(((y * 10).round * width + (x * 10).round) * 3, 3).bytes }
  end

  ring = [10, 10, 50, 10, 50, 30, 10, 30]

  it "hatches an area with lines at the spacing asked for, as vectors that end at its edge" do
    symbol =
      described_class.new(
        {"pattern" => {"kind" => "lines", "spacing_mm" => 4, "width_mm" => 0.3, "colour" => "#000000"}}
      )
    print(symbol.nodes(rings: [ring])) do |file|
      expect(outside("pdfimages", "-list", file).lines.length).to eq(2)
      ys =
        poppler_paths(file, 1)
          .select { |path| path[:style].include?("stroke-width") }
          .flat_map { |path| path[:points].map(&:last) }
          .map { |y| y.round(2) }
          .uniq
          .sort
      expect(ys).to eq([12, 16, 20, 24, 28])
      black, white, outside_it = pixels(file, [30, 16], [30, 18], [8, 16])
      expect([black, white, outside_it]).to eq([[0, 0, 0], [255, 255, 255], [255, 255, 255]])
    end
  end

  it "leaves the holes of an area open" do
    hole = [20, 14, 40, 14, 40, 26, 20, 26]
    symbol =
      described_class.new(
        {"pattern" => {"kind" => "lines", "spacing_mm" => 4, "width_mm" => 1, "colour" => "#000000"}}
      )
    print(symbol.nodes(rings: [ring, hole])) do |file|
      expect(pixels(file, [15, 16], [30, 16])).to eq([[0, 0, 0], [255, 255, 255]])
    end
  end

  it "draws dots and crossed lines where they belong" do
    dots =
      described_class.new(
        {"pattern" => {"kind" => "dots", "spacing_mm" => 4, "width_mm" => 1.2, "colour" => "#000000"}}
      )
    print(dots.nodes(rings: [ring])) do |file|
      expect(pixels(file, [24, 16], [26, 16], [24, 18], [28, 20])).to eq(
        [[0, 0, 0], [255, 255, 255], [255, 255, 255], [0, 0, 0]]
      )
    end
    crossed =
      described_class.new(
        {
          "pattern" => {
            "kind" => "crossed",
            "spacing_mm" => 4,
            "width_mm" => 1,
            "colour" => "#000000",
            "angle_deg" => 45
          }
        }
      )
    # Lines at 45° through the corner of the page: the diagonal is one of them.
    print(crossed.nodes(rings: [ring])) { |file| expect(pixels(file, [20, 20])).to eq([[0, 0, 0]]) }
  end

  it "leaves out a pattern finer than a printer can hold" do
    fine = described_class.new({"pattern" => {"kind" => "dots", "spacing_mm" => 1}}).scaled(0.05)
    expect(fine.nodes(rings: [ring])).to eq([])
  end

  it "paints a translucent group as one: what overlaps inside does not show through" do
    boxes =
      [[10, 10, 40, 10, 40, 30, 10, 30], [30, 10, 60, 10, 60, 30, 30, 30]].map do |run|
        scene::Path.new(runs: [run], closed: true, fill: scene::Fill.new(colour: "#000000"))
      end
    print([scene::Group.new(children: boxes, opacity: 0.5)]) do |file|
      single, both = pixels(file, [20, 20], [35, 20])
      expect(single).to eq(both)
      expect(single.first).to be_within(2).of(128)
      expect(outside("qpdf", "--check", file)).to include("No syntax or stream encoding errors")
    end
    svg = TileLoom::Output::Svg.new(page([scene::Group.new(children: boxes, opacity: 0.5)])).to_s
    expect(svg).to include('<g opacity="0.5">')
  end

  it "ships at least 24 markers, each of which draws" do
    expect(TileLoom::Symbology::MarkerSet.shipped.length).to be >= 24
    TileLoom::Symbology::MarkerSet.shipped.each do |shape|
      nodes =
        described_class.new({"marker" => {"shape" => shape, "size_mm" => 10, "colour" => "#204060"}}).nodes(
          points: [50, 30]
        )
      box = TileLoom::Geometry::Box.around(nodes.flat_map(&:runs).flatten)
      expect([box.width, box.height].max).to be_between(7, 12.1), shape
      expect((box.centre[0] - 50).abs).to be < 2.6, shape
    end
  end

  describe "scales" do
    settings = {
      "id" => "a",
      "title" => "A",
      "rules" => [
        {
          "title" => "A",
          "symbol" => {
            "strokes" => [{"width_mm" => 1, "dash_mm" => [2, 1]}],
            "marker" => {
              "shape" => "circle",
              "size_mm" => 2,
              "colour" => "#000000"
            }
          }
        }
      ],
      "labels" => [{"field" => "n", "size_pt" => 8}]
    }

    it "lets sizes grow and shrink with the ground from the design scale, or stay" do
      layer = TileLoom::Symbology::Layer.new(settings.merge("design_scale" => 5000))
      twice = layer.at(2500)
      expect(
        [
          twice.rules[0].symbol.strokes[0].width_mm,
          twice.rules[0].symbol.strokes[0].dash_mm,
          twice.rules[0].symbol.marker.size_mm,
          twice.labels[0].size_pt
        ]
      ).to eq([2, [4, 2], 4, 16])
      expect(layer.at(5000).labels[0].size_pt).to eq(8)
      expect(layer.at(20_000).labels[0].size_pt).to eq(2)
      expect(TileLoom::Symbology::Layer.new(settings).at(1).labels[0].size_pt).to eq(8)
    end

    it "lets the sizes of all layers follow one scale of the book, but of those that say otherwise" do
      document = small_settings(scale: 5000)
      document["layers"] = [{}, {"design_scale" => 10_000}, {"sizes" => "paper"}].each_with_index
        .map do |own, index|
        document["layers"][0].merge("id" => "area#{index}", "labels" => [{"field" => "n", "size_pt" => 8}], **own)
      end
      document["index"]["area"] = "area0"
      sizes = ->(book) { book.layers.map { |layer| layer.at(5000).labels[0].size_pt } }
      expect(sizes[TileLoom::Document::Book.new(document)]).to eq([8, 16, 8])
      expect(sizes[TileLoom::Document::Book.new(document.merge("design_scale" => 2500))]).to eq([4, 16, 8])
    end

    it "draws a layer between its scales only, both counted in" do
      layer =
        TileLoom::Symbology::Layer.new(settings.merge("visible_scales" => {"largest" => 1000, "smallest" => 5000}))
      expect([999, 1000, 5000, 5001].map { |scale| layer.shown_at?(scale) }).to eq([false, true, true, false])
      expect {
        TileLoom::Symbology::Layer.new(settings.merge("visible_scales" => {"largest" => 5000, "smallest" => 1000}))
      }.to invalid(/which is not a range/)
    end

    it "keeps a layer out of a sheet at another scale, and doubles its lines at twice the scale" do
      wide = ->(scale) do
        book, source = small_book([rectangle(402_000, 6_528_000, 402_100, 6_528_100)], scale: scale)
        layer = book.settings["layers"][0].merge("design_scale" => 5000, "visible_scales" => {"largest" => 2000})
        document = TileLoom::Document::Book.new(book.settings.merge("layers" => [layer]))
        composer =
          TileLoom::Compose::SheetComposer.new(
            book: document,
            source: source,
            cell: document.cells(source).first,
            count: 1
          )
        composer.ground_drawing(composer.view).nodes.flat_map(&:children).filter_map { |node| node.stroke&.width_mm }
      end
      expect(wide[5000]).to eq([0.3])
      expect(wide[2500]).to eq([0.6])
      expect(wide[1000]).to eq([])
    end
  end

  it "draws a feature by the first rule that it meets, or by all" do
    rules = [
      {"title" => "all", "symbol" => {}},
      {"title" => "leaking", "when" => {"op" => "=", "args" => [{"property" => "s"}, "leaking"]}, "symbol" => {}}
    ]
    titles = ->(match) do
      TileLoom::Symbology::Layer
        .new({"id" => "a", "title" => "A", "rules" => rules, "match" => match})
        .rules_for({"s" => "leaking"})
        .map(&:title)
    end
    expect(titles["first"]).to eq(%w[all])
    expect(titles["all"]).to eq(%w[all leaking])
  end
end
