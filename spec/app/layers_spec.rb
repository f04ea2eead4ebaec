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
        features = TileLoom::Ground::FileReader.open(file, target: book.document.crs).features
        places = [features, book.source.features("dams", nil)].map { |list| list.map { |feature| TileLoom::Geometry::Wkb.each_run(feature.wkb).first[1] }.sort }
        places[0].zip(places[1]).each { |ours, theirs| expect(Math.hypot(ours[0] - theirs[0], ours[1] - theirs[1])).to be < 0.001 }
      end
    end
  end

  describe "the table" do
    def table(**options) = ask("/api/books/#{book.id}/layers/dams/table?#{URI.encode_www_form({page: 0, size: 5}.merge(options))}").then { answer }

    it "gives a page of rows in the order of the file, with where each lies" do
      expect(table["total"]).to eq(20)
      expect(table["rows"].map { |row| row["attributes"]["code"] }).to eq(%w[D0 D1 D2 D3 D4])
      expect(table["rows"].first["box"]).to eq([402_050.0, 6_528_500.0, 402_050.0, 6_528_500.0])
      expect(table(page: 3)["rows"].map { |row| row["id"] }).to eq([16, 17, 18, 19, 20])
    end

    # Text that holds numbers sorts naturally: D2 before D10 (common practice).
    it "sorts naturally, both ways, and searches" do
      expect(table(sort: "code", size: 12)["rows"].map { |row| row["attributes"]["code"] }.last(3)).to eq(%w[D9 D10 D11])
      expect(table(sort: "code", descending: 1)["rows"].map { |row| row["attributes"]["code"] }).to eq(%w[D19 D18 D17 D16 D15])
      expect(table(search: "d1", size: 50)["total"]).to eq(11)
      expect(table(search: "%")["total"]).to eq(0)
      expect(table(search: "' OR 1=1 --")["total"]).to eq(0)
    end
  end

  it "names its attributes, and what it does not know" do
    ask("/api/books/#{book.id}/layers/dams/attributes")
    expect(answer).to eq(["code"])
    ask("/api/books/#{book.id}/layers/dams/values?attribute=code")
    expect(answer.length).to eq(20)
    expect(answer.first).to eq({"value" => "D0", "count" => 1})
    ask("/api/books/#{book.id}/layers/dams/file?format=exe")
    expect([last_response.status, answer["message"]]).to match([422, /“exe” is not a format for layers/])
    ask("/api/books/#{book.id}/layers/moon/attributes")
    expect(last_response.status).to eq(404)
  end
end
