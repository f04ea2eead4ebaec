# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Arrivals do
  before { empty_database }

  let(:book) { kept_book }

  def work = Delayed::Worker.new(quiet: true, exit_on_complete: true).start

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
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: title}], reference: reference})
    work
    arrival.reload
  end

  def bring(bytes, name: "hags.geojson", **options) = send_file(bytes, name).then { |arrival| (arrival.state == "ready") ? keep(arrival, **options) : arrival }

  def counts = [App::Layer.count, App::Feature.count, App::Edit.count]

  point = ->(lon, lat) { JSON.generate({"type" => "FeatureCollection", "features" => [{"type" => "Feature", "properties" => {"name" => "Hag", "n" => 1.5}, "geometry" => {"type" => "Point", "coordinates" => [lon, lat]}}]}) }

  it "reports what is in a file before anything is kept" do
    book
    before = counts
    arrival = send_file(point.call(-10.7, 58.87), "hags.geojson")
    expect(arrival.state).to eq("ready")
    expect(arrival.report.first).to include("count" => 1, "geometry" => "Point", "reference_name" => "WGS 84", "asks_reference" => false,
      "attributes" => [{"name" => "name", "type" => "text"}, {"name" => "n", "type" => "real"}])
    expect(counts).to eq(before)
    ask("/api/books/#{book.id}/arrivals")
    expect(answer.first).to include("name" => "hags.geojson", "state" => "ready")
  end

  it "brings it in as the top layer, keeps the original, and can be undone and redone" do
    arrival = bring(point.call(-10.7, 58.87))
    expect(arrival).to have_attributes(state: "done", done: 1, total: 1)
    layer = App::Layer.find_by!(key: "hags")
    expect([layer.kind, layer.feature_count, layer.removed, layer.original_reference]).to eq(["point", 1, false, "OGC:CRS84"])
    feature = layer.features.first
    expect(TileLoom::Geometry::Wkb.each_run(feature.original).first[1]).to eq([-10.7, 58.87])
    expect(feature.properties).to eq({"name" => "Hag", "n" => 1.5})
    theirs = transverse_mercator(-10.7, 58.87, central: -9, ellipsoid: [6_378_137, "1/298.257222101"])
    expect(TileLoom::Geometry::Wkb.each_run(feature.shape).first[1]).to match([be_within(0.001).of(theirs[:x]), be_within(0.001).of(theirs[:y])])
    expect(File.read(arrival.file)).to eq(point.call(-10.7, 58.87))
    expect(book.reload.settings["layers"].last["id"]).to eq("hags")
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(answer["document"]["layers"].map { |known| known["id"] }).to eq(%w[area dams])
    send_json(:post, "/api/books/#{book.id}/redo", {})
    expect(answer["layers"].last).to include("id" => "hags", "count" => 1)
  end

  it "brings chosen layers of a GeoPackage in another reference" do
    Dir.mktmpdir do |folder|
      File.write("#{folder}/a.geojson", point.call(-10.7, 58.87))
      outside("ogr2ogr", "-f", "GPKG", "-t_srs", "EPSG:32630", "-nln", "hags", "#{folder}/a.gpkg", "#{folder}/a.geojson")
      outside("ogr2ogr", "-f", "GPKG", "-update", "-nln", "stiles", "#{folder}/a.gpkg", "#{folder}/a.geojson")
      arrival = send_file(File.binread("#{folder}/a.gpkg"), "moor.gpkg")
      expect(arrival.report.map { |layer| layer.values_at("name", "reference") }).to eq([["hags", "EPSG:32630"], ["stiles", "EPSG:4326"]])
      send_json(:post, path(arrival, "keep"), {layers: arrival.report.map { |layer| {name: layer["name"], title: "Moor #{layer["name"]}"} }})
      work
      expect(book.reload.settings["layers"].last(2).map { |layer| layer["title"] }).to eq(["Moor hags", "Moor stiles"])
      first, second = %w[moor-hags moor-stiles].map { |key| TileLoom::Geometry::Wkb.each_run(App::Layer.find_by!(key: key).features.first.shape).first[1] }
      expect(Math.hypot(first[0] - second[0], first[1] - second[1])).to be < 0.01
      expect(App::Edit.count).to eq(1)
    end
  end

  it "asks for a reference where the file names none, and takes the one that is named" do
    arrival = send_file("name,x,y\nA,403000.5,6528000.25\n", "posts.csv")
    expect(arrival.report.first["asks_reference"]).to be(true)
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: "Posts"}]})
    expect([last_response.status, answer["path"]]).to eq([422, "/reference"])
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: "Posts"}], reference: "EPSG:0"})
    expect(last_response.status).to eq(422)
    keep(arrival, title: "Posts", reference: "EPSG:25829")
    expect(TileLoom::Geometry::Wkb.each_run(App::Layer.find_by!(key: "posts").features.first.shape).first[1]).to eq([403_000.5, 6_528_000.25])
  end

  it "lists what was mended and what had to be left out, with its identity" do
    features = [[[-10.7, 58.87], [-10.6, 58.9], [-10.6, 58.87], [-10.7, 58.9], [-10.7, 58.87]], [[0, 5000], [1, 5000], [1, 5001], [0, 5000]]]
    arrival = bring(JSON.generate({"type" => "FeatureCollection", "features" => features.each_with_index.map { |ring, i| {"type" => "Feature", "properties" => {"name" => "F#{i}"}, "geometry" => {"type" => "Polygon", "coordinates" => [ring]}} }}))
    expect(arrival.remarks).to match([/Feature 1 \(F0\): self-intersection/, /Left out: Feature 2 \(F1\) lies outside/])
    expect(App::Layer.find_by!(key: "hags").feature_count).to eq(1)
  end

  it "gives a second file of the same name an id of its own, and a hostile name no power" do
    2.times { bring(point.call(-10.7, 58.87)) }
    arrival = bring(point.call(-10.7, 58.87), name: "../../etc/<b>passwd</b>.geojson", title: "../x")
    expect(App::Layer.order(:id).last(3).map(&:key)).to eq(%w[hags hags-2 x])
    expect(File.expand_path(arrival.file)).to start_with(App::Store.folder)
  end

  {
    "not JSON" => ["{", "a.geojson", /not JSON/], "not GeoJSON" => ["{}", "a.geojson", /./], "empty" => ['{"type":"FeatureCollection","features":[]}', "a.geojson", /holds no/],
    "outside the reference altogether" => [point.call(-9, 2000), "a.geojson", /no features with a geometry/], "no GeoPackage" => ["nothing", "a.gpkg", /a\.gpkg could not be read/],
    "a table without places" => ["name,size\nA,1\n", "a.csv", /no column of places/]
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
    many = JSON.generate({"type" => "FeatureCollection", "features" => Array.new(5000) { |i| {"type" => "Feature", "properties" => {"i" => i}, "geometry" => {"type" => "Point", "coordinates" => [-10.7 + i * 1e-6, 58.87]}} }})
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
    allow_any_instance_of(App::BookChanges).to receive(:record_import).and_wrap_original do |original, *arguments, &block|
      App::Arrival.find(arrival.id).update_columns(state: "cancelled")
      original.call(*arguments, &block)
    end
    keep(arrival)
    expect(arrival.state).to eq("cancelled")
    expect(counts).to eq(before)
  end

  it "begins again after a worker has died in the middle, without anything twice" do
    arrival = send_file(point.call(-10.7, 58.87), "hags.geojson")
    App::Layer.create!(book_id: book.id, key: "half", title: "Half", style: {"rules" => []}, removed: true, arrival_id: arrival.id)
    keep(arrival)
    expect(App::Layer.pluck(:key)).to eq(%w[area dams hags])
  end

  it "drops a file that is not wanted after all" do
    arrival = send_file(point.call(-10.7, 58.87), "hags.geojson")
    send_json(:post, path(arrival, "cancel"), {})
    expect(answer["state"]).to eq("cancelled")
    expect(File.exist?(arrival.file)).to be(false)
    send_json(:post, path(arrival, "keep"), {layers: [{name: arrival.report.first["name"], title: "x"}]})
    expect(answer["state"]).to eq("cancelled")
    expect(Delayed::Job.count).to eq(0)
  end
end
