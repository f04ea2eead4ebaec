# frozen_string_literal: true

require "spec_helper"

# Which transformation brings data from one datum to another depends on where the data lie. PROJ's own choice for the
# place (cs2cs, which takes the most accurate there) is the opinion from outside.
RSpec.describe "The datum of data" do
  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  # Prague, Old Town; the area of S-JTSK / Krovak East North holds Slovakia, too, for which another one is made.
  let(:prague) { [14.4208, 50.0875] }

  def points(name, *places)
    features =
      places.map do |place|
        {"type" => "Feature", "properties" => {}, "geometry" => {"type" => "Point", "coordinates" => place}}
      end
    File
      .join(@folder, name)
      .tap { |path| File.write(path, JSON.generate({"type" => "FeatureCollection", "features" => features})) }
  end

  def book(**more)
    settings = small_settings
    settings["crs"] = "EPSG:5514"
    settings["layers"] = [
      {
        "id" => "area",
        "title" => "Wells",
        "data" => {
          "file" => "wells.geojson"
        },
        "rules" => settings["layers"].first["rules"]
      }
    ]
    path = File.join(@folder, "book.json")
    File.write(path, JSON.generate(settings.merge(more.transform_keys(&:to_s))))
    TileLoom::Document::Folio.read(path)
  end

  def by_proj(lon, lat) =
    outside("cs2cs", "-f", "%.4f", "EPSG:4326", "EPSG:5514", input: "#{lat} #{lon}\n").split.first(2).map(&:to_f)

  it "is that of the most accurate operation for where they lie, from files too, and is told" do
    points("wells.geojson", prague)
    folio = book
    place = TileLoom::Geometry::Wkb.each_run(folio.source.features("area", nil).first.wkb).first[1]
    by_proj(*prague).zip(place).each { |its, mine| expect(mine).to be_within(0.01).of(its) }
    expect(folio.notices).to include(/is transformed to .* by “.*” \(accurate to 1 m\), chosen for where Wells lies/)
    expect(folio.document.settings["operations"].length).to eq(1)
  end

  it "says where data are brought less accurately than they could be" do
    points("wells.geojson", prague)
    crs = TileLoom::Crs::System.find("EPSG:5514")
    rough = TileLoom::Crs::Operations.new.between(TileLoom::Crs::System.find("EPSG:4326"), crs, crs)
    book(operations: [{"datums" => ["World Geodetic System 1984 ensemble", crs.datum].sort, "name" => rough.name}])
    datums = TileLoom::Crs::DatumOperation.ordered(TileLoom::Crs::System.find("EPSG:4326"), crs).first.map(&:datum)
    folio = book(operations: [{"datums" => datums, "name" => rough.name}])
    folio.source
    expect(folio.notices).to include(
      /Wells is transformed by “#{Regexp.escape(rough.name)}”.*; “.*” \(accurate to 1 m\) covers it, too/
    )
  end
end
