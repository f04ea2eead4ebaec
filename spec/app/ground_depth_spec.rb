# frozen_string_literal: true

require "app_helper"

RSpec.describe "Ground in depth" do
  before { empty_database }

  let(:book) { kept_book }

  def send_svg(text, name = "hag.svg") =
    post(
      "/api/books/#{book.id}/markers",
      {"file" => Rack::Test::UploadedFile.new(StringIO.new(text), "image/svg+xml", original_filename: name)},
      "HTTP_HOST" => "localhost"
    ).then { answer }

  it "takes a marker of one’s own, cleaned, draws with it, and carries it in the book’s file" do
    found =
      send_svg(
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><script>alert(1)</script><rect width="10" ' \
          'height="5"/></svg>'
      )
    expect(found).to include("id" => "hag", "left_out" => ["<script>"])
    layers = document_of(book)["layers"]
    layers[1]["rules"] = [
      {"title" => "Hag", "symbol" => {"marker" => {"shape" => "hag", "size_mm" => 4, "colour" => "#204060"}}}
    ]
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {label: "Style", patch: {layers: layers}, revision: App::Book.where(id: book.id).pick(:revision)}
    )
    expect(last_response.status).to eq(200)
    ask("/api/books/#{book.id}/file")
    expect(JSON.parse(last_response.body)["markers"].first["svg"]).not_to include("script")
    copy =
      App::NewBook.from_folio(TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.parse(last_response.body)))
    expect(copy.reload.core.layers[1].rules[0].symbol.nodes(points: [0, 0])).not_to be_empty
    expect(send_svg("<svg/>")["message"]).to match(/hag\.svg contains no shapes/)
  end

  it "refuses a marker that is not there, and rules that do not fit the attributes" do
    layers = document_of(book)["layers"]
    layers[1]["rules"] = [
      {"title" => "", "symbol" => {"marker" => {"shape" => "ufo", "size_mm" => 4, "colour" => "#204060"}}}
    ]
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {label: "Style", patch: {layers: layers}, revision: App::Book.where(id: book.id).pick(:revision)}
    )
    expect(answer).to include("message" => /no marker “ufo”/, "path" => "/layers/1/rules/0/symbol/marker/shape")
    layers[1]["rules"] = [
      {"title" => "", "symbol" => {}, "when" => {"op" => ">", "args" => [{"property" => "code"}, 5]}}
    ]
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {label: "Style", patch: {layers: layers}, revision: App::Book.where(id: book.id).pick(:revision)}
    )
    expect(answer).to include("message" => /compares “code”, which is text, with 5/, "path" => "/layers/1/rules/0/when")
  end

  it "tells the area and extent of a study area of several parts" do
    send_json(
      :post,
      "/api/books/#{book.id}/area",
      {patch: {index: {area: [{layer: "area"}, {layer: "dams", features: [1, 2]}], buffer: "100 m"}}}
    )
    # 2 km × 1 km with 100 m round it, corners rounded: 2.2 × 1.2 less (4 − π) · 0.1², and the scale of the zone.
    expect(answer["ground_m2"]).to be_within(4_000).of((2_200 * 1_200 - (4 - Math::PI) * 100**2) / 0.99972**2)
    expect(answer["box"].map(&:round)).to eq([401_900, 6_527_900, 404_100, 6_529_100])
  end

  describe "coarser levels" do
    let(:layer) do
      wavy =
        JSON.generate(
          {
            **collection_in("EPSG:25829"),
            "features" =>
              (0...60).map do |i|
                {
                  "type" => "Feature",
                  "properties" => {
                    "kind" => i % 2
                  },
                  "geometry" => {
                    "type" => "LineString",
                    "coordinates" => (0...400).map { |n| [402_000 + n * 5, 6_528_000 + i * 20 + (n % 2)] }
                  }
                }
              end
          }
        )
      brought(book, TileLoom::Data::GeojsonReader.from_text(wavy, target: book.core.crs), key: "waves", title: "Waves")
    end

    it "answer a map that is zoomed out with fewer vertices, within a pixel, and never a sheet" do
      stub_const("TileLoom::Data::Generalisation::VERTICES", 1000)
      Delayed::Worker.new(quiet: true).work_off
      layer
      Delayed::Worker.new(quiet: true).work_off
      expect(layer.reload.coarse_levels.length).to eq(3)
      source = book.reload.source
      vertices = ->(features) { features.sum { |feature| feature.wkb.bytesize / 16 } }
      fine, coarse = source.features("waves", nil), source.features("waves", nil, detail: 2.0)
      expect(vertices[coarse]).to be < vertices[fine] / 50
      fine.zip(coarse) do |one, other|
        expect(
          TileLoom::Geometry::Geos.read(one.wkb).hausdorff_distance(TileLoom::Geometry::Geos.read(other.wkb))
        ).to be < 2.0
      end
      expect(vertices[source.features("waves", nil, detail: 0.001)]).to eq(vertices[fine])
    end

    it "let one of many points stand for those that look the same, but not for others" do
      stub_const("TileLoom::Data::Generalisation::FEATURES", 10)
      points =
        (0...400).map do |i|
          {
            "type" => "Feature",
            "properties" => {
              "state" => (i == 7) ? "failed" : "sound",
              "n" => i
            },
            "geometry" => {
              "type" => "Point",
              "coordinates" => [402_000 + i * 0.001 + ((i == 399) ? 9000 : 0), 6_528_000]
            }
          }
        end
      brought(
        book,
        TileLoom::Data::GeojsonReader.from_text(
          JSON.generate({**collection_in("EPSG:25829"), "features" => points}),
          target: book.core.crs
        ),
        key: "many",
        title: "Many"
      )
      Delayed::Worker.new(quiet: true).work_off
      states = book.reload.source.features("many", nil, detail: 50).map { |feature| feature.attributes["state"] }
      expect(states).to eq(%w[sound failed sound])
    end
  end
end
