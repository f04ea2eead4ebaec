# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Layers do
  before { empty_database }

  let(:book) { kept_book }

  # Each file is read by GDAL's ogrinfo, and its places compared with those in the database.
  {"geojson" => "GeoJSON", "gpkg" => "GPKG", "shp" => "Shapefile"}.each do |format, driver|
    it "goes out as #{driver}, with its features, attributes and reference" do
      ask("/api/books/#{book.id}/layers/dams/file?format=#{format}")
      expect(last_response.status).to eq(200)
      Dir.mktmpdir do |folder|
        file = File.join(folder, last_response.headers["content-disposition"][/filename="([^"]+)"/, 1])
        File.binwrite(file, last_response.body)
        report = outside("ogrinfo", "-ro", "-al", (format == "shp") ? "/vsizip/#{file}" : file)
        expect(report).to match(/using driver `[\w ]*#{driver}'/)
        expect(report).to include("Feature Count: 20", "code (String) = D7")
        expect(report).to include((format == "geojson") ? "WGS 84" : "UTM zone 29N")
        # What went out comes in again at the same place.
        features = TileLoom::Data::FileReader.open(file, target: book.core.crs).features
        places =
          [features, book.source.features("dams", nil)].map do |list|
            list.map { |feature| TileLoom::Geometry::Wkb.each_run(feature.wkb).first[1] }.sort
          end
        places[0]
          .zip(places[1])
          .each { |ours, theirs| expect(Math.hypot(ours[0] - theirs[0], ours[1] - theirs[1])).to be < 0.001 }
      end
    end
  end

  describe "the table" do
    def table(**options) =
      ask("/api/books/#{book.id}/layers/dams/table?#{URI.encode_www_form({page: 0, size: 5}.merge(options))}").then do
        answer
      end

    it "gives a page of rows in the order of the file, with where each lies" do
      expect(table["total"]).to eq(20)
      expect(table["rows"].map { |row| row["attributes"]["code"] }).to eq(%w[D0 D1 D2 D3 D4])
      expect(table["rows"].first["box"]).to eq([402_050.0, 6_528_500.0, 402_050.0, 6_528_500.0])
      expect(table(page: 3)["rows"].map { |row| row["id"] }).to eq([16, 17, 18, 19, 20])
    end

    # Text that holds numbers sorts naturally: D2 before D10 (common practice).
    it "sorts naturally, both ways, and searches" do
      expect(table(sort: "code", size: 12)["rows"].map { |row| row["attributes"]["code"] }.last(3)).to eq(
        %w[D9 D10 D11]
      )
      expect(table(sort: "code", descending: 1)["rows"].map { |row| row["attributes"]["code"] }).to eq(
        %w[D19 D18 D17 D16 D15]
      )
      expect(table(search: "d1", size: 50)["total"]).to eq(11)
      expect(table(search: "%")["total"]).to eq(0)
      expect(table(search: "' OR 1=1 --")["total"]).to eq(0)
    end
  end

  describe "the table’s filter" do
    def table(**options) =
      ask(
        "/api/books/#{book.id}/layers/dams/table?#{URI.encode_www_form({page: 0, size: 50}.merge(options))}"
      ).then { answer }

    it "keeps the rows that meet a condition, or that are picked, and refuses one that does not fit" do
      like = JSON.generate({"op" => "like", "args" => [{"property" => "code"}, "D1_"]})
      expect(table(when: like)["total"]).to eq(10)
      expect(table(when: like, sort: "code", descending: 1)["rows"].first["attributes"]["code"]).to eq("D19")
      expect(table(only: "3,5,x")["rows"].map { |row| row["id"] }).to eq([3, 5])
      expect(table(when: JSON.generate({"op" => ">", "args" => [{"property" => "code"}, 3]}))["message"]).to match(
        /compares “code”, which is text, with 3/
      )
      expect(table(when: "{")["message"]).to match(/not JSON/)
    end
  end

  it "finds the feature at a place of the map, and none where there is none" do
    at = ->(x, y, reach) do
      ask("/api/books/#{book.id}/layers/dams/at?x=#{x}&y=#{y}&reach=#{reach}").then { JSON.parse(last_response.body) }
    end
    expect(at[402_153, 6_528_498, 10]).to eq({"id" => 2, "box" => [402_150.0, 6_528_500.0, 402_150.0, 6_528_500.0]})
    expect(at[402_170, 6_528_500, 10]).to be_nil
  end

  it "makes classes of a number, each with its condition" do
    lengths =
      JSON.generate(
        {
          "type" => "FeatureCollection",
          "features" =>
            (1..10).map do |i|
              {
                "type" => "Feature",
                "properties" => {
                  "length" => i * 10
                },
                "geometry" => {
                  "type" => "Point",
                  "coordinates" => [-10.7, 58.87]
                }
              }
            end
        }
      )
    brought(book, TileLoom::Data::GeojsonReader.from_text(lengths, target: book.core.crs), key: "walls", title: "Walls")
    ask("/api/books/#{book.id}/layers/walls/classes?attribute=length&way=equal&count=3")
    expect(answer.map { |entry| [entry["title"], entry["count"]] }).to eq(
      [["10 – 40", 3], ["40 – 70", 3], ["70 – 100", 4]]
    )
    expect(TileLoom::Conditions::Condition.new(answer.first["when"]).match?({"length" => 39.9})).to be(true)
    ask("/api/books/#{book.id}/layers/dams/classes?attribute=code&way=equal&count=3")
    expect(answer["message"]).to match(/has no numbers/)
  end

  it "names its attributes, and what it does not know" do
    ask("/api/books/#{book.id}/layers/dams/attributes")
    expect(answer).to eq([{"name" => "code", "type" => "text"}])
    ask("/api/books/#{book.id}/layers/dams/values?attribute=code")
    expect(answer.length).to eq(20)
    expect(answer.first).to eq({"value" => "D0", "count" => 1})
    ask("/api/books/#{book.id}/layers/dams/file?format=exe")
    expect([last_response.status, answer["message"]]).to match([422, /“exe” is not a format for layers/])
    ask("/api/books/#{book.id}/layers/moon/attributes")
    expect(last_response.status).to eq(404)
  end
end
