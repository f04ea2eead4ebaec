# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Legends do
  before { empty_database }

  let(:book) { kept_book }

  def document = App::Book.find(book.id).document

  def legend = document["layout"]["elements"].find { |element| element["kind"] == "legend" }

  def shown(sheet = 1, of = book) = ask("/api/books/#{of.id}/sheets/#{sheet}/legends/#{legend["id"]}").then { answer }

  def patch_book(label = "Legend", **changes)
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {label: label, patch: changes, revision: App::Book.where(id: book.id).pick(:revision)}
    )
    expect(last_response.status).to eq(200), last_response.body
  end

  # Of the legend: its settings with these.
  def keep(**settings)
    id = legend["id"]
    elements =
      document["layout"]["elements"].map do |element|
        (element["id"] == id) ? element.merge(settings.transform_keys(&:to_s)).compact : element
      end
    patch_book(layout: {elements: elements})
  end

  def titles(sheet = 1) = shown(sheet)["rows"].select { |row| row["state"] == "here" }.map { |row| row["name"] }

  it "gives rules ids when they are kept, which stay when rules move, and come back with the same condition" do
    expect(document["layers"].map { |layer| layer["rules"].map { |rule| rule["id"] } }).to eq([["rule-1"], ["rule-1"]])
    dams = document["layers"][1]
    rule = ->(title, code) do
      {
        "title" => title,
        "when" => {
          "op" => "=",
          "args" => [{"property" => "code"}, code]
        },
        "symbol" => dams["rules"][0]["symbol"]
      }
    end
    patch_book(
      layers: [document["layers"][0], dams.merge("rules" => [rule["One", "D1"], rule["Two", "D2"], dams["rules"][0]])]
    )
    ids = document["layers"][1]["rules"].to_h { |entry| [entry["title"], entry["id"]] }
    expect(ids["Dams"]).to eq("rule-1")
    expect(ids.values.uniq.length).to eq(3)
    # Made afresh in another order, without ids.
    patch_book(
      layers: [
        document["layers"][0],
        dams.merge("rules" => [rule["Zwei", "D2"], dams["rules"][0].except("id"), rule["Eins", "D1"]])
      ]
    )
    expect(document["layers"][1]["rules"].to_h { |entry| [entry["title"], entry["id"]] }).to eq(
      {"Zwei" => ids["Two"], "Dams" => "rule-1", "Eins" => ids["One"]}
    )
  end

  it "tells where each row stands, and which the sheet has not" do
    rows = shown["rows"]
    expect(rows.map { |row| row["name"] }).to eq(%w[Dams Area])
    box = rows[0]["box"]
    expect(rows[1]["box"][1]).to be_within(0.02).of(box[1] + box[3])
    expect(rows[0]["swatch"]).to start_with("<svg")
    expect(shown.slice("count", "fitting", "columns")).to eq({"count" => 2, "fitting" => 2, "columns" => 1})
    # The dams lie in one row of the grid.
    smaller = kept_book(scale: 1000)
    states =
      App::Book
        .find(smaller.id)
        .index
        .rows
        .map { |row| shown(row["number"], smaller)["rows"].map { |known| known["state"] } }
    expect(states.uniq).to contain_exactly(%w[here here], %w[elsewhere here])
    ask("/api/books/#{book.id}/sheets/1/legends/none")
    expect(last_response.status).to eq(404)
    ask("/api/books/#{book.id}/sheets/1/legends/title")
    expect(answer["message"]).to eq("“title” is not a legend.")
  end

  it "keeps edits while the map changes, marks what is new, and goes back to the map when told to" do
    rules = document["layers"]
    keep(
      rows: [
        {"kind" => "entry", "of" => ["area/rule-1"], "title" => "Moor"},
        {"kind" => "entry", "of" => ["dams/rule-1"]}
      ]
    )
    expect(titles).to eq(%w[Moor Dams])
    expect(document["layers"]).to eq(rules)
    renamed =
      rules.map do |layer|
        layer.merge("rules" => layer["rules"].map { |rule| rule.merge("title" => "#{rule["title"]} now") })
      end
    fresh = {
      "title" => "First",
      "when" => {
        "op" => "=",
        "args" => [{"property" => "code"}, "D1"]
      },
      "symbol" => rules[1]["rules"][0]["symbol"]
    }
    renamed[1]["rules"].unshift(fresh)
    patch_book(layers: renamed)
    expect(shown["rows"].map { |row| row.values_at("name", "fresh") }).to eq(
      [["Moor", false], ["Dams now", false], ["First", true]]
    )
    keep(rows: nil)
    expect(titles).to eq(["Dams now", "First", "Area now"])
    expect { 3.times { App::BookChanges.new(App::Book.find(book.id)).undo } }.to change { titles }.to(%w[Dams Area])
  end

  it "looks through the legends of all sheets in parts, names those without room, and tells the fullest" do
    count = App::Book.find(book.id).index.rows.length
    found = []
    fullest = nil
    at = 0
    while at
      ask("/api/books/#{book.id}/legends/overfull?from=#{at}")
      found += answer["found"]
      fullest ||= answer["fullest"]
      at = answer["next"]
    end
    expect([found, answer["count"], fullest.slice("number", "rows")]).to eq([[], count, {"number" => 1, "rows" => 2}])
    keep(place: {"right_mm" => 5, "top_mm" => 58, "width_mm" => 52, "height_mm" => 6})
    ask("/api/books/#{book.id}/legends/overfull")
    expect(answer["found"].first).to include("number" => 1, "name" => "A1", "element" => legend["id"])
    expect(answer["found"].map { |entry| entry["sentence"] }).to all(match(/fits 1 of 2 rows; left out: “Area”/))
  end

  # By MariaDB's own ST_Intersects on the ground of each sheet.
  it "has in a table the records that SQL finds on the ground of each sheet" do
    columns = [{"title" => "Code", "field" => "code"}]
    send_json(
      :post,
      "/api/books/#{book.id}/layout/elements",
      {
        "kind" => "table",
        "box" => [20, 20, 60, 60],
        "settings" => {
          "layer" => "dams",
          "rows" => nil,
          "columns" => columns,
          "sorted_by" => [{"field" => "code"}]
        }.compact
      }
    )
    expect(last_response.status).to eq(200), last_response.body
    snapshot = App::Snapshot.of(App::Book.find(book.id))
    layer = App::Layer.find_by(book_id: book.id, key: "dams")
    features = App::FeatureBatch.each_kept(layer, shapes: true).to_a.flatten
    # MariaDB's own geometry.
    meets = ->(shape, window) do
      App::Layer.where("ST_Intersects(ST_GeomFromWKB(UNHEX(?)), ST_GeomFromText(?))", shape, window).exists?
    end
    lists =
      snapshot.cells.map do |cell|
        composer = snapshot.composer(cell)
        ring = cell.ground.corners.each_slice(2).map { |x, y| "#{x} #{y}" }
        window = "POLYGON((#{[*ring, ring.first].join(", ")}))"
        codes =
          features.select { |own| meets.call(own.original.unpack1("H*"), window) }.map { |own| own.properties["code"] }
        table = composer.layout.elements.find { |element| element.kind == "table" }
        expect(table.cells_on(composer).flatten).to match_array(codes)
        codes.length
      end
    expect(lists.sum).to be >= 20
  end

  it "puts a line's places with its box in one change" do
    send_json(:post, "/api/books/#{book.id}/layout/elements", {"kind" => "line", "box" => [20, 20, 60, 10]})
    id = answer["made"].first
    send_json(
      :post,
      "/api/books/#{book.id}/layout/boxes",
      {
        label: "Bend",
        boxes: {
          id => [30, 30, 40, 20]
        },
        settings: {
          id => {
            "points" => [[0, 0], [0.5, 1], [1, 0]],
            "id" => "other"
          }
        }
      }
    )
    line = document["layout"]["elements"].find { |element| element["id"] == id }
    expect(line["points"]).to eq([[0, 0], [0.5, 1], [1, 0]])
    expect(answer["frame"]["elements"][id]).to eq([30.0, 30.0, 40.0, 20.0])
    send_json(:post, "/api/books/#{book.id}/layout/boxes", {boxes: {id => [30, 30, 40, 20]}, settings: []})
    expect(last_response.status).to eq(422)
    send_json(
      :post,
      "/api/books/#{book.id}/layout/boxes",
      {boxes: {id => [30, 30, 40, 20]}, settings: {id => {"points" => [["a", 1], [1, 1]]}}}
    )
    expect(last_response.status).to eq(422)
    App::BookChanges.new(App::Book.find(book.id)).undo
    expect(document["layout"]["elements"].find { |element| element["id"] == id }).not_to have_key("points")
  end

  it "keeps the book's description and own fields, and refuses a name twice" do
    patch_book(description: "All dams of the moss.", fields: [{"name" => "client", "value" => "Moor trust"}])
    expect(document.slice("description", "fields")).to eq(
      {
        "description" => "All dams of the moss.",
        "fields" => [{"id" => "field-1", "name" => "client", "value" => "Moor trust"}]
      }
    )
    ask("/api/books/#{book.id}/sheets/1/values")
    expect(answer).to include({"name" => "fields.client", "value" => "Moor trust"})
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {
        label: "x",
        patch: {
          fields: [{"name" => "a"}, {"name" => "a"}]
        },
        revision: App::Book.where(id: book.id).pick(:revision)
      }
    )
    expect(answer["message"]).to include("Two fields of the book are called “a”")
    patch_book(fields: nil)
    expect(document).not_to have_key("fields")
  end
end
