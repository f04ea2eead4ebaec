# frozen_string_literal: true

require "app_helper"

# What used to end in a fault on our side, each answered in words or done.
RSpec.describe "In words" do
  before { empty_database }

  let(:book) { kept_book }

  def fresh = App::Book.find(book.id)

  def patch_book(patch) =
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {patch: patch, revision: App::Book.where(id: book.id).pick(:revision)}
    ).then { [last_response.status, answer["message"]] }

  def upload(path, text, name = "x.json") =
    post(
      path,
      {"file" => Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: name)},
      "HTTP_HOST" => "localhost"
    ).then { [last_response.status, answer["message"]] }

  it "steps and multiples of nothing" do
    expect(patch_book(index: {spacing: {x: "0 m", y: "0 m"}})).to match(
      [422, /spacing of 0 m is too small for sheets that cover [\d.]+ m/]
    )
    expect(patch_book(index: {origin: {kind: "round", multiple: "0 m"}})).to match([422, /multiple/])
  end

  # CQL2 arithmetic (OGC 21-065r2) on what an attribute holds.
  it "rules whose arithmetic overflows" do
    power = {"op" => ">", "args" => [{"op" => "^", "args" => [{"op" => "^", "args" => [9, 9]}, 9_999]}, 1]}
    layers =
      book.document["layers"].map do |layer|
        layer.merge("rules" => layer["rules"].map { |rule| rule.merge("when" => power) })
      end
    expect(patch_book(layers: layers)[0]).to eq(200)
    ask("/api/books/#{book.id}/sheets/1.svg")
    expect(last_response.status).to eq(200)
    ask("/api/books/#{book.id}/ground.svg?box=402000,6528000,403000,6529000&width=300&height=300")
    expect(last_response.status).to eq(200)
  end

  it "sheets of features whose names differ by an accent, by case, or are picture signs alone" do
    points =
      %w[Ås As ås 😀 😁 😀].each_with_index.map do |name, i|
        {
          "type" => "Feature",
          "properties" => {
            "name" => name
          },
          "geometry" => {
            "type" => "Point",
            "coordinates" => [402_100 + i * 300, 6_528_500]
          }
        }
      end
    settings =
      TileLoom::Document::Starter.document(
        title: "x",
        reference: "EPSG:25829",
        area: "sites",
        scale: 2500,
        layers: [
          {
            id: "sites",
            title: "Sites",
            kind: "point",
            data: {
              "collection" => {
                **collection_in("EPSG:25829"),
                "features" => points
              }
            }
          }
        ]
      )
    settings["index"] = settings["index"].merge(
      "kind" => "features",
      "naming" => {
        "kind" => "field",
        "field" => "name"
      }
    )
    made = App::NewBook.from_folio(TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.new(settings)))
    names = made.index.rows.map { |row| row["name"] }
    expect([names.length, names.uniq.length, names.first(2), names.values_at(3, 4)]).to eq([6, 6, %w[Ås As], %w[😀 😁]])
  end

  it "files of other kinds, and of wrong types" do
    design = TileLoom::Document::DesignFile.of(book.document)
    {
      "[]" => /not a design/,
      "{" => /not JSON/,
      JSON.generate(design.merge("layout" => 7)) => /is not a design/,
      JSON.generate(design.merge("layout" => design["layout"].merge("elements" => "x"))) => /elements/,
      JSON.generate(design.merge("layout" => design["layout"].merge("page" => [1]))) => /page|size/,
      JSON.generate(design.merge("faces" => {"a" => 1})) => /must be lists/,
      JSON.generate(design.merge("faces" => [1])) => /must be lists/,
      JSON.generate(design.merge("pictures" => [{"id" => 1, "title" => nil, "data" => 5}])) => /./
    }.each do |text, sentence|
      expect(upload("/api/books/#{book.id}/design/file", text)).to match([422, sentence]), text[0, 80]
    end
    whole = JSON.parse(TileLoom::Document::BookText.new(App::CarriedBook.new(book)).to_a.join)
    [
      [],
      7,
      "x",
      {},
      whole.merge("layers" => {}),
      whole.merge("layers" => [7]),
      whole.merge("layers" => whole["layers"].map { |layer| layer.merge("data" => {"collection" => "x"}) }),
      whole.merge("layers" => whole["layers"].map { |layer| layer.merge("data" => {"file" => "/etc/passwd"}) }),
      whole.merge("index" => nil),
      whole.merge("layout" => []),
      whole.merge("crs" => 5),
      whole.merge(
        "layers" =>
          whole["layers"].map do |layer|
            layer.merge(
              "data" => {
                "collection" => {
                  "type" => "FeatureCollection",
                  "features" => [1, nil, {"type" => "Feature", "properties" => [], "geometry" => {}}]
                }
              }
            )
          end
      )
    ].each do |document|
      post("/api/books", JSON.generate(document), "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost")
      expect([last_response.status, answer["message"].to_s.length > 10]).to eq([422, true]),
        JSON.generate(document)[0, 100]
    end
    expect(App::Book.count).to eq(1)
    {
      "x" => /not JSON/,
      "[]" => /not a style/,
      '{"format":"tile-loom-scale-bar","version":1,"title":{},"style":7}' => /./
    }.each { |text, sentence| expect(upload("/api/bar-styles/file", text)).to match([422, sentence]) }
  end

  it "cells at the ends of the world, at any scale, are drawn or told" do
    id = fresh.index.rows.first["cell_id"]
    [
      {do: "scale", scale: 1},
      {do: "scale", scale: 1_000_000_000},
      {do: "move", dx: 5_000_000, dy: 0},
      {do: "move", dx: 0, dy: -6_600_000},
      {do: "add", x: 0, y: 0}
    ].each do |wanted|
      send_json(:post, "/api/books/#{book.id}/cells", {cells: [id], revision: fresh.revision, **wanted})
      expect(last_response.status).to be < 500
      %w[sheets/1.svg sheets/1/facts cover key.svg sheets/1/values].each do |path|
        ask("/api/books/#{book.id}/#{path}").then do
          expect(last_response.status).to be < 500, "#{wanted} #{path} #{last_response.body[0, 200]}"
        end
      end
    end
  end

  it "parameters of a table that are no numbers or too many" do
    [
      "page=1e9&size=5",
      "page=x&size=5",
      "page=0&size=5&only=#{(1..9_000).to_a.join(",")}",
      "page=0&size=5&sort=#{CGI.escape('"\\')}",
      "page=0&size=5&search=%25%5F%5C",
      "page=0&size=5&when=#{CGI.escape('{"op":"like","args":[{"property":"code"},"%a%a%a%b"]}')}"
    ].each do |query|
      ask("/api/books/#{book.id}/layers/dams/table?#{query}")
      expect(last_response.status).to be < 500, query[0, 60]
    end
  end
end
