# frozen_string_literal: true

# A kind is declared once, in its own file; schema, menus, starting settings and drawing follow from that.
RSpec.describe "A kind that is added" do
  schema = TileLoom::Document::Schema

  include ToyKinds

  it "as an element stands in the schema, in menus, on a page and in print" do
    with_kind(TileLoom::Furniture::Elements, :Spot, ToyKinds.element) do
      expect(schema.definition("spot_element")["properties"]["radius_mm"]).to include("default" => 2.5, "maximum" => 50)
      expect(TileLoom::Document::Declared.kinds["elements"]).to include({"key" => "spot", "title" => "Spot"})
      expect(TileLoom::Document::Declared.elements["spot"]).to eq(
        "sizeMm" => [40, 20],
        "turns" => true,
        "gridded" => false,
        "roles" => %w[sheets index pages]
      )
      book, source = small_book([rectangle(500_000, 6_100_000, 500_500, 6_100_400)])
      box = TileLoom::Geometry::Box.at(20, 20, 10, 10)
      made = TileLoom::Layout::NewElement.make("spot", box, page: book.layout.page, taken: ["spot-1"])
      expect(made).to include("kind" => "spot", "id" => "spot-2", "radius_mm" => 4)

      settings =
        book.settings.merge(
          "layout" => book.settings["layout"].merge("elements" => [*book.settings["layout"]["elements"], made])
        )
      expect(TileLoom::Document::Check.new(settings).findings).to eq([])
      wrong =
        settings.merge(
          "layout" =>
            settings["layout"].merge(
              "elements" => [*settings["layout"]["elements"][0..-2], made.merge("radius_mm" => 0)]
            )
        )
      expect(schema.findings(wrong).map(&:message)).to include(/“radius_mm” is 0; it must be more than 0/)

      drawn = TileLoom::Document::Book.new(settings)
      sheet =
        TileLoom::Compose::SheetComposer.new(book: drawn, source: source, cell: drawn.cells(source).first, count: 1)
      expect(TileLoom::Output::Svg.new(sheet.drawing).to_s).to include('fill="#123456"')
    end
    expect(TileLoom::Furniture::Elements.keys).not_to include("spot")
  end

  it "as a format is known by its ending, read, and offered to write in" do
    toy = ToyKinds.format
    with_kind(TileLoom::Data::Formats, :Toy, toy) do
      expect(TileLoom::Data::Formats.of_file("fens.TOY")).to be(toy)
      expect(TileLoom::Document::Declared.lists["dataEndings"]).to include(".toy")
      expect(TileLoom::Document::Declared.kinds["layerFormats"]).to include({"key" => "toy", "title" => "Toy"})
      crs = TileLoom::Crs::System.find("EPSG:25829")
      point = {"type" => "Feature", "properties" => {"name" => "Fen"}, "geometry" => {"type" => "Point"}}
      point["geometry"]["coordinates"] = [402_000.5, 6_528_000.25]
      TileLoom::Data::VectorFile
        .new("fens", "toy", crs: crs, among: %w[toy], of: "layers")
        .make([point]) { |path| expect(File.binread(path, 3)).to eq("fgb") }
    end
  end

  it "as a way of class breaks makes classes and stands in menus" do
    toy =
      Class.new do
        extend TileLoom::Values::Kind

        kind "halves", "two halves", rank: 50

        def breaks(values, _count) = [values.first, values[values.length / 2], values.last]
      end
    with_kind(TileLoom::Symbology::Breaks, :Halves, toy) do
      classes = TileLoom::Symbology::Classes.new([1, 2, 3, 4], way: "halves", count: 2)
      expect(classes.list.map(&:title)).to eq(["1 – 3", "3 – 4"])
      expect(TileLoom::Document::Declared.kinds["classBreaks"]).to include(
        {"key" => "halves", "title" => "two halves"}
      )
    end
  end

  it "as a kind of layer is known by its shapes, and has a symbol to begin with" do
    toy = ToyKinds.layer_kind
    with_kind(TileLoom::Symbology::LayerKinds, :Curve, toy) do
      feature = TileLoom::Data::Feature.new(id: 1, attributes: {}, wkb: [1, 8].pack("CV"))
      expect(TileLoom::Symbology::LayerKinds.of_types([feature.wkb.getbyte(1)])).to be(toy)
      expect(TileLoom::Document::Starter.symbol("curve", "#123456")).to eq("strokes" => [{"colour" => "#123456"}])
      expect(TileLoom::Document::Declared.layer_kinds["curve"]).to include("strokes" => true, "fills" => false)
    end
  end

  it "has a title for each unit that is counted in" do
    expect(TileLoom::Bar::Unit::TITLES.keys).to eq(
      [*TileLoom::Bar::Unit::FAMILIES.keys, "m", "km", "ft", "us-ft", "yd", "mi", "nmi", "paces", "minutes"]
    )
    expect(TileLoom::Crs::Tuning::TITLES.keys).to eq(TileLoom::Crs::Tuning::UNITS.keys)
  end

  it "is listed for the front end as it is declared" do
    kinds = File.read(File.join(TileLoom::ROOT, "web/src/generated/kinds.ts"))
    # Languages alone have their names in themselves; all other titles are looked up in the catalogue.
    TileLoom::Document::Declared.kinds.each do |list, found|
      found.each do |kind|
        title = (list == "languages") ? %("#{kind["title"]}") : %(t("#{kind["title"]}"))
        expect(kinds).to include(%(["#{kind["key"]}", #{title}]))
      end
    end
  end
end
