# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Ground do
  before { empty_database }

  let(:book) { kept_book }

  def bring(text, name: "hags.geojson")
    file = Rack::Test::UploadedFile.new(StringIO.new(text), "application/geo+json", original_filename: name)
    post("/api/books/#{book.id}/layers", {"file" => file}, "HTTP_HOST" => "localhost")
  end

  point = ->(lon, lat) { JSON.generate({"type" => "FeatureCollection", "features" => [{"type" => "Feature", "properties" => {"name" => "Hag", "n" => 1.5}, "geometry" => {"type" => "Point", "coordinates" => [lon, lat]}}]}) }

  it "brings in GeoJSON as the top layer, keeps the original, and can be undone and redone" do
    bring(point.call(-10.7, 58.87))
    expect(last_response.status).to eq(201)
    layer = App::Layer.find_by!(key: "hags")
    expect([layer.kind, layer.feature_count, layer.original_reference]).to eq(["point", 1, "OGC:CRS84"])
    feature = layer.features.first
    expect(TileLoom::Geometry::Wkb.each_run(feature.original).first[1]).to eq([-10.7, 58.87])
    expect(feature.properties).to eq({"name" => "Hag", "n" => 1.5})
    theirs = transverse_mercator(-10.7, 58.87, central: -9, ellipsoid: [6_378_137, "1/298.257222101"])
    expect(TileLoom::Geometry::Wkb.each_run(feature.shape).first[1]).to match([be_within(0.001).of(theirs[:x]), be_within(0.001).of(theirs[:y])])
    expect(answer["book"]["document"]["layers"].last["id"]).to eq("hags")
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(answer["document"]["layers"].map { |known| known["id"] }).to eq(%w[area dams])
    send_json(:post, "/api/books/#{book.id}/redo", {})
    expect(answer["layers"].last).to include("id" => "hags", "count" => 1)
  end

  it "gives a second file of the same name an id of its own, and a hostile name none of its own" do
    2.times { bring(point.call(-10.7, 58.87)) }
    bring(point.call(-10.7, 58.87), name: "../../etc/<b>passwd</b>.geojson")
    expect(App::Layer.order(:id).last(3).map(&:key)).to eq(%w[hags hags-2 b])
  end

  {
    "not JSON" => ["{", /not JSON/], "not GeoJSON" => ["{}", /not GeoJSON/], "empty" => ['{"type":"FeatureCollection","features":[]}', /holds no features/],
    "only features without a place" => ['{"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":null}]}', /no features with a geometry/],
    "outside the reference" => [point.call(-9, 2000), /lies outside what/],
    "bad at the end" => [JSON.generate({"type" => "FeatureCollection", "features" => Array.new(2500) { |i| {"type" => "Feature", "properties" => {}, "geometry" => {"type" => "Point", "coordinates" => [(i == 2400) ? nil : -9, 50]}} }}), /Feature 2401 has a coordinate/]
  }.each do |name, (text, sentence)|
    it "refuses a file that is #{name}, and keeps nothing of it" do
      book
      counts = [App::Layer.count, App::Feature.count, App::Edit.count]
      bring(text)
      expect(last_response.status).to eq(422)
      expect(answer["message"]).to match(sentence)
      expect([App::Layer.count, App::Feature.count, App::Edit.count]).to eq(counts)
    end
  end

  it "tells what was mended" do
    bring(JSON.generate({"type" => "Polygon", "coordinates" => [[[-10.7, 58.87], [-10.6, 58.9], [-10.6, 58.87], [-10.7, 58.9], [-10.7, 58.87]]]}))
    expect(answer["repaired"]).to eq(1)
    expect(answer["repairs"].first).to match(/Feature 1: self-intersection/)
  end

  it "finds a sheet's features through the spatial index, as the tree in memory does" do
    source = book.source
    memory = TileLoom::Ground::MemorySource.new("dams" => source.features("dams", nil))
    [[402_000, 6_528_000, 402_460, 6_529_000], [402_150, 6_528_499, 402_151, 6_528_501], [0, 0, 1, 1]].each do |corners|
      box = TileLoom::Geometry::Box.new(*corners.map(&:to_f))
      expect(source.features("dams", box).map(&:id)).to eq(memory.features("dams", box).map(&:id))
    end
    plan = ActiveRecord::Base.connection.select_rows("SHOW INDEX FROM features")
    expect(plan.flatten).to include("SPATIAL")
  end

  it "draws the ground for the screen, and refuses a box that is none" do
    ask("/api/books/#{book.id}/ground.svg?box=402000,6528000,404000,6529000&width=800&height=400")
    expect(last_response.content_type).to include("image/svg+xml")
    expect(last_response.body).to include('data-part="area"', 'data-part="dams"')
    ["1,2,3", "a,b,c,d", "5,5,1,1", "0,0,NaN,1"].each do |box|
      ask("/api/books/#{book.id}/ground.svg?box=#{box}&width=800&height=400")
      expect(last_response.status).to eq(422)
    end
    ask("/api/books/#{book.id}/ground.svg?box=0,0,1,1&width=999999&height=400")
    expect(answer["message"]).to match(/“width” must be a number from 1 to 6000/)
  end
end
