# frozen_string_literal: true

require "spec_helper"

# Files that were made to read what is the server's, to stop it, or to be told of badly.
RSpec.describe "Hostile files" do
  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  def file(name, bytes) = File.join(@folder, name).tap { |path| File.binwrite(path, bytes) }

  def utm = TileLoom::Crs::System.find("EPSG:25829")

  def inspection(path) = TileLoom::Data::Inspection.new(path).layers

  # A GeoPackage that GDAL wrote, with more put in by SQLite's shell.
  def geopackage(*statements, name: "a.gpkg")
    path = File.join(@folder, name)
    outside("ogr2ogr", "-f", "GPKG", "-nln", "huts", path, File.join(TileLoom::ROOT, "demo/skarrow-moss/huts.geojson"))
    statements.each { |sql| outside("sqlite3", path, "PRAGMA writable_schema=ON; #{sql}") }
    path
  end

  describe "SQLite containers" do
    it "opens what GDAL writes, with its spatial index and its triggers" do
      path = geopackage
      expect(
        outside(
          "sqlite3",
          path,
          "SELECT count(*) FROM sqlite_master WHERE type = 'trigger' OR sql LIKE 'CREATE VIRTUAL%'"
        ).to_i
      ).to be > 3
      expect(inspection(path).map(&:name)).to eq(["huts"])
    end

    # SQLite runs what a master table holds when the data are read (sqlite.org/security.html).
    {
      "a virtual table over a file" => [
        "INSERT INTO sqlite_master VALUES ('table', 'leak', 'leak', 0, 'CREATE VIRTUAL TABLE leak USING VirtualText(''/etc/passwd'', ''UTF-8'', 0)')",
        /contains the virtual table “leak”/
      ],
      "one that calls itself an index" => [
        "INSERT INTO sqlite_master VALUES ('table', 'rtree_x', 'rtree_x', 0, 'CREATE VIRTUAL TABLE rtree_x USING VirtualText(''/etc/passwd'')')",
        /contains the virtual table “rtree_x”/
      ],
      "a view over anything" => ["CREATE VIEW leak AS SELECT * FROM huts", /contains the view “leak”/],
      "a view without end" => [
        "CREATE VIEW endless AS WITH RECURSIVE c(n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM c) SELECT count(*) AS n FROM c",
        /contains the view “endless”/
      ],
      "a trigger" => ["CREATE TRIGGER t AFTER INSERT ON huts BEGIN DELETE FROM huts; END", /contains the trigger “t”/],
      "a trigger under the name of the standard" => [
        "CREATE TRIGGER rtree_huts_geom_insert2 AFTER INSERT ON huts BEGIN SELECT load_extension('x'); END",
        /contains the trigger/
      ],
      # What begins first holds: SQLite takes the quoted name for a name, and reads on behind it.
      "a comment that begins in a quoted name" => [
        "INSERT INTO sqlite_master VALUES ('table', 'rtree_/*x', 'rtree_/*x', 0, 'CREATE VIRTUAL TABLE " \
          "\"rtree_/*x\" USING VirtualText(''/etc/passwd'',''UTF-8'',0,COMMA,DOUBLEQUOTE,'','') --*/\" USING rtree(a)')",
        /contains the virtual table “rtree_/
      ],
      "one under a view of the standard" => [
        "CREATE VIEW geometry_columns AS SELECT * FROM gpkg_contents, pragma_database_list",
        /contains the view “geometry_columns”/
      ],
      "a view that calls itself a table" => [
        "INSERT INTO sqlite_master VALUES ('table', 'leak', 'leak', 0, 'CREATE VIEW leak AS SELECT * FROM huts')",
        # SQLite's own shell says so, where it is new enough.
        /definition is of something else|its tables are damaged/
      ],
      "a definition of another name" => [
        "INSERT INTO sqlite_master VALUES ('table', 'leak', 'leak', 0, 'CREATE TABLE other (a)')",
        # SQLite's own shell says so, where it is new enough.
        /definition is of something else|its tables are damaged/
      ],
      "an apostrophe in a name that hides a column" => [
        "CREATE TABLE g (`a'`, b GENERATED ALWAYS AS (hex(zeroblob(1000000000))), `c'`)",
        /worked out when it is read/
      ],
      "one in brackets" => [
        "CREATE TABLE g ([a'], b AS (hex(zeroblob(1000000000))), [c'])",
        /worked out when it is read/
      ],
      "a column that is worked out" => [
        "CREATE TABLE g (a, b GENERATED ALWAYS AS (hex(zeroblob(1000000000))))",
        /worked out when it is read/
      ]
    }.each do |name, (sql, sentence)|
      it "does not open #{name}, whatever the file's ending" do
        name = (sql.start_with?("CREATE TRIGGER rtree_huts_geom_insert2") ? "trigger.gpkg" : "a.gpkg")
        path = geopackage(sql, name: name)
        expect { inspection(path) }.to invalid(sentence)
        FileUtils.cp(path, "#{path}.kml")
        expect { inspection("#{path}.kml") }.to invalid(sentence)
      end
    end
  end

  it "gives the readers of data an environment of their own, no network and none but the drivers of the format" do
    reader = TileLoom::Sandbox::GdalProcess.new("x.kml", drivers: %w[KML])
    ENV["TILE_LOOM_SECRET"] = "x"
    expect(reader.capture("env")).not_to match(/TILE_LOOM_SECRET|DATABASE/)
    expect(reader.capture("pwd").strip).to match(/tile-loom-read/)
    expect(reader.capture("ogrinfo", "--formats").scan(/^\s+(\S.*?) -/).flatten).to contain_exactly(
      "KML",
      "GeoJSONSeq",
      "Memory"
    )
  ensure
    ENV.delete("TILE_LOOM_SECRET")
  end

  # A schema beside or far away, an entity, a link: none is followed.
  it "does not follow what a file points to" do
    file("secret.xsd", "root:x:0:0")
    path =
      file(
        "a.gml",
        %(<?xml version="1.0"?><!DOCTYPE x [<!ENTITY leak SYSTEM "file:///etc/passwd">]><gml:FeatureCollection xmlns:gml="http://www.opengis.net/gml" xmlns:x="http://x" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" xsi:schemaLocation="http://x http://127.0.0.1:9/x.xsd"><gml:featureMember><x:a><x:name>&leak;</x:name><x:g><gml:Point><gml:coordinates>1,2</gml:coordinates></gml:Point></x:g></x:a></gml:featureMember></gml:FeatureCollection>)
      )
    begin
      features = TileLoom::Data::FileReader.open(path, target: TileLoom::Crs::System.find("EPSG:4326")).features
      expect(features.map(&:attributes).to_s).not_to include("root:")
    rescue TileLoom::Refusal => error
      expect(error.message).not_to include("root:")
    end
  end

  it "ends a reader at once when the work is not wanted any more" do
    asked = 0
    reader = TileLoom::Sandbox::LimitedProcess.new("slow", wanted: -> { (asked += 1) < 2 })
    expect { reader.capture("sleep", "600") }.to invalid(/slow could not be read/)
    expect(asked).to eq(2)
    expect(
      Dir["/proc/[0-9]*/cmdline"]
        .filter_map do |place|
          File.read(place)
        rescue
          nil
        end
        .grep(/sleep\0600/)
    ).to be_empty # standard:disable Style/RescueModifier
  end

  describe "what is said" do
    it "names files, not where on the machine they lie" do
      path = file("broken.kml", "<kml><Document><Placemark>")
      expect { inspection(path) }.to raise_error(TileLoom::Refusal) { |error|
        expect(error.message).to match(/\Abroken\.kml could not be read/).and(not_include(@folder))
      }
      expect { TileLoom::Output::Press.aside(File.join(@folder, "none/x.pdf")) { |io| io } }.to raise_error(
        TileLoom::Refusal
      ) { |error| expect([error.message, error.detail]).to match([not_include(@folder), include(@folder)]) }
    end

    feature = ->(properties, point = "[-10.7,58.8]") do
      %({"type":"FeatureCollection","features":[{"type":"Feature","properties":#{properties},"geometry":{"type":"Point","coordinates":#{point}}}]})
    end
    {
      "a list as properties" => [feature['["a"]'], /Feature 1 of the file has properties that are not an object/],
      "a text as properties" => [feature['"a"'], /Feature 1 of the file has properties that are not an object/],
      "a number beyond all" => [feature['{"n":1e400}'], /Feature 1 has a value of “n” beyond 1\.8e308/],
      "one in a list" => [feature['{"n":[1e400]}'], /Feature 1 has a value of “n” that is not a number or a text/],
      "a place beyond all" => [
        feature["{}", "[1e400,0]"],
        /Feature 1 has a coordinate that is not a pair of finite numbers/
      ],
      "a CRS as a text that is none" => [
        feature["{}"].sub("{", '{"crs":"nowhere at all",'),
        /“nowhere at all” is not a CRS/
      ],
      "a CRS as a list" => [feature["{}"].sub("{", '{"crs":[1],'), /The file’s “crs” cannot be read: \[1\]/],
      "nested without end" => ["[" * 100_000, /nested more than 60 levels deep/]
    }.each do |name, (text, sentence)|
      it "says what is wrong with #{name}" do
        path = file("a.geojson", text)
        expect { TileLoom::Data::FileReader.open(path, target: utm).features }.to invalid(sentence)
      end
    end

    it "takes a CRS named by a text, and asks for one that GDAL does not know" do
      path = file("a.geojson", feature["{}", "[402000,6528000]"].sub("{", '{"crs":"EPSG:25829",'))
      expect(TileLoom::Data::FileReader.open(path, target: utm).features.length).to eq(1)
      gml =
        file(
          "b.gml",
          %(<gml:FeatureCollection xmlns:gml="http://www.opengis.net/gml" xmlns:x="http://x"><gml:featureMember><x:a><x:g><gml:Point srsName="urn:nowhere:1"><gml:coordinates>402000,6528000</gml:coordinates></gml:Point></x:g></x:a></gml:featureMember></gml:FeatureCollection>)
        )
      expect(inspection(gml).first.reference).to be_nil
    end

    it "refuses a layer whose name would be an option of the tool" do
      path =
        file(
          "a.kml",
          "<kml xmlns='http://www.opengis.net/kml/2.2'><Document><Folder><name>-progress</name><Placemark><Point><coordinates>-10,58</coordinates></Point></Placemark></Folder></Document></kml>"
        )
      expect { TileLoom::Data::GdalReader.new(path).open("-progress", target: utm) }.to invalid(
        /does not begin with a hyphen/
      )
    end
  end

  it "counts lists and objects before it builds any, so that a small file does not fill the memory" do
    expect { TileLoom::Assets::JsonText.parse("[#{"[]," * 1_000}[]]", parts: 1_000) }.to invalid(
      /has 1,002 lists and objects; the limit is 1,000/
    )
    ["[1e999]", "[\"\\ud800\"]", "[\"a\\u0000\"]", "[1#{"0" * 400}]", "\xFF", "{"].each do |text|
      expect { TileLoom::Assets::JsonText.parse(text) }.to invalid
    end
    expect(TileLoom::Assets::JsonText.parse("\uFEFF{\"a\":\"b\\n\"}")).to eq({"a" => "b\n"})
  end

  RSpec::Matchers.define_negated_matcher :not_include, :include
end
