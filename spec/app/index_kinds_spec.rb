# frozen_string_literal: true

require "app_helper"

# The kinds of index through the application: what each tells, keeps and undoes.
RSpec.describe "Kinds of index" do
  before { empty_database }

  let(:book) { kept_book }

  def change(patch) = App::BookChanges.new(App::Book.find(book.id)).apply(patch, label: "x")

  def rows = App::Book.find(book.id).index.rows

  def bring(title, *features)
    collection = {**collection_in("EPSG:25829"), "features" => features}
    reader =
      TileLoom::Data::GeojsonReader.from_text(
        JSON.generate(collection),
        target: TileLoom::Crs::System.find("EPSG:25829")
      )
    ActiveRecord::Base.transaction do
      look = {"rules" => [{"title" => title, "symbol" => {}}]}
      brought(App::Book.find(book.id), reader, key: title, title: title, look: look)
    end
  end

  def feature(type, coordinates, **properties) =
    {
      "type" => "Feature",
      "properties" => properties.transform_keys(&:to_s),
      "geometry" => {
        "type" => type,
        "coordinates" => coordinates
      }
    }

  def ring(west, south, east, north) = [[[west, south], [east, south], [east, north], [west, north], [west, south]]]

  # The frame of the test book is 326 × 261 mm: at 1:2,500 it holds 765 m of a line between leads of 10 mm.
  it "follows a line, numbered along it, and goes back to the grid with undo" do
    bring("way", feature("LineString", [[402_000, 6_528_000], [404_000, 6_528_000]]))
    before = rows
    change({"index" => {"kind" => "strip", "area" => "way", "overlap" => {"x" => "8 mm"}}})
    frame = App::Book.find(book.id).core.layout.frame_box
    held = (frame.width - 20) * 2.5
    expect(rows.map { |row| row["name"] }).to eq((1..(1 + ((2000 - held) / (held - 20)).ceil)).map(&:to_s))
    ask("/api/books/#{book.id}/cover")
    expect(answer["left_out_m2"]).to eq(0.0)
    App::BookChanges.new(App::Book.find(book.id)).undo
    expect(rows).to eq(before)
  end

  it "makes a sheet for each feature, named by an attribute, tells what is too large, and fills live text from it" do
    bring(
      "sites",
      feature("Polygon", ring(402_000, 6_528_000, 402_300, 6_528_200), name: "Low hag", order: 2),
      feature("Polygon", ring(403_000, 6_528_000, 404_200, 6_528_200), name: "Long hag", order: 1)
    )
    patch = {"kind" => "features", "area" => "sites", "naming" => {"kind" => "field", "field" => "name"}}
    send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: patch}})
    expect(answer["notes"].join).to match(/1 feature is larger than the frame \(Long hag\)/)
    change({"index" => patch})
    expect(rows.map { |row| row["name"] }).to eq(["Low hag", "Long hag"])
    change({"index" => {"order" => {"kind" => "names"}, "scale_rule" => {"kind" => "fit"}}})
    expect(rows.map { |row| [row["name"], row["scale"]] }).to eq([["Long hag", 5000], ["Low hag", 1250]])
    change({"index" => {"order" => {"kind" => "field", "field" => "order"}}})
    expect(rows.map { |row| row["name"] }).to eq(["Long hag", "Low hag"])
    ask("/api/books/#{book.id}/sheets/1/values")
    expect(answer).to include(
      {"name" => "feature.name", "value" => "Long hag"},
      {"name" => "sheet.fraction", "value" => "1:5,000"}
    )
    change(
      {
        "layout" => {
          "elements" =>
            App::Book.find(book.id).document["layout"]["elements"].map do |known|
              (known["id"] == "subtitle") ? known.merge("text" => "{{ feature.name }}") : known
            end
        }
      }
    )
    ask("/api/books/#{book.id}/sheets/2.svg")
    expect(last_response.body).to include("Low hag")
    expect {
      change(
        {
          "layout" => {
            "elements" =>
              App::Book.find(book.id).document["layout"]["elements"].map do |known|
                (known["id"] == "subtitle") ? known.merge("text" => "{{ feature.colour }}") : known
              end
          }
        }
      )
    }.to invalid(/colour/)
  end

  it "takes cells from polygons drawn elsewhere, and says which do not fit" do
    bring("index", feature("Polygon", ring(402_000, 6_528_000, 402_500, 6_528_500), sheet: "Old 1"))
    send_json(
      :post,
      "/api/books/#{book.id}/index/trial",
      {patch: {index: {kind: "layer", area: "index", naming: {kind: "field", field: "sheet"}}}}
    )
    expect([answer["cells"].map { |cell| [cell["name"], cell["centre"]] }, answer["notes"].join]).to match(
      [[["Old 1", [402_250.0, 6_528_250.0]]], /1 of 1 polygons are not of the frame’s shape/]
    )
  end

  it "finds the fewest sheets and says how many were saved; lays corners on round coordinates" do
    send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {fewest: "moved"}}})
    expect(answer["notes"].join).to match(/fewest sheets found: \d+.*At least \d+ are needed/)
    change({"index" => {"origin" => {"kind" => "round", "multiple" => "100 m"}}})
    corners = rows.map { |row| App::Cell.core_of(row).ground.corners.first(2) }
    expect(corners.flatten.map { |place| (place / 100 - (place / 100).round).abs }.max).to be < 1e-9
  end

  it "refuses in words what cannot be generated so" do
    {
      {kind: "strip", area: "dams"} => /no line to follow/,
      {origin: {kind: "round", multiple: "9 km"}} => /leave no step/,
      {rotation_deg: 400} => /“rotation_deg”/,
      {kind: "features", area: "dams", scale_rule: {kind: "field", field: "code"}} => /which is not a scale/,
      {overlap: {x: "much"}} => /not written as expected/,
      {kind: "strip", clearance_mm: 400} => /leaves nothing|no line/
    }.each do |patch, words|
      send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: patch}})
      expect([last_response.status, answer["message"]]).to match([422, words])
    end
  end

  it "prints match lines and the diagram of adjoining sheets, from where the cells really are" do
    elements =
      App::Book.find(book.id).document["layout"]["elements"].map do |known|
        (known["id"] == "main") ? known.merge("match_lines" => {}) : known
      end
    change(
      {
        "layout" => {
          "elements" =>
            elements +
              [
                {
                  "kind" => "adjoining",
                  "id" => "around",
                  "place" => {
                    "right_mm" => 5,
                    "bottom_mm" => 60,
                    "width_mm" => 36,
                    "height_mm" => 27
                  }
                }
              ]
        }
      }
    )
    ask("/api/books/#{book.id}/sheets/1.svg")
    texts = last_response.body.scan(/<text[^>]*>([^<]*)</).flatten
    expect(texts).to include("Sheet B1", "Sheet A2").and include("B1", "A2", "B2")
    expect(texts).not_to include("Sheet B2")
  end
end
