# frozen_string_literal: true

RSpec.describe TileLoom::Data do
  utm = TileLoom::Crs::System.find("EPSG:25829")

  def read(text, **options) =
    TileLoom::Data::GeojsonReader.from_text(text, target: TileLoom::Crs::System.find("EPSG:25829"), **options)

  def collection(*geometries) =
    JSON.generate(
      {
        "type" => "FeatureCollection",
        "features" =>
          geometries.map do |geometry|
            {"type" => "Feature", "properties" => {"name" => "Hag"}, "geometry" => geometry}
          end
      }
    )

  describe "GeoJSON" do
    # RFC 7946, section 1.5: the example of three features.
    it "reads the example of the standard" do
      text = <<~JSON
        {"type":"FeatureCollection","features":[
          {"type":"Feature","geometry":{"type":"Point","coordinates":[-9.0,0.5]},"properties":{"prop0":"value0"}},
          {"type":"Feature","geometry":{"type":"LineString","coordinates":[[-10.0,0.0],[-9.0,1.0],[-8.0,0.0],[-7.0,1.0]]},"properties":{"prop0":"value0","prop1":0.0}},
          {"type":"Feature","geometry":{"type":"Polygon","coordinates":[[[-10.0,0.0],[-9.0,0.0],[-9.0,1.0],[-10.0,1.0],[-10.0,0.0]]]},"properties":{"prop0":"value0","prop1":{"this":"that"}}}]}
      JSON
      features = read(text).features
      expect(features.map { |feature| feature.wkb.getbyte(1) }).to eq([1, 2, 3])
      expect(features.map(&:id)).to eq([1, 2, 3])
      expect(features[2].attributes).to eq({"prop0" => "value0", "prop1" => '{"this":"that"}'})
      east, north = TileLoom::Geometry::Wkb.each_run(features[0].wkb).first[1]
      theirs = transverse_mercator(-9.0, 0.5, central: -9, ellipsoid: [6_378_137, "1/298.257222101"])
      expect([east, north]).to match([be_within(0.001).of(theirs[:x]), be_within(0.001).of(theirs[:y])])
    end

    it "reads multi geometries, collections and bare geometries" do
      features =
        read(
          collection(
            {"type" => "MultiPoint", "coordinates" => [[-9, 50], [-9, 51]]},
            {"type" => "MultiLineString", "coordinates" => [[[-9, 50], [-9, 51]]]},
            {"type" => "MultiPolygon", "coordinates" => [[[[-9, 50], [-8, 50], [-8, 51], [-9, 50]]]]},
            {"type" => "GeometryCollection", "geometries" => [{"type" => "Point", "coordinates" => [-9, 50]}]}
          )
        ).features
      expect(features.map { |feature| feature.wkb.getbyte(1) }).to eq([4, 5, 6, 7])
      expect(read('{"type":"Point","coordinates":[-9,50]}').features.length).to eq(1)
    end

    it "honours the reference that the file names" do
      text =
        JSON.generate(
          {
            **collection_in("urn:ogc:def:crs:EPSG::25829"),
            "features" => [
              {
                "type" => "Feature",
                "properties" => {},
                "geometry" => {
                  "type" => "Point",
                  "coordinates" => [402_000.125, 6_528_000.5]
                }
              }
            ]
          }
        )
      expect(TileLoom::Geometry::Wkb.each_run(read(text).features.first.wkb).first[1]).to eq([402_000.125, 6_528_000.5])
    end

    it "comes back the same when written and read again" do
      shapes = [
        {
          "type" => "MultiPolygon",
          "coordinates" => [
            [[[0.0, 0.0], [4.0, 0.0], [4.0, 4.0], [0.0, 0.0]], [[2.0, 1.0], [3.0, 1.0], [3.0, 2.0], [2.0, 1.0]]]
          ]
        },
        {"type" => "LineString", "coordinates" => [[1.5, 2.5], [3.0, 4.0]]},
        {"type" => "MultiPoint", "coordinates" => [[1.0, 2.0]]},
        {"type" => "GeometryCollection", "geometries" => [{"type" => "Point", "coordinates" => [1.0, 2.0]}]}
      ]
      reader = TileLoom::Data::GeojsonReader.new(JSON.parse(collection(*shapes)), target: utm, reference: utm)
      expect(reader.features.map { |feature| TileLoom::Geometry::Geojson.of(feature.wkb) }).to eq(shapes)
    end

    it "mends a polygon that crosses itself, and says which" do
      reader =
        read(collection({"type" => "Polygon", "coordinates" => [[[-9, 50], [-8, 51], [-8, 50], [-9, 51], [-9, 50]]]}))
      shape = TileLoom::Geometry::Geos.read(reader.features.first.wkb)
      expect(shape).to be_valid
      expect(shape.area).to be > 0
      expect(reader.repairs).to match([/Feature 1 \(Hag\): self-intersection/])
    end

    it "closes a ring that was left open" do
      expect(
        read(collection({"type" => "Polygon", "coordinates" => [[[-9, 50], [-8, 50], [-8, 51]]]})).features.length
      ).to eq(1)
    end

    # What is refused, and the sentence that says so.
    {
      "not JSON" => ["<html>", /not JSON/],
      "not GeoJSON" => ['{"a":1}', /not GeoJSON/],
      "a list" => ["[1]", /not GeoJSON/],
      "an empty collection" => ['{"type":"FeatureCollection","features":[]}', /contains no features/],
      "no number" => [
        '{"type":"Point","coordinates":[null,5]}',
        /Feature 1 has a coordinate that is not a pair of finite numbers/
      ],
      "a number written NaN" => ['{"type":"Point","coordinates":[NaN,5]}', /not JSON/],
      "a number beyond numbers" => ['{"type":"Point","coordinates":[1e999,5]}', /finite numbers/],
      "outside the domain" => [
        '{"type":"Point","coordinates":[-9,1000]}',
        /Feature 1 is outside what ETRS89 .* can show: the point -9, 1000/
      ],
      "an unknown type" => [
        '{"type":"Feature","properties":{"name":"x"},"geometry":{"type":"Circle","coordinates":[1,2]}}',
        /Feature 1 \(x\) has a geometry of the unknown type “Circle”/
      ],
      "a line of one point" => ['{"type":"LineString","coordinates":[[1,2]]}', /fewer than two points/],
      "a ring of two points" => ['{"type":"Polygon","coordinates":[[[1,2],[3,4]]]}', /fewer than three points/],
      "bytes that are no text" => ["\xff\xfe{}", /not UTF-8/]
    }.each { |name, (text, sentence)| it("refuses #{name}") { expect { read(text).features }.to invalid(sentence) } }
  end

  # OGC 21-065r2 (CQL2), from memory: comparisons, logic, in, between, isNull in its JSON encoding.
  describe "conditions" do
    def holds?(expression, attributes) = TileLoom::Conditions::Condition.new(expression).match?(attributes)

    it "compare and combine attributes" do
      vehicle = {"vehicle_height" => 4, "owner" => "Mike", "floors" => nil}
      expect(holds?({"op" => ">", "args" => [{"property" => "vehicle_height"}, 3]}, vehicle)).to be(true)
      expect(
        holds?(
          {
            "op" => "and",
            "args" => [
              {"op" => "=", "args" => [{"property" => "owner"}, "Mike"]},
              {"op" => "<", "args" => [{"property" => "vehicle_height"}, 4]}
            ]
          },
          vehicle
        )
      ).to be(false)
      expect(
        holds?(
          {
            "op" => "or",
            "args" => [{"op" => "isNull", "args" => [{"property" => "floors"}]}, {"op" => "=", "args" => [1, 2]}]
          },
          vehicle
        )
      ).to be(true)
      expect(holds?({"op" => "in", "args" => [{"property" => "owner"}, %w[Tom Mike]]}, vehicle)).to be(true)
      expect(holds?({"op" => "between", "args" => [{"property" => "vehicle_height"}, 4, 5]}, vehicle)).to be(true)
      expect(
        holds?({"op" => "not", "args" => [{"op" => "<>", "args" => [{"property" => "owner"}, "Mike"]}]}, vehicle)
      ).to be(true)
    end

    it "are false where a value is missing or of another kind" do
      expect(holds?({"op" => "<", "args" => [{"property" => "none"}, 3]}, {})).to be(false)
      expect(holds?({"op" => "<", "args" => [{"property" => "text"}, 3]}, {"text" => "2"})).to be(false)
    end

    it "refuse an operation that is not known" do
      expect { holds?({"op" => "melt", "args" => []}, {}) }.to invalid(/“melt” is not known/)
    end
  end

  it "finds features by box, in a stable order" do
    features = (1..200).map { |id| rectangle(id * 10, 0, id * 10 + 5, 5, id: id) }
    source = described_class::MemorySource.new("area" => features)
    expect(source.features("area", TileLoom::Geometry::Box.new(100, 0, 133, 1)).map(&:id)).to eq([10, 11, 12, 13])
    expect(source.features("none", nil)).to eq([])
    expect(source.extent("area").to_a).to eq([10, 0, 2005, 5])
  end

  it "reads other formats through GDAL, and says what it cannot read" do
    Dir.mktmpdir do |folder|
      geojson = File.join(folder, "a.geojson")
      File.write(geojson, collection({"type" => "Point", "coordinates" => [-9, 50]}))
      package = File.join(folder, "a.gpkg")
      outside("ogr2ogr", "-f", "GPKG", "-nln", "hags", package, geojson)
      expect(described_class::GdalReader.new(package).layers).to eq(["hags"])
      expect(described_class::FileReader.open(package, target: utm).features.first.attributes).to include(
        "name" => "Hag"
      )
      expect { described_class::FileReader.open(package, target: utm, layer: "none") }.to invalid(
        /has no layer “none”; it has hags/
      )
      broken = File.join(folder, "b.gpkg")
      File.write(broken, "nothing")
      expect { described_class::FileReader.open(broken, target: utm) }.to invalid(/b\.gpkg could not be read/)
      expect { described_class::FileReader.open(File.join(folder, "c.geojson"), target: utm) }.to invalid(
        /does not exist/
      )
    end
  end
end
