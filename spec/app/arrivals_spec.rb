# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Arrivals do
  before { empty_database }

  let(:book) { kept_book }

  def work = Delayed::Worker.new(quiet: true, exit_on_complete: true).start

  def original(arrival) = File.join(App::Store.folder, "originals", arrival.path)

  def path(arrival, action) = "/api/books/#{book.id}/arrivals/#{arrival.id}/#{action}"

  # Sends a file and lets it be looked into; returns the App::Arrival.
  def send_file(bytes, name)
    file = Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", original_filename: name)
    post("/api/books/#{book.id}/arrivals", {"file" => file}, "HTTP_HOST" => "localhost")
    return nil unless last_response.status == 201
    work
    App::Arrival.find(answer["id"])
  end

  def keep(arrival, title: "Hags", reference: "")
    send_json(
      :post,
      path(arrival, "keep"),
      {layers: [{name: arrival.report.first["name"], title: title}], reference: reference}
    )
    work
    arrival.reload
  end

  def bring(bytes, name: "hags.geojson", **options) =
    send_file(bytes, name).then { |arrival| (arrival.state == "ready") ? keep(arrival, **options) : arrival }

  def counts = [App::Layer.count, App::FeatureBatch.count, App::Edit.count]

  point = ->(lon, lat) do
    JSON.generate(
      {
        "type" => "FeatureCollection",
        "features" => [
          {
            "type" => "Feature",
            "properties" => {
              "name" => "Hag",
              "n" => 1.5
            },
            "geometry" => {
              "type" => "Point",
              "coordinates" => [lon, lat]
            }
          }
        ]
      }
    )
  end

  it "reports what is in a file before anything is kept" do
    book
    before = counts
    arrival = send_file(point.call(-10.7, 58.87), "hags.geojson")
    expect(arrival.state).to eq("ready")
    expect(arrival.report.first).to include(
      "count" => 1,
      "geometry" => "Point",
      "reference_name" => "WGS 84",
      "asks_reference" => false,
      "attributes" => [{"name" => "name", "type" => "text"}, {"name" => "n", "type" => "real"}]
    )
    expect(counts).to eq(before)
    ask("/api/books/#{book.id}/arrivals")
    expect(answer.first).to include("name" => "hags.geojson", "state" => "ready")
  end

  it "brings it in as the top layer, keeps the original, and can be undone and redone" do
    arrival = bring(point.call(-10.7, 58.87))
    expect(arrival).to have_attributes(state: "done", done: 1, total: 1)
    layer = App::Layer.find_by!(key: "hags")
    expect([layer.kind, layer.feature_count, layer.removed, layer.original_reference]).to eq(
      ["point", 1, false, "OGC:CRS84"]
    )
    feature = App::FeatureBatch.each_kept(layer, shapes: true).first.first
    expect(TileLoom::Geometry::Wkb.each_run(feature.original).first[1]).to eq([-10.7, 58.87])
    expect(feature.properties).to eq({"name" => "Hag", "n" => 1.5})
    theirs = transverse_mercator(-10.7, 58.87, central: -9, ellipsoid: [6_378_137, "1/298.257222101"])
    expect(TileLoom::Geometry::Wkb.each_run(drawn(layer).first.wkb).first[1]).to match(
      [be_within(0.001).of(theirs[:x]), be_within(0.001).of(theirs[:y])]
    )
    expect(File.read(original(arrival))).to eq(point.call(-10.7, 58.87))
    expect(book.reload.document["layers"].last["id"]).to eq("hags")
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(answer["document"]["layers"].map { |known| known["id"] }).to eq(%w[area dams])
    send_json(:post, "/api/books/#{book.id}/redo", {})
    expect(answer["layers"].last).to include("id" => "hags", "count" => 1)
  end

  it "brings chosen layers of a GeoPackage in another reference" do
    Dir.mktmpdir do |folder|
      File.write("#{folder}/a.geojson", point.call(-10.7, 58.87))
      outside(
        "ogr2ogr",
        "-f",
        "GPKG",
        "-t_srs",
        "EPSG:32630",
        "-nln",
        "hags",
        "#{folder}/a.gpkg",
        "#{folder}/a.geojson"
      )
      outside("ogr2ogr", "-f", "GPKG", "-update", "-nln", "stiles", "#{folder}/a.gpkg", "#{folder}/a.geojson")
      arrival = send_file(File.binread("#{folder}/a.gpkg"), "moor.gpkg")
      expect(arrival.report.map { |layer| layer.values_at("name", "reference") }).to eq(
        [%w[hags EPSG:32630], %w[stiles EPSG:4326]]
      )
      send_json(
        :post,
        path(arrival, "keep"),
        {layers: arrival.report.map { |layer| {name: layer["name"], title: "Moor #{layer["name"]}"} }}
      )
      work
      expect(book.reload.document["layers"].last(2).map { |layer| layer["title"] }).to eq(["Moor hags", "Moor stiles"])
      first, second =
        %w[moor-hags moor-stiles].map do |key|
          TileLoom::Geometry::Wkb.each_run(drawn(App::Layer.find_by!(key: key)).first.wkb).first[1]
        end
      expect(Math.hypot(first[0] - second[0], first[1] - second[1])).to be < 0.01
      expect(App::Edit.count).to eq(1)
    end
  end

  it "asks for a reference where the file names none, and takes the one that is named" do
    arrival = send_file("name,x,y\nA,403000.5,6528000.25\n", "posts.csv")
    expect(arrival.report.first["asks_reference"]).to be(true)
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: "Posts"}]})
    expect([last_response.status, answer["path"]]).to eq([422, "/reference"])
    send_json(
      :post,
      path(arrival, "keep"),
      {layers: [{name: arrival.report.first["name"], title: "Posts"}], reference: "EPSG:0"}
    )
    expect(last_response.status).to eq(422)
    keep(arrival, title: "Posts", reference: "EPSG:25829")
    expect(TileLoom::Geometry::Wkb.each_run(drawn(App::Layer.find_by!(key: "posts")).first.wkb).first[1]).to eq(
      [403_000.5, 6_528_000.25]
    )
  end

  it "lists what was mended and what had to be left out, with its identity" do
    features = [
      [[-10.7, 58.87], [-10.6, 58.9], [-10.6, 58.87], [-10.7, 58.9], [-10.7, 58.87]],
      [[0, 5000], [1, 5000], [1, 5001], [0, 5000]]
    ]
    arrival =
      bring(
        JSON.generate(
          {
            "type" => "FeatureCollection",
            "features" =>
              features.each_with_index.map do |ring, i|
                {
                  "type" => "Feature",
                  "properties" => {
                    "name" => "F#{i}"
                  },
                  "geometry" => {
                    "type" => "Polygon",
                    "coordinates" => [ring]
                  }
                }
              end
          }
        )
      )
    expect(arrival.remarks).to match(
      [/Feature 1 \(F0\): (ring )?self-intersection/, /Left out: Feature 2 \(F1\) is outside/]
    )
    expect(App::Layer.find_by!(key: "hags").feature_count).to eq(1)
  end

  it "gives a second file of the same name an id of its own, and a hostile name no power" do
    2.times { bring(point.call(-10.7, 58.87)) }
    arrival = bring(point.call(-10.7, 58.87), name: "../../etc/<b>passwd</b>.geojson", title: "../x")
    expect(App::Layer.order(:id).last(3).map(&:key)).to eq(%w[hags hags-2 x])
    expect(arrival.path).to eq("#{arrival.id}/original.geojson")
  end

  {
    "not JSON" => ["{", "a.geojson", /not JSON/],
    "not GeoJSON" => ["{}", "a.geojson", /./],
    "empty" => ['{"type":"FeatureCollection","features":[]}', "a.geojson", /contains no/],
    "outside the reference altogether" => [
      point.call(-9, 2000),
      "a.geojson",
      /No feature of the file could be imported.*outside what/
    ],
    "no GeoPackage" => ["nothing", "a.gpkg", /a\.gpkg could not be read/],
    "no zip" => ["PK nonsense", "a.zip", /a\.zip is not a zip file, or it is damaged/]
  }.each do |name, (bytes, file, sentence)|
    it "refuses a file that is #{name}, says so, and keeps nothing of it" do
      book
      before = counts
      arrival = bring(bytes, name: file)
      expect(arrival.state).to eq("failed")
      expect(arrival.reason).to match(sentence)
      expect(counts).to eq(before)
    end
  end

  it "refuses an ending that it does not know before it takes the file" do
    send_file("x", "a.exe")
    expect([last_response.status, answer["message"]]).to match([422, /a\.exe is of a kind that is not read here/])
    expect(App::Arrival.count).to eq(0)
  end

  it "stops while it is bringing a file in, and keeps nothing of it" do
    many =
      JSON.generate(
        {
          "type" => "FeatureCollection",
          "features" =>
            Array.new(5000) do |i|
              {
                "type" => "Feature",
                "properties" => {
                  "i" => i
                },
                "geometry" => {
                  "type" => "Point",
                  "coordinates" => [-10.7 + i * 1e-6, 58.87]
                }
              }
            end
        }
      )
    arrival = send_file(many, "many.geojson")
    before = counts
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: "Many"}]})
    # Dropped after the first batch, as from another process.
    calls = 0
    allow(App::Arrival).to receive(:where).and_wrap_original do |original, *arguments|
      calls += 1 if arguments == [{id: arrival.id, state: App::Arrival::OPEN}]

      App::Arrival.find(arrival.id).update_columns(state: "cancelled") if calls == 3
      original.call(*arguments)
    end
    work
    expect(arrival.reload.state).to eq("cancelled")
    expect(counts).to eq(before)
  end

  it "shows nothing of a file that was dropped at the very end" do
    arrival = send_file(point.call(-10.7, 58.87), "hags.geojson")
    before = counts
    allow_any_instance_of(App::BookChanges).to receive(
      :record_import
    ).and_wrap_original do |original, *arguments, &block|
      App::Arrival.find(arrival.id).update_columns(state: "cancelled")
      original.call(*arguments, &block)
    end
    keep(arrival)
    expect(arrival.state).to eq("cancelled")
    expect(counts).to eq(before)
  end

  it "begins again after a worker has died in the middle, without anything twice" do
    arrival = send_file(point.call(-10.7, 58.87), "hags.geojson")
    App::Layer.create!(book_id: book.id, key: "half", removed: true, arrival_id: arrival.id)
    keep(arrival)
    expect(App::Layer.pluck(:key)).to eq(%w[area dams hags])
  end

  it "drops a file that is not wanted after all" do
    arrival = send_file(point.call(-10.7, 58.87), "hags.geojson")
    send_json(:post, path(arrival, "cancel"), {})
    expect(answer["state"]).to eq("cancelled")
    expect(File.exist?(original(arrival))).to be(false)
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: "x"}]})
    expect(answer["state"]).to eq("cancelled")
    expect(Delayed::Job.count).to eq(0)
  end

  it "asks for the columns of a table, and looks again when they are named" do
    arrival = send_file("what,ost,nord\nA,402500.5,6528500.25\n", "hags.csv")
    expect(arrival.report.first).to include("asks_columns" => true, "columns" => nil)
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: "Hags"}]})
    expect(answer["message"]).to match(/hags\.csv has no columns of places yet/)
    send_json(:post, path(arrival, "columns"), {columns: {x: "ost", y: "up"}})
    expect(answer["message"]).to match(/no column “up”/)
    send_json(:post, path(arrival, "columns"), {columns: {x: "ost", y: "nord"}})
    work
    expect(arrival.reload.report.first).to include(
      "asks_columns" => false,
      "columns" => {
        "x" => "ost",
        "y" => "nord"
      },
      "asks_reference" => true
    )
    keep(arrival, reference: "EPSG:25829")
    expect(App::Layer.find_by!(key: "hags").extent.to_a).to eq([402_500.5, 6_528_500.25, 402_500.5, 6_528_500.25])
  end

  it "says where each likely reference would put a file that names none, the nearest first" do
    arrival = send_file("name,x,y\nA,402500,6528500\n", "hags.csv")
    ask(path(arrival, "places"))
    places = answer.fetch("original")
    expect(places.first).to include(
      "code" => "EPSG:25829",
      "reason" => "the book’s own",
      "distance_m" => 0,
      "ring" => include([402_500.0, 6_528_500.0])
    )
    expect(places.map { |place| place["code"] }).not_to include("EPSG:4326")
    expect(places.drop(1).map { |place| place["distance_m"] }).to eq(
      places.drop(1).map { |place| place["distance_m"] }.sort
    )
    degrees = send_file(point.call(-10.7, 58.87), "hags.geojson")
    ask(path(degrees, "places"))
    # 1,178 m south of the area: its latitude is 58.87°, where the area begins at 58.88°.
    expect(answer["original"]).to match(
      [include("reason" => "as the file says", "distance_m" => be_within(5).of(1178))]
    )
  end

  describe "an update from a file" do
    let(:codes) do
      ->(list) do
        JSON.generate(
          {
            **collection_in("EPSG:25829"),
            "features" =>
              list.map do |code, x|
                {
                  "type" => "Feature",
                  "properties" => {
                    "code" => code
                  },
                  "geometry" => {
                    "type" => "Point",
                    "coordinates" => [x, 6_528_500]
                  }
                }
              end
          }
        )
      end
    end

    def update(key, bytes)
      file =
        Rack::Test::UploadedFile.new(
          StringIO.new(bytes),
          "application/octet-stream",
          original_filename: "fresh.geojson"
        )
      post("/api/books/#{book.id}/arrivals", {"file" => file, "replaces" => key}, "HTTP_HOST" => "localhost")
      return unless last_response.status == 201
      work
      keep(App::Arrival.find(answer["id"]))
    end

    # Of D0…D19, at 402,050 m and every 100 m, the file has D1…D19 with D2 moved, and D77.
    it "replaces the features, keeps the rest, says what differs, and can be undone" do
      App::BookChanges.new(book).apply(
        {
          "layers" =>
            book.document["layers"].map do |layer|
              layer.merge("title" => "Renamed", "labels" => [{"field" => "code"}])
            end
        },
        label: "Rename"
      )
      before = book.reload.document
      arrival =
        update(
          "dams",
          codes[(1..19).to_h { |i| ["D#{i}", 402_050 + i * 100 + ((i == 2) ? 7 : 0)] }.merge("D77" => 403_000)]
        )
      expect(arrival.remarks.first(4)).to eq(
        [
          "1 added, 1 removed, 1 changed, 18 unchanged (matched by code).",
          "Added: D77.",
          "Removed: D0.",
          "Changed: D2."
        ]
      )
      after = book.reload.document
      expect(after["layers"].map { |layer| layer.except("version") }).to eq(before["layers"])
      expect(book.source.features("dams", nil).map { |feature| feature.attributes["code"] }).to include("D77").and(
        satisfy { |list| !list.include?("D0") }
      )
      App::BookChanges.new(book).undo
      expect(App::Book.find(book.id).source.features("dams", nil).first.attributes["code"]).to eq("D0")
      App::BookChanges.new(book.reload).redo
      expect(App::Book.find(book.id).source.features("dams", nil).first.attributes["code"]).to eq("D1")
    end

    # The file has no dam that leaks at first, then none that is sound; the rows of the legend hold all the while.
    it "keeps the rows of a legend as they were arranged, through data that come and go" do
      rule = ->(code) do
        condition = {"op" => "=", "args" => [{"property" => "code"}, code]}
        {
          "title" => "value #{code}",
          "when" => condition,
          "symbol" => {
            "marker" => {
              "shape" => "circle",
              "size_mm" => 2,
              "colour" => "#000000"
            }
          }
        }
      end
      settings = book.document
      layers =
        settings["layers"].map do |layer|
          (layer["id"] == "dams") ? layer.merge("rules" => %w[sound leaking].map(&rule)) : layer
        end
      App::BookChanges.new(book).apply({"layers" => layers}, label: "Rules")
      ids =
        App::Book.find(book.id).document["layers"].find { |layer| layer["id"] == "dams" }["rules"].map do |known|
          known["id"]
        end
      rows = [
        {"kind" => "heading", "title" => "Dams"},
        {"kind" => "entry", "of" => ["dams/#{ids[1]}"], "title" => "It leaks"},
        {"kind" => "entry", "of" => ["dams/#{ids[0]}"], "title" => "Sound"}
      ]
      elements =
        settings["layout"]["elements"].map do |element|
          (element["kind"] == "legend") ? element.merge("rows" => rows, "layers" => ["dams"]) : element
        end
      App::BookChanges.new(book.reload).apply({"layout" => {"elements" => elements}}, label: "Legend")
      listed = -> do
        snapshot = App::Snapshot.of(App::Book.find(book.id))
        composer = snapshot.composer(snapshot.cells.first)
        legend = composer.layout.elements.find(&:explains?)
        legend.on(composer).standing.map { |row| row.placed.name }
      end
      x = book.index.core_cells.first.ground.centre_x
      {
        ["sound"] => %w[Dams Sound],
        ["leaking"] => ["Dams", "It leaks"],
        [] => [],
        %w[sound leaking] => ["Dams", "It leaks", "Sound"]
      }.each do |list, wanted|
        update("dams", codes[[*list.map { |code| [code, x] }, ["else", x + 1]]])
        expect(listed.call).to eq(wanted)
      end
      kept = App::Book.find(book.id).document["layout"]["elements"].find { |element| element["kind"] == "legend" }
      expect(kept["rows"].map { |row| row.except("id") }).to eq(rows)
    end

    it "leaves the cells where they are when the study area got other features, says so, and rebuilds the index if " \
         "told to" do
      cells = -> { App::Book.find(book.id).index.cells.count }
      before = cells.call
      square = {
        "type" => "Polygon",
        "coordinates" => [[[402_000, 6_528_000], [402_100, 6_528_000], [402_100, 6_528_100], [402_000, 6_528_000]]]
      }
      update(
        "area",
        JSON.generate(
          {
            "type" => "Feature",
            "properties" => {},
            "geometry" => square,
            "crs" => {
              "type" => "name",
              "properties" => {
                "name" => "EPSG:25829"
              }
            }
          }
        )
      )
      expect([cells.call, App::IndexState.new(App::Book.find(book.id)).changed]).to match([before, ["study"]])
      App::BookChanges.new(App::Book.find(book.id)).rebuild
      expect([before, cells.call, App::IndexState.new(App::Book.find(book.id)).changed]).to match([be > 1, 1, []])
      2.times { App::BookChanges.new(App::Book.find(book.id)).undo }
      expect([cells.call, App::IndexState.new(App::Book.find(book.id)).changed]).to eq([before, []])
    end

    it "refuses a layer that is not in the book" do
      update("moon", codes[{"D1" => 402_050}])
      expect([last_response.status, answer["message"]]).to match([422, /not in the book/])
    end
  end

  it "refuses more than 4 GB before any of it is read apart" do
    post(
      "/api/books/#{book.id}/arrivals",
      "x",
      "HTTP_HOST" => "localhost",
      "CONTENT_LENGTH" => (4 * 1024**3 + 1).to_s,
      "CONTENT_TYPE" => "multipart/form-data; boundary=x"
    )
    expect([last_response.status, answer["message"]]).to match([413, /larger than 4 GB/])
  end

  it "keeps originals where ORIGINALS says: a folder, or a server that speaks S3" do
    Dir.mktmpdir { |folder| expect(App::Originals.make(folder).directory.to_s).to eq(folder) }
    require "aws-sdk-s3"
    Aws.config.update(s3: {stub_responses: true, region: "nowhere", credentials: Aws::Credentials.new("a", "b")})
    storage = App::Originals.make("s3://moss/books")
    expect([storage.bucket.name, storage.prefix]).to eq(%w[moss books])
    storage.client.stub_responses(
      :get_object,
      {status_code: 200, headers: {"content-length" => "5"}, body: "bytes"}
    )
    allow(App::Originals).to receive(:storage).and_return(storage)
    App::Originals.keep(StringIO.new("bytes"), "1/original.csv")
    App::Originals.with_file("1/original.csv") do |file|
      expect([File.basename(file), File.read(file)]).to eq(%w[original.csv bytes])
    end
    expect { App::Originals.make("ftp://x") }.to raise_error(TileLoom::Failure, /must be a folder or s3/)
  ensure
    Aws.config.clear
  end
end
