# frozen_string_literal: true

# A book file whose data are many: no more is read than its sheets show, and they are drawn as if all were.
RSpec.describe TileLoom::Document::LargeLayer do
  around do |example|
    Dir.mktmpdir do |folder|
      @folder = folder
      ENV["XDG_CACHE_HOME"] = "#{folder}/cache"
      example.run
    ensure
      ENV.delete("XDG_CACHE_HOME")
    end
  end

  def write(driver, name, reference)
    random = Random.new(5)
    rows =
      (1..600).map do |n|
        x, y = 402_000 + random.rand * 4_000, 6_527_000 + random.rand * 3_000
        "\"POLYGON((#{x} #{y},#{x + 20} #{y},#{x + 20} #{y + 15},#{x} #{y}))\",#{n}"
      end
    File.write("#{@folder}/b.csv", "wkt,n\n#{rows.join("\n")}\n")
    outside(
      "ogr2ogr",
      "-f",
      driver,
      "-s_srs",
      "EPSG:25829",
      "-t_srs",
      reference,
      "-nln",
      "b",
      "#{@folder}/#{name}",
      "#{@folder}/b.csv",
      "-oo",
      "GEOM_POSSIBLE_NAMES=wkt",
      "-oo",
      "AUTODETECT_TYPE=YES"
    )
  end

  def folio(name)
    settings =
      TileLoom::Document::Starter.document(
        title: "Many",
        reference: "EPSG:25829",
        area: "area",
        scale: 5_000,
        layers: [
          {
            id: "area",
            title: "Area",
            kind: "area",
            data: {
              "collection" =>
                JSON.parse(
                  outside(
                    "ogr2ogr",
                    "-f",
                    "GeoJSON",
                    "-t_srs",
                    "OGC:CRS84",
                    "/vsistdout/",
                    "#{@folder}/b.csv",
                    "-s_srs",
                    "EPSG:25829",
                    "-dialect",
                    "SQLITE",
                    "-sql",
                    "SELECT ST_ConvexHull(ST_Collect(geometry)) FROM b",
                    "-oo",
                    "GEOM_POSSIBLE_NAMES=wkt"
                  )
                )
            }
          },
          {id: "b", title: "Buildings", kind: "area", data: {"file" => name, "layer" => "b"}}
        ]
      )
    File.write("#{@folder}/book.json", JSON.generate(settings))
    TileLoom::Document::Folio.read("#{@folder}/book.json")
  end

  def sheets(folio)
    book, source = folio.document, folio.source
    cells = book.cells(source)
    cells.map do |cell|
      TileLoom::Output::Svg.new(
        TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: cells.length).drawing
      ).to_s
    end
  end

  {
    "a GeoPackage" => %w[GPKG b.gpkg EPSG:25829],
    "a GeoPackage in another CRS" => %w[GPKG b.gpkg EPSG:4258],
    "FlatGeobuf" => %w[FlatGeobuf b.fgb EPSG:25829],
    "GML, by a copy with an index" => %w[GML b.gml EPSG:25829]
  }.each do |title, (driver, name, reference)|
    it "draws the sheets of #{title} as if all of it had been read" do
      write(driver, name, reference)
      whole = sheets(folio(name))
      expect(whole.join.scan("<path").length).to be > 10
      %w[MANY MANY_TO_COPY].each { |least| stub_const("TileLoom::Data::WindowedLayer::#{least}", 100) }
      stub_const("TileLoom::Data::WindowedLayer::WANTED", 150)
      large = folio(name)
      kept = large.source.instance_variable_get(:@layers).fetch("b")
      expect(kept).to be_a(TileLoom::Data::WindowedLayer)
      expect(sheets(large)).to eq(whole)
      expect(large.source.attribute_names("b")).to include("n")
      copies = Dir["#{@folder}/cache/tile-loom/layers/**/*.gpkg"].length
      expect(copies).to eq((driver == "GML") ? 1 : 0)
    end
  end

  it "reads what a sheet shows and little more" do
    write("GPKG", "b.gpkg", "EPSG:25829")
    stub_const("TileLoom::Data::WindowedLayer::MANY", 100)
    source = folio("b.gpkg").source
    read = 0
    allow(TileLoom::Data::Feature).to receive(:new).and_wrap_original { |make, **values|
      (read += 1) && make.call(**values)
    }
    box = TileLoom::Geometry::Box.new(403_000, 6_528_000, 403_500, 6_528_500)
    found = source.features("b", box)
    expect(found.map(&:id)).to eq(found.map(&:id).sort)
    expect(read).to be_between(found.length, found.length + 8)
    expect(source.features("b", TileLoom::Geometry::Box.new(0, 0, 1, 1))).to eq([])
  end
end
