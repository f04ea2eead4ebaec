# frozen_string_literal: true

require "socket"

# What GDAL hands on as FlatGeobuf (https://flatgeobuf.org, header.fbs and feature.fbs, version 3) is held against what
# the same GDAL writes of the same file as GeoJSON.
RSpec.describe TileLoom::Data::FlatGeobuf do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  let(:utm) { TileLoom::Crs::System.find("EPSG:25829") }

  table_text = <<~CSV
    wkt,id,day,moment,yes,single,double,text,large
    "POINT(1 2)",1,2020-01-02,2020-01-02 10:11:12.5,true,0.1,0.30000000000000004,ä,12345678901
    "MULTIPOLYGON(((0 0,1 0,1 1,0 0)),((5 5,6 5,6 6,5 5),(5.2 5.1,5.5 5.2,5.5 5.1,5.2 5.1)))",2,,,,,,,
    "GEOMETRYCOLLECTION(POINT(1 2),LINESTRING(0 0,1 1))",3,2020/03/04,2020-01-02T10:11:12Z,false,-2.5,1e300,"a ""b""",-3
    "LINESTRING EMPTY",4,,,,,,,
    "MULTIPOINT(1 2,3 4)",5,,,,1,,,
    "MULTILINESTRING((1 2,3 4),(5 6,7 8,9 10))",6,,,,,,,
    "POINT Z(1 2 3)",7,,,,,,,
    ,8,,,,,,no place,
  CSV
  types_text = %("WKT","Integer","Date","DateTime","Integer(Boolean)","Real(Float32)","Real","String","Integer64"\n)

  define_method(:table) do |text = table_text, types = types_text|
    File.write("#{@folder}/t.csvt", types)
    "#{@folder}/t.csv".tap { |file| File.write(file, text) }
  end

  def read(file, **more) = TileLoom::Data::FileReader.open(file, target: utm, reference: utm, lenient: true, **more)

  it "brings shapes and values as GeoJSON of the same file has them, to the last bit" do
    file = table
    lines =
      outside(
        "ogr2ogr",
        "-f",
        "GeoJSONSeq",
        "-a_srs",
        "none",
        "-dim",
        "XY",
        "/vsistdout/",
        file,
        "-oo",
        "AUTODETECT_TYPE=YES",
        "-oo",
        "GEOM_POSSIBLE_NAMES=wkt"
      )
    theirs =
      lines
        .lines
        .map { |line| JSON.parse(line) }
        .select { |one| one["geometry"] && one["geometry"]["coordinates"] != [] }
    reader = read(file)
    ours = reader.features
    expect(ours.map { |one| one.attributes["id"] }).to eq(theirs.map { |one| one["properties"]["id"] })
    ours
      .zip(theirs)
      .each do |own, their|
        expect(TileLoom::Geometry::Geojson.of(own.wkb)).to eq(their["geometry"])
        expect(own.attributes.compact.except("double")).to eq(their["properties"].compact.except("double"))
      end
    # GDAL writes 15 digits of a number as text.
    expect(ours.filter_map { |own| own.attributes["double"] }).to eq([0.30000000000000004, 1e300])
    expect(reader.notices).to eq(["2 features have no geometry and are left out."])
  end

  it "makes straight lines of curves, and leaves times of day and lists to text, as FlatGeobuf has none" do
    curve =
      read(table("wkt,n\n\"CURVEPOLYGON(CIRCULARSTRING(0 0,1 1,2 0,1 -1,0 0))\",1\n", %("WKT","Integer"\n))).features
    # The area of a circle of radius 1.
    expect(TileLoom::Geometry::Geos.read(curve.first.wkb).area).to be_within(0.01).of(Math::PI)
    times = read(table("wkt,t,v\n\"POINT(1 2)\",1:2:3,2.5\n", %("WKT","Time","Real"\n)))
    expect(times.features.map(&:attributes)).to eq([{"t" => "01:02:03", "v" => 2.5, "wkt" => "POINT(1 2)"}])
  end

  it "reads one stream in parts, by several processes, as by one" do
    stub_const("TileLoom::Data::StreamReader::MANY", 10)
    stub_const("TileLoom::Data::FeatureReader::BATCH", 7)
    rows = (1..60).map { |n| (n % 20).zero? ? "\"POLYGON((0 0,1 1,1 0,0 1,0 0))\",#{n}" : "\"POINT(#{n} 2)\",#{n}" }
    file = table("wkt,n\n#{rows.join("\n")}\n,61\n", %("WKT","Integer"\n))
    found =
      [1, 3].map do |processes|
        reader = read(file)
        batches = reader.to_enum(:each_packed, processes: processes).to_a
        [%i[ids boxes shapes originals rows names].map { |part| batches.flat_map(&part) }, reader.notices]
      end
    expect(found.last).to eq(found.first)
    expect(found.first[0][0]).to eq((1..60).to_a)
    expect(found.first[1].grep(/self-intersection.* – mended/).length).to eq(3)
    expect(found.first[1]).to include("1 feature has no geometry and is left out.")
  end

  it "says that a stream ended in the middle, whatever the program says" do
    bytes =
      outside(
        "ogr2ogr",
        "-f",
        "FlatGeobuf",
        "-lco",
        "SPATIAL_INDEX=NO",
        "-nlt",
        "GEOMETRY",
        "/vsistdout/x.fgb",
        table,
        "t"
      )
    expect { described_class.new(StringIO.new(bytes.b[0..-9])).each {} }.to raise_error(described_class::CutOff)
    expect { described_class.new(StringIO.new("no FlatGeobuf at all")).each {} }.to raise_error(described_class::CutOff)
    expect(described_class.new(StringIO.new("")).names).to eq([])
  end
end
