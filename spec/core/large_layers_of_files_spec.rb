# frozen_string_literal: true

# A book file whose data are many: no more is read than its sheets show, and they are drawn as if all were.
RSpec.describe TileLoom::Document::FileLayer do
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
    convert(driver, name, reference)
  end

  def convert(driver, name, reference)
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

  # The layer as a list in memory, which is all that a drawing can ask for.
  def in_memory(folio)
    allow(described_class).to receive(:windowed).and_return(nil)
    folio.source
    allow(described_class).to receive(:windowed).and_call_original
    folio
  end

  def by_windows = stub_const("TileLoom::Document::FileLayer::FEW", 100)

  def said(folio) = folio.notices.select { |sentence| sentence.start_with?("Buildings: ") }

  # How many features each part holds that was kept for the next time.
  def kept_counts =
    Dir["#{@folder}/cache/tile-loom/layers/*/list.json"].map do |list|
      TileLoom::Data::BlockFile.new(File.dirname(list)).count
    end

  let(:corner) { TileLoom::Geometry::Box.new(403_000, 6_528_000, 403_500, 6_528_500) }

  {
    "a GeoPackage" => %w[GPKG b.gpkg EPSG:25829],
    "a GeoPackage in another CRS" => %w[GPKG b.gpkg EPSG:4258],
    "FlatGeobuf" => %w[FlatGeobuf b.fgb EPSG:25829],
    "GML, which has no index" => %w[GML b.gml EPSG:25829]
  }.each do |title, (driver, name, reference)|
    it "draws the sheets of #{title} as if all of it had been read, the second time too" do
      write(driver, name, reference)
      whole = sheets(in_memory(folio(name)))
      expect(whole.join.scan("<path").length).to be > 10
      # At once, from what was kept of that, by windows, from what was kept of them.
      expect(Array.new(2) { sheets(folio(name)) }).to all(eq(whole))
      FileUtils.rm_rf("#{@folder}/cache")
      by_windows
      stub_const("TileLoom::Data::WindowedLayer::SHARE", 100)
      expect(Array.new(2) { sheets(folio(name)) }).to all(eq(whole))
      expect(folio(name).source.attribute_names("b")).to include("n")
    end
  end

  it "reads what a sheet shows and little more; no file is opened a second time until it is another" do
    write("GPKG", "b.gpkg", "EPSG:25829")
    by_windows
    found = folio("b.gpkg").source.features("b", corner)
    expect(found.map(&:id)).to eq(found.map(&:id).sort)
    expect(kept_counts.sum).to be_between(found.length, found.length + 8)
    expect(folio("b.gpkg").source.features("b", TileLoom::Geometry::Box.new(0, 0, 1, 1))).to eq([])

    allow(TileLoom::Sandbox::GdalProcess).to receive(:new).and_call_original
    expect(folio("b.gpkg").source.features("b", corner)).to eq(found)
    expect(TileLoom::Sandbox::GdalProcess).not_to have_received(:new)
    outside("ogrinfo", "#{@folder}/b.gpkg", "-sql", "DELETE FROM b WHERE fid = #{found.first.id}")
    expect(folio("b.gpkg").source.features("b", corner)).to eq(found.drop(1))
  end

  it "reads anew what was not kept whole, as after a power cut" do
    write("GPKG", "b.gpkg", "EPSG:25829")
    by_windows
    found = folio("b.gpkg").source.features("b", corner)
    {"list.json" => "", "blocks" => "half"}.each do |name, rest|
      Dir["#{@folder}/cache/tile-loom/layers/*/#{name}"].each { |path| File.write(path, rest) }
      expect(folio("b.gpkg").source.features("b", corner)).to eq(found)
    end
  end

  it "reads all of a layer, once, when windows have read a good part of it" do
    write("GPKG", "b.gpkg", "EPSG:25829")
    by_windows
    source = folio("b.gpkg").source
    20.times do |step|
      west = 402_000 + 200 * step
      source.features("b", TileLoom::Geometry::Box.new(west, 6_527_000, west + 200, 6_530_000))
    end
    # An eighth of 600 buildings lies in about 2.5 of 20 windows.
    expect(kept_counts.sort.last(2)).to match([be < 100, 600])
    expect(kept_counts.length - 1).to be_between(2, 3)
  end

  it "says the second time, too, what it mended" do
    File.write(
      "#{@folder}/b.csv",
      "wkt,n\n\"POLYGON((402000 6527000,402100 6527100,402100 6527000,402000 6527100,402000 6527000))\",1\n" \
        "\"POLYGON((402000 6528000,402100 6528000,402100 6528100,402000 6528000))\",2\n"
    )
    convert("GPKG", "b.gpkg", "EPSG:25829")
    first, second = Array.new(2) { folio("b.gpkg").tap(&:source) }
    expect(said(first)).to include(/feature 1/i)
    expect(said(second)).to eq(said(first))
  end
end
