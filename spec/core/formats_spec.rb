# frozen_string_literal: true

# Each format is written by GDAL from the demo's files, read back here, and compared with what ogrinfo
# says of the written file.
RSpec.describe TileLoom::Data::Inspection do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  utm = TileLoom::Crs::System.find("EPSG:25829")
  demo = File.join(TileLoom::ROOT, "demo/skarrow-moss")
  dams = JSON.parse(File.read("#{demo}/dams.geojson"))["features"].length

  def written(driver, name, source, *options)
    file = File.join(@folder, name)
    outside("ogr2ogr", "-f", driver, *options, file, source)
    file
  end

  def ogrinfo(address)
    text = outside("ogrinfo", "-ro", "-so", "-al", address)
    [text[/Feature Count: (\d+)/, 1].to_i, text[/Extent: \((.*)\)/, 1].scan(/-?[\d.]+/).map(&:to_f)]
  end

  {
    "GeoJSON" => ["GeoJSON", "dams.geojson", []],
    "GeoPackage in metres" => ["GPKG", "dams.gpkg", %w[-t_srs EPSG:25829]],
    "KML" => ["LIBKML", "dams.kml", []],
    "KMZ" => ["LIBKML", "dams.kmz", []],
    "GML" => ["GML", "dams.gml", []],
    "FlatGeobuf in feet" => ["FlatGeobuf", "dams.fgb", ["-t_srs", "+proj=utm +zone=29 +ellps=GRS80 +units=us-ft"]],
    "CSV of longitude and latitude" => ["CSV", "dams.csv", %w[-lco GEOMETRY=AS_XY]],
    "CSV of well-known text" => ["CSV", "wkt.csv", %w[-lco GEOMETRY=AS_WKT]]
  }.each do |title, (driver, name, options)|
    it "reads #{title} with its counts, extent and places" do
      file = written(driver, name, "#{demo}/dams.geojson", *options)
      original = TileLoom::Data::FileReader.open("#{demo}/dams.geojson", target: utm).features
      reader = TileLoom::Data::FileReader.open(file, target: utm, lenient: true)
      features = reader.features
      expect(features.length).to eq(original.length)
      expect(reader.refused).to be_empty
      places = ->(list) { list.map { |feature| TileLoom::Geometry::Wkb.each_run(feature.wkb).first[1] }.sort }
      places
        .call(features)
        .zip(places.call(original))
        .each { |ours, theirs| expect(Math.hypot(ours[0] - theirs[0], ours[1] - theirs[1])).to be < 0.02 }
      found = described_class.new(file).layers.first
      next if driver == "CSV"
      count, extent = ogrinfo(file)
      expect(found.count).to eq(count)
      expect(found.box).to match(extent.map { |number| be_within(1e-4).of(number) })
      expect(found.attributes.map { |attribute| attribute["name"].downcase }).to include("code", "condition", "gully")
    end
  end

  it "reads a zipped Shapefile with its types" do
    outside("ogr2ogr", "-t_srs", "EPSG:25829", "#{@folder}/dams.shp", "#{demo}/dams.geojson")
    Dir.chdir(@folder) do
      outside(
        "ruby",
        "-rzip",
        "-e",
        'Zip::File.open("dams.zip", create: true) { |zip| Dir["dams.*"].reject { |file| file.end_with?("zip") }.each ' \
          "{ |file| zip.add(file, file) } }"
      )
    end
    found = described_class.new("#{@folder}/dams.zip").layers.first
    expect([found.name, found.count, found.reference]).to eq(["dams", dams, "EPSG:25829"])
    expect(found.attributes).to include(
      {"name" => "gully", "type" => "integer"},
      {"name" => "code", "type" => "text"}
    )
    expect(TileLoom::Data::FileReader.open("#{@folder}/dams.zip", target: utm).features.length).to eq(dams)
  end

  it "lists the layers of a file that has several" do
    file = written("GPKG", "moor.gpkg", "#{demo}/dams.geojson", "-nln", "dams")
    outside("ogr2ogr", "-f", "GPKG", "-update", "-nln", "huts", file, "#{demo}/huts.geojson")
    expect(described_class.new(file).layers.map { |layer| [layer.name, layer.count, layer.geometry] }).to eq(
      [["dams", dams, "Point"], ["huts", 5, "Point"]]
    )
    expect(
      TileLoom::Data::FileReader
        .open(file, target: utm, layer: "huts")
        .features
        .map { |feature| feature.attributes["name"] }
    ).to include("Skarrow Hut")
  end

  it "reads GPX, DXF and the TopoJSON of world-atlas" do
    gpx = written("GPX", "walk.gpx", "#{demo}/boardwalk.geojson", "-nlt", "LINESTRING", "-nln", "routes")
    expect(described_class.new(gpx).layers.map(&:name)).to include("routes")
    dxf = written("DXF", "walk.dxf", "#{demo}/boardwalk.geojson", "-t_srs", "EPSG:25829")
    expect(TileLoom::Data::FileReader.open(dxf, target: utm, reference: utm).features.length).to eq(1)
    atlas = File.join(TileLoom::ROOT, "web/node_modules/world-atlas/land-110m.json")
    expect(described_class.new(atlas).layers.first.count).to eq(ogrinfo(atlas).first)
  end

  it "keeps the types of attributes" do
    File.write("#{@folder}/types.csv", "name,lon,lat,n,share,day\nA,-10.7,58.8,3,1.5,2024-01-02\n")
    found = described_class.new("#{@folder}/types.csv").layers.first
    expect(found.attributes.to_h { |attribute| attribute.values_at("name", "type") }).to include(
      "name" => "text",
      "n" => "integer",
      "share" => "real",
      "day" => "date"
    )
  end

  it "asks for the reference of a file that names none and is not in degrees" do
    File.write("#{@folder}/metres.csv", "name,x,y\nA,403000.5,6528000.25\n")
    expect { TileLoom::Data::FileReader.open("#{@folder}/metres.csv", target: utm) }.to invalid(
      /does not name the CRS/,
      path: "/reference"
    )
    feature = TileLoom::Data::FileReader.open("#{@folder}/metres.csv", target: utm, reference: utm).features.first
    expect(TileLoom::Geometry::Wkb.each_run(feature.wkb).first[1]).to eq([403_000.5, 6_528_000.25])
  end

  it "lists features that cannot be read and takes the rest" do
    File.write(
      "#{@folder}/mixed.geojson",
      JSON.generate(
        {
          "type" => "FeatureCollection",
          "features" =>
            [[-10.7, 58.8], [-10.7, 9999], [-10.6, 58.8]].map do |place|
              {
                "type" => "Feature",
                "properties" => {
                  "name" => place[1].to_s
                },
                "geometry" => {
                  "type" => "Point",
                  "coordinates" => place
                }
              }
            end
        }
      )
    )
    reader = TileLoom::Data::FileReader.open("#{@folder}/mixed.geojson", target: utm, lenient: true)
    expect(reader.features.map(&:id)).to eq([1, 3])
    expect(reader.refused).to match([/Feature 2 \(9999\) is outside/])
  end

  # A file must not lead to other files: GDAL's virtual format would.
  it "refuses a file of another kind under a false ending, and an ending that is not known" do
    File.write("#{@folder}/secret.csv", "name,lon,lat\nsecret,1,2\n")
    File.write(
      "#{@folder}/virtual.gml",
      %(<OGRVRTDataSource><OGRVRTLayer name="secret"><SrcDataSource>#{@folder}/secret.csv</SrcDataSource></OGRVRTLayer></OGRVRTDataSource>)
    )
    expect { described_class.new("#{@folder}/virtual.gml").layers }.to invalid(/virtual\.gml could not be read/)
    FileUtils.cp(written("GPKG", "a.gpkg", "#{demo}/huts.geojson"), "#{@folder}/a.kml")
    expect { described_class.new("#{@folder}/a.kml").layers }.to invalid(
      /a\.kml (is not KML, as its ending says|could not be read)/
    )
    expect { described_class.new("#{@folder}/a.exe").layers }.to invalid(
      /is of a kind that is not read here; import GeoJSON/
    )
  end

  it "stops reading when it is told to, and leaves no process behind" do
    file = written("GPKG", "contours.gpkg", "#{demo}/contours.geojson")
    TileLoom::Data::GdalReader.new(file).open(target: utm).each_batch.first
    running =
      Dir["/proc/[0-9]*/cmdline"].filter_map do |place|
        File.read(place)
      rescue
        nil
      end # standard:disable Style/RescueModifier
    expect(running.join("\n")).not_to include(file)
  end

  describe "tables" do
    def table(text, name = "table.csv") = File.join(@folder, name).tap { |file| File.binwrite(file, text) }

    def place(file, **options)
      feature =
        TileLoom::Data::FileReader
          .open(
            file,
            target: TileLoom::Crs::System.find("EPSG:25829"),
            reference: TileLoom::Crs::System.find("EPSG:25829"),
            **options
          )
          .features
          .first
      [TileLoom::Geometry::Wkb.each_run(feature.wkb).first[1], feature.attributes]
    end

    it "reads decimal commas, between semicolons and in quotes" do
      expect(place(table("name;x;y;h\nA;403000,5;6528000,25;3,5\n"))).to match(
        [[403_000.5, 6_528_000.25], include("h" => 3.5)]
      )
      expect(place(table(%(name,x,y\nA,"403000,5","6528000,25"\n), "quoted.csv")).first).to eq(
        [403_000.5, 6_528_000.25]
      )
    end

    it "asks for columns that it cannot find, and takes those that are named" do
      file = table("what,ost,nord\nA,403000.5,6528000.25\n")
      found = described_class.new(file).layers.first
      expect([found.geometry, found.columns, found.attributes.map { |attribute| attribute["name"] }]).to eq(
        ["None", nil, %w[what ost nord]]
      )
      expect { place(file) }.to invalid(/has no columns of places/, path: "/columns")
      columns = TileLoom::Data::Columns.new({"x" => "ost", "y" => "nord"})
      expect(place(file, columns: columns).first).to eq([403_000.5, 6_528_000.25])
      expect(described_class.new(file, columns: columns).layers.first.columns).to eq({"x" => "ost", "y" => "nord"})
      expect { described_class.new(file, columns: TileLoom::Data::Columns.new({"x" => "ost"})).layers }.to invalid(
        /one for east and one for north/
      )
      expect {
        described_class.new(file, columns: TileLoom::Data::Columns.new({"x" => "ost", "y" => "up"})).layers
      }.to invalid(/no column “up”; it has what, ost, nord/)
    end

    it "says which columns it took" do
      expect(described_class.new(table("name,Lon,Lat\nA,1,2\n")).layers.first.columns).to eq(
        {"x" => "Lon", "y" => "Lat"}
      )
      expect(described_class.new(table("name;WKT\nA;POINT (1 2)\n", "text.csv")).layers.first.columns).to eq(
        {"wkt" => "WKT"}
      )
    end

    it "reads texts of an old encoding, and says so" do
      file = table("name,lon,lat\nCr\xe8me \x96 Moor,-10.7,58.8\n".b)
      reader = TileLoom::Data::FileReader.open(file, target: TileLoom::Crs::System.find("EPSG:25829"))
      expect(reader.features.first.attributes["name"]).to eq("Crème – Moor")
      expect(reader.remarks).to eq([TileLoom::Data::GdalReader::NOT_UTF8])
    end
  end

  it "keeps dates in the form of ISO 8601" do
    outside(
      "ogr2ogr",
      "-f",
      "GPKG",
      "-sql",
      "SELECT CAST('2024/01/02' AS date) AS day, * FROM huts",
      "#{@folder}/days.gpkg",
      "#{demo}/huts.geojson"
    )
    expect(TileLoom::Data::FileReader.open("#{@folder}/days.gpkg", target: utm).features.first.attributes["day"]).to eq(
      "2024-01-02"
    )
  end

  describe "zip files" do
    def zip(name, entries)
      file = File.join(@folder, name)
      Zip::File.open(file, create: true) do |archive|
        entries.each { |entry, bytes| archive.get_output_stream(entry) { |io| io.write(bytes) } }
      end
      file
    end

    def shapefile(prefix)
      outside("ogr2ogr", "#{@folder}/huts.shp", File.join(TileLoom::ROOT, "demo/skarrow-moss/huts.geojson"))
      Dir["#{@folder}/huts.*"].to_h { |file| ["#{prefix}#{File.basename(file)}", File.binread(file)] }
    end

    it "finds data in a folder inside" do
      expect(described_class.new(zip("nested.zip", shapefile("export/huts/"))).layers.first.count).to eq(5)
    end

    it "refuses names that lead outside, bombs, and what is no zip or holds no data" do
      expect { described_class.new(zip("out.zip", shapefile("").merge("../../evil.txt" => "x"))).layers }.to invalid(
        /leads outside it/
      )
      bomb = zip("bomb.zip", shapefile("").merge("zeros.dbf" => "\0" * 80_000_000))
      expect(File.size(bomb)).to be < 200_000
      expect { described_class.new(bomb).layers }.to invalid(/would unfold to \d+ MB/)
      expect { described_class.new(zip("empty.zip", "readme.txt" => "x")).layers }.to invalid(
        /contains no file that ends in .shp/
      )
      File.write("#{@folder}/no.zip", "not a zip")
      expect { described_class.new("#{@folder}/no.zip").layers }.to invalid(/not a zip file, or it is damaged/)
      expect { described_class.new(zip("bomb.kmz", "doc.kml" => " " * 80_000_000)).layers }.to invalid(/would unfold/)
    end
  end

  it "learns the types of attributes from their values" do
    types = TileLoom::Data::AttributeTypes.new
    [
      {"a" => 1, "b" => 1, "c" => "2024-01-02", "d" => nil, "e" => true, "f" => "x"},
      {"a" => 2, "b" => 1.5, "c" => "2024-01-02T10:00:00Z", "e" => false, "f" => 3}
    ].each { |attributes| attributes.each { |name, value| types.observe(name, [value]) } }
    expect(types.to_h).to eq(
      {"a" => "integer", "b" => "real", "c" => "date and time", "d" => "text", "e" => "boolean", "f" => "text"}
    )
  end
end
