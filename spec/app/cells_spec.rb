# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Cells do
  before { empty_database }

  let(:book) { kept_book }

  def rows = App::Book.find(book.id).index.rows

  def cell(name) = rows.find { |row| row["name"] == name }

  def deed(what, names = [], revision: nil, **more)
    send_json(
      :post,
      "/api/books/#{book.id}/cells",
      {
        do: what,
        cells: Array(names).map { |name| cell(name)["cell_id"] },
        revision: revision || App::Book.find(book.id).revision,
        **more
      }
    ).then { answer }
  end

  def undo = App::BookChanges.new(App::Book.find(book.id)).undo

  def change(patch) = App::BookChanges.new(App::Book.find(book.id)).apply(patch, label: "x")

  it "moves, turns and scales cells by hand, pins them with it, and undoes each exactly" do
    before = rows
    at = cell("B1")
    deed("move", "B1", dx: 30.5, dy: -10)
    expect(cell("B1")).to include(
      "centre_x" => at["centre_x"] + 30.5,
      "centre_y" => at["centre_y"] - 10,
      "pinned" => true,
      "moved" => true
    )
    deed("rotate", %w[B1 C1], rotation_deg: -12.5)
    expect([cell("B1"), cell("C1")].map { |row| row["rotation_deg"] }).to eq([-12.5, -12.5])
    deed("scale", "B1", scale: 1250)
    expect(cell("B1")).to include("scale" => 1250, "width" => at["width"] / 2)
    3.times { undo }
    expect(rows).to eq(before)
  end

  it "adds, removes, renames, splits and orders, with numbers without gaps and names of their own" do
    names = rows.map { |row| row["name"] }
    deed("add", x: cell("B1")["centre_x"] + 50, y: cell("B1")["centre_y"])
    expect(rows.last).to include("name" => "B1a", "number" => 7, "scale" => 2500, "pinned" => true)
    deed("remove", "B1")
    expect(rows.map { |row| row["number"] }).to eq([*1..6])
    deed("rename", "B1a", name: "Summit")
    expect(deed("rename", "Summit", name: "a1")["message"]).to match(/Sheet 1 is called “A1” already/)
    deed("place", "Summit", place: 2)
    expect(rows.map { |row| row["name"] }.first(3)).to eq(%w[A1 Summit C1])
    change({"index" => {"overlap_mm" => 6}})
    expect(rows.map { |row| row["name"] }.first(3)).to eq(%w[A1 Summit C1])
    undo
    deed("split", "A1", scale: 1250)
    expect(rows.map { |row| row["name"] }.first(5)).to eq(%w[A1-1 A1-2 A1-3 A1-4 Summit])
    expect(deed("split", "C1", scale: 5000)["message"]).to match(/take a larger scale than its own/)
    5.times { undo }
    expect(rows.map { |row| row["name"] }).to eq(names)
    expect(deed("remove", [])["message"]).to match(/Select at least one cell/)
    expect(deed("fly")["message"]).to match(/use one of move, rotate/)
    expect(deed("move", "A1", dx: "far", dy: 0)["message"]).to match(/“dx” is "far"; it must be a number/)
  end

  def beside(name, **more)
    send_json(:post, "/api/books/#{book.id}/cells/beside", {cells: [cell(name)["cell_id"]], **more})
    answer
  end

  # International yard and pound agreement, 1959: a foot is 0.3048 m.
  it "lets cells come to the overlap that is wished, whatever unit it was given in" do
    change({"index" => {"overlap" => {"x" => "100 ft", "y" => "5 %"}}})
    found = beside("A1")
    expect(found["gaps"]).to include("B1: 12.2 mm overlap", "A2: #{format("%.1f", 261 * 0.05)} mm overlap")
    # Where it stands, its edges overlap as wished; 30.48 m further east they meet; 13.05 mm of 2.5 m further south.
    expect(found["shifts"].first).to include(be_within(1e-6).of(0), be_within(1e-6).of(-30.48))
    expect(found["shifts"].last).to include(be_within(1e-6).of(0), be_within(1e-6).of(261 * 0.05 * 2.5))
    expect(beside("A1", dx: -50)).to include(
      "moved" => "moved by -20.0 mm east, 0.0 mm north on paper",
      "gaps" => include("B1: 7.8 mm gap")
    )
  end

  it "moves cells by millimetres on paper at the scale that the sheets hold" do
    at = cell("B1")
    deed("move", "B1", dx_mm: 4, dy_mm: -1.5)
    expect(cell("B1")).to include("centre_x" => at["centre_x"] + 10, "centre_y" => at["centre_y"] - 3.75)
    change({"index" => {"held" => "ellipsoid"}})
    factor = cell("A2")["width"] / (326 * 2.5)
    from = cell("A2")["centre_x"]
    deed("move", "A2", dx_mm: 100, dy_mm: 0)
    expect(cell("A2")["centre_x"] - from).to be_within(1e-6).of(250 * factor)
    expect(factor).not_to be_within(1e-5).of(1)
  end

  it "keeps pinned cells and names when the index is rebuilt, and says what comes and goes before" do
    deed("move", "B1", dx: 40, dy: 0)
    pinned = cell("B1")
    send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {overlap_mm: 20}}})
    expect(answer).to include("come" => be_an(Array), "go" => [], "stay" => 6)
    change({"index" => {"overlap_mm" => 20}})
    expect(cell("B1").except("number")).to eq(pinned.except("number"))
    expect(rows.map { |row| row["name"] }).to include("A1", "C1", "A2", "B2", "C2")
    deed("pin", "B1", on: false)
    change({"index" => {"overlap_mm" => 21}})
    expect(rows.map { |row| row["moved"] }.uniq).to eq([false])
  end

  it "names all anew only when told to, showing old and new; and takes another order without touching the cells" do
    deed("rename", "A1", name: "Summit")
    places = rows.map { |row| row.values_at("centre_x", "centre_y") }.sort
    change({"index" => {"buffer" => "1 m"}})
    expect(rows.first["name"]).to eq("Summit")
    send_json(:post, "/api/books/#{book.id}/names", {patch: {index: {naming: {kind: "numbers", digits: 2}}}})
    expect(answer.first(2)).to eq(
      [{"number" => 1, "old" => "Summit", "new" => "01"}, {"number" => 2, "old" => "B1", "new" => "02"}]
    )
    undo
    change({"index" => {"naming" => {"kind" => "numbers", "digits" => 2}}})
    expect(rows.map { |row| row["name"] }).to eq(%w[01 02 03 04 05 06])
    expect(rows.map { |row| row.values_at("centre_x", "centre_y") }.sort).to eq(places)
    change({"index" => {"order" => {"kind" => "rows_back_forth"}}})
    expect(rows.map { |row| row["name"] }).to eq(%w[01 02 03 06 05 04])
    2.times { undo }
    expect(rows.map { |row| row["name"] }).to eq(%w[Summit B1 C1 A2 B2 C2])
    send_json(:post, "/api/books/#{book.id}/names/anew", {})
    expect(rows.first["name"]).to eq("A1")
  end

  # The area is 2 km by 1 km in six cells; without B1 a piece of it is missing.
  it "proves what is covered: pieces, overlap, almost empty sheets, features that are cut or missing" do
    ask("/api/books/#{book.id}/cover")
    expect(answer).to include("left_out_m2" => 0.0, "pieces" => [], "almost_empty" => [])
    total = rows.sum { |row| row["width"] * row["height"] }
    deed("remove", "B1")
    ask("/api/books/#{book.id}/cover")
    piece = answer["pieces"].first
    expect([answer["pieces"].length, piece["m2"]]).to match([1, be_within(1).of(answer["left_out_m2"])])
    expect(answer["overlap_m2"]).to be_between(0, total)
    ask("/api/books/#{book.id}/cover/dams")
    expect(answer["count"]).to eq(
      answer["missing"]["count"] +
        App::Book
          .find(book.id)
          .source
          .features("dams", nil)
          .count do |dam|
            rows.any? do |row|
              TileLoom::Geometry::Geos.polygon(App::Cell.core_of(row).ground.corners).intersects?(
                TileLoom::Geometry::Geos.read(dam.wkb)
              )
            end
          end
    )
  end

  TileLoom::Document::CellFile.formats.each do |format|
    it "goes out as #{format} and comes in again with names, places, scales and turns" do
      deed("move", "B1", dx: 30, dy: 5)
      deed("rotate", "B1", rotation_deg: -10)
      before = rows
      ask("/api/books/#{book.id}/cells/file?format=#{format}")
      expect(last_response.status).to eq(200), last_response.body[0, 300]
      bytes = last_response.body
      deed("remove", %w[A1 B1])
      file =
        Rack::Test::UploadedFile.new(
          StringIO.new(bytes),
          "application/octet-stream",
          original_filename: "cells#{TileLoom::Data::Formats.of(format).ending}"
        )
      post("/api/books/#{book.id}/cells/file", {"file" => file}, "HTTP_HOST" => "localhost")
      expect(last_response.status).to eq(200), last_response.body[0, 300]
      expect(rows.map { |row| row["name"] }).to eq(before.map { |row| row["name"] })
      before
        .zip(rows)
        .each do |one, other|
          %w[centre_x centre_y width rotation_deg scale].each do |key|
            expect(other[key]).to be_within(1e-5).of(one[key])
          end
        end
    end
  end

  it "refuses a file of cells with a name twice, or without a scale" do
    ring = [[402_000, 6_528_000], [402_100, 6_528_000], [402_100, 6_528_100], [402_000, 6_528_000]]
    feature = ->(properties) do
      {
        "type" => "Feature",
        "properties" => properties,
        "geometry" => {
          "type" => "Polygon",
          "coordinates" => [ring]
        }
      }
    end
    send =
      lambda do |*list|
        text = JSON.generate(**collection_in("EPSG:25829"), "features" => list.map(&feature))
        post(
          "/api/books/#{book.id}/cells/file",
          {
            "file" =>
              Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "cells.geojson")
          },
          "HTTP_HOST" => "localhost"
        )
        answer["message"]
      end
    before = rows
    expect(send[{"name" => "A", "scale" => 1000}, {"name" => "a", "scale" => 1000}]).to match(/“A” is 2 times/)
    expect(send[{"name" => "A"}]).to match(/has no scale/)
    expect(send[{"scale" => 1000}]).to match(/has no name/)
    expect(rows).to eq(before)
  end
end
