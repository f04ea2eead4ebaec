# frozen_string_literal: true

require "app_helper"

RSpec.describe App::FirstBook do
  before { empty_database }

  island = JSON.generate({"type" => "Polygon", "coordinates" => [[[-10.70, 58.86], [-10.68, 58.86], [-10.68, 58.87], [-10.70, 58.87], [-10.70, 58.86]]]})

  def start(text, name: "new_moss.geojson", **fields)
    file = Rack::Test::UploadedFile.new(StringIO.new(text), "application/geo+json", original_filename: name)
    post("/api/books/start", {"file" => file, "scale" => "2500"}.merge(fields.transform_keys(&:to_s)), "HTTP_HOST" => "localhost")
  end

  it "makes a book in the UTM zone of the data, woven and ready to print" do
    start(island)
    expect(last_response.status).to eq(201)
    book = App::Book.find(answer["id"])
    expect([book.title, book.reference]).to eq(["new moss", "EPSG:32629"])
    expect(book.index.cells.count).to be > 1
    ask("/api/books/#{book.id}/sheets/1.svg")
    expect(last_response.body).to include(">new moss<")
    ask("/api/books/#{book.id}/key.svg")
    expect(last_response.body.scan("<text").length).to eq(book.index.cells.count)
    ask("/api/books")
    expect(answer).to eq([{"id" => book.id, "title" => "new moss", "subtitle" => "", "revision" => 1, "sheets" => book.index.cells.count}])
  end

  it "looks at a file before, and says which references suit its ground" do
    file = Rack::Test::UploadedFile.new(StringIO.new(island), "application/geo+json", original_filename: "island.geojson")
    post("/api/books/look", {"file" => file}, "HTTP_HOST" => "localhost")
    expect(answer["count"]).to eq(1)
    expect(answer["box"]).to eq([-10.7, 58.86, -10.68, 58.87])
    expect(answer["suggestions"].map { |suggestion| suggestion["code"] }).to include("EPSG:32629")
    expect(App::Book.count).to eq(0)
    ask("/api/references?search=25829")
    expect(answer.first).to include("code" => "EPSG:25829", "name" => "ETRS89 / UTM zone 29N")
  end

  it "takes the reference, title and scale that are named" do
    start(island, reference: "EPSG:25829", title: "Island", scale: "10000")
    book = App::Book.find(answer["id"])
    expect([book.title, book.reference, book.index.settings["scale"]]).to eq(["Island", "EPSG:25829", 10_000])
  end

  {
    "degrees" => [{reference: "EPSG:4326"}, /degrees, which cannot hold a fixed scale/], "an unknown reference" => [{reference: "EPSG:0"}, /not a coordinate reference/],
    "a scale that is none" => [{scale: "much"}, /“scale” must be a number/], "a million cells" => [{scale: "1"}, /would make up to [\d,]+ cells/],
    "a reference whose ground is elsewhere" => [{reference: "EPSG:2193"}, /./]
  }.each do |name, (fields, sentence)|
    it "keeps nothing of a book that asks for #{name}" do
      start((name == "a reference whose ground is elsewhere") ? '{"type":"Point","coordinates":[0,1000]}' : island, **fields)
      expect(last_response.status).to eq(422)
      expect(answer["message"]).to match(sentence)
      expect([App::Book.count, App::Layer.count, App::Feature.count]).to eq([0, 0, 0])
    end
  end
end
