# frozen_string_literal: true

require "app_helper"

# Labels, what is done to them by hand, and notes, through the server.
RSpec.describe "Labels and notes of a book" do
  before { empty_database }

  let(:book) { kept_book }

  def document = App::Book.find(book.id).document

  def patch_book(label = "Labels", **patch)
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {label: label, patch: patch, revision: App::Book.where(id: book.id).pick(:revision)}
    )
    last_response.status
  end

  def label_dams(rule = {field: "code"})
    layers = document["layers"].map { |layer| (layer["id"] == "dams") ? layer.merge("labels" => [rule]) : layer }
    expect(patch_book(layers: layers)).to eq(200), last_response.body
  end

  def labels(sheet = 1)
    ask("/api/books/#{book.id}/sheets/#{sheet}/labels")
    expect(last_response.status).to eq(200), last_response.body
    answer
  end

  def svg(sheet = 1)
    ask("/api/books/#{book.id}/sheets/#{sheet}.svg")
    last_response.body.then { |body| body.start_with?("<") ? body : Zlib.gunzip(body) }
  end

  it "gives label rules ids when they are kept, and tells each label with what its feature is known by" do
    label_dams
    expect(document["layers"][1]["labels"]).to eq([{"id" => "rule-1", "field" => "code"}])
    found = labels["placed"]
    expect(found.map { |label| label["feature"] }.uniq.length).to eq(found.length)
    expect(found.first).to include(
      "layer" => "dams",
      "rule" => "rule-1",
      "kind" => "point",
      "by_hand" => false,
      "feature" => {
        "field" => "code",
        "value" => found.first["text"]
      }
    )
    ask("/api/books/#{book.id}/sheets/1/facts")
    expect(answer["labels"]).to eq("placed" => found.length, "unplaced" => 0)
  end

  it "moves, hides and renames a label, which undo takes back and an update from a file keeps" do
    label_dams
    first = labels["placed"].first
    own = first.slice("layer", "rule", "feature")
    expect(patch_book(labels_by_hand: [own.merge("offset_mm" => [10, -8], "text" => "By hand")])).to eq(200)
    moved = labels["placed"].find { |label| label["by_hand"] }
    expect(moved["text"]).to eq("By hand")
    expect(moved["middle"]).to match([be_within(0.5).of(first["x"] + 10), be_within(0.5).of(first["y"] - 8)])
    expect(svg).to include("By hand")
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(document["labels_by_hand"]).to be_nil
    expect(labels["placed"].first["text"]).to eq(first["text"])
    send_json(:post, "/api/books/#{book.id}/redo", {})
    # Another version of the layer numbers its features otherwise.
    layer = App::Layer.find_by!(book_id: book.id, key: "dams", removed: false)
    blocks = TileLoom::Data::BlockBuilder.new
    drawn(layer).each { |feature| blocks.add(feature.id + 1000, feature.wkb, feature.attributes) }
    App::FeatureBlock.keep(layer, blocks, edition: 2)
    App::Layer.where(id: layer.id).update_all("version = version + 1, edition = 2")
    layers = document["layers"].map { |entry| (entry["id"] == "dams") ? entry.merge("version" => 2) : entry }
    App::Book.find(book.id).put("layers" => layers)
    expect(labels["placed"].count { |label| label["text"] == "By hand" }).to eq(1)
    expect(patch_book(labels_by_hand: [own.merge("hidden" => true)])).to eq(200)
    expect(labels["placed"].map { |label| label["text"] }).not_to include(first["text"], "By hand")
  end

  it "refuses what is no place, no rule of text, no filter, and leaves the book as it is" do
    label_dams
    before = document
    own = labels["placed"].first.slice("layer", "rule", "feature")
    expect(patch_book(labels_by_hand: [own.merge("offset_mm" => [1])])).to eq(422)
    expect(patch_book(labels_by_hand: [own.merge("offset_mm" => ["far", 1])])).to eq(422)
    layers = ->(rule) { document["layers"].map { |layer| layer.merge("labels" => [rule]) } }
    expect([patch_book(layers: layers[{}]), patch_book(layers: layers[{field: "a", text: "b"}])]).to eq([422, 422])
    expect(patch_book(layers: layers[{text: "{{ code | nonsense }}"}])).to eq(422)
    expect(last_response.body).to include("asks for the filter “nonsense”")
    expect(patch_book(layers: layers[{text: "{{ code"}])).to eq(422)
    expect(document).to eq(before)
  end

  it "keeps notes, draws them on the sheets that show the place, and hands them out in open formats" do
    places = [[402_300, 6_528_400], [402_350, 6_528_450]]
    note = {id: "n", kind: "text", places: places, text: "Look here"}
    expect(patch_book(notes: {list: [note]})).to eq(200), last_response.body
    shown =
      App::Book
        .find(book.id)
        .core
        .cells(book.source)
        .map(&:number)
        .select { |number| svg(number).include?("Look here") }
    expect(shown.length).to be_between(1, 2)
    ask("/api/books/#{book.id}/notes/file?format=geojson")
    expect(last_response.status).to eq(200)
    feature = answer["features"].first
    expect([feature["properties"]["text"], feature["geometry"]["type"]]).to eq(["Look here", "Point"])
    ask("/api/books/#{book.id}/notes/file?format=gpkg")
    expect(last_response.body.byteslice(0, 15)).to eq("SQLite format 3")
    ask("/api/books/#{book.id}/notes/file?format=exe")
    expect(last_response.status).to eq(422)
    expect(patch_book(notes: {list: [note.merge(places: [])]})).to eq(422)
    expect(patch_book(notes: {list: [note, note]})).to eq(422)
  end

  it "lets the sizes of all layers follow one scale" do
    label_dams({field: "code", size_pt: 4})
    expect(patch_book(design_scale: 5000)).to eq(200), last_response.body
    size = ->(text) do
      Nokogiri.XML(text).remove_namespaces!.css("text").find { |node| node.text.match?(/\AD\d+\z/) }["font-size"].to_f
    end
    expect(size[svg] / (4 * 25.4 / 72 * 100)).to be_within(0.01).of(2)
    expect(patch_book(design_scale: nil)).to eq(200)
    expect(size[svg] / (4 * 25.4 / 72 * 100)).to be_within(0.01).of(1)
  end
end
