# frozen_string_literal: true

require "app_helper"

# Changes as operations on named parts, by one and by several.
RSpec.describe "Operations on a book" do
  before { empty_database }

  # With labels.
  let(:book) do
    known = kept_book
    layers = document_of(known)["layers"].map { |layer| layer.merge("labels" => [{"text" => "x", "size_pt" => 7}]) }
    App::BookChanges.new(known).apply({"layers" => layers}, label: "Labels").reload
  end

  def fresh = App::Book.find(book.id)

  def operate(*operations, session: "sessionAAAA", held: nil)
    body = JSON.generate({label: "Change", operations: operations})
    headers = {"CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost", "HTTP_X_SESSION" => session}
    headers["HTTP_X_REVISION"] = held.to_s if held
    patch("/api/books/#{book.id}", body, headers)
    body
  end

  def labelled = book.document["layers"].find { |layer| layer["labels"]&.any? }

  def put(path, value) = {op: "replace", path: path, value: value}

  it "are small: what is asked, what is answered, what undo keeps" do
    layer = labelled
    path = "/layers/#{layer["id"]}/labels/#{layer["labels"][0]["id"]}/colour"
    sent = operate({op: "add", path: path, value: "#123456"}, held: book.revision)
    expect(last_response.status).to eq(200), last_response.body
    expect(answer["operations"]).to match([include("path" => path, "value" => "#123456")])
    expect(last_response.body.bytesize).to be < 4000
    edit = App::Edit.last
    expect([sent.bytesize, JSON.generate(edit.operations + edit.inverse).bytesize]).to all(be < 2000)
    App::BookChanges.new(fresh, session: "sessionAAAA").undo
    expect(fresh.document).to eq(book.document)
  end

  # Each as two people would, from one state of the book.
  it "of different things go together, whoever asks first" do
    elements = book.document["layout"]["elements"].map { |element| element["id"] }
    layers = book.document["layers"].select { |layer| layer["rules"] }.map { |layer| layer["id"] }
    [
      [put("/layers/#{layers[0]}/title", "Mine"), put("/layers/#{layers[0]}/visible", false)],
      [put("/layers/#{layers[1]}/title", "Mine too"), {op: "move", path: "/layers/#{layers[1]}", before: layers[0]}],
      [
        {op: "remove", path: "/layout/elements/#{elements[-1]}"},
        {op: "move", path: "/layout/elements/#{elements[-2]}", before: elements[0]}
      ],
      [put("/title", "Wet moss"), put("/index/overlap_mm", 12)],
      [
        {op: "add", path: "/looks/one", value: {id: "one", title: "One", layers: []}},
        {op: "add", path: "/looks/two", value: {id: "two", title: "Two", layers: []}}
      ].drop(book.document["looks"] ? 0 : 2)
    ].each do |mine, theirs|
      next unless mine
      operate(mine)
      expect([mine, last_response.status]).to eq([mine, 200]), last_response.body
      operate(theirs, session: "sessionBBBB")
      expect([theirs, last_response.status]).to eq([theirs, 200]), last_response.body
    end
    after = fresh.document
    expect(after["layers"].find { |layer| layer["id"] == layers[0] }).to include("title" => "Mine", "visible" => false)
    expect(after.values_at("title")).to eq(["Wet moss"])
    expect(after["layout"]["elements"].map { |element| element["id"] }).to eq([elements[-2], *elements[0..-3]])
  end

  # Two entries of each kind of list whose entries a person can tell apart, and where the list stands.
  def listed
    place = ->(left) { {"left_mm" => left, "top_mm" => 10, "width_mm" => 40, "height_mm" => 40} }
    legend = {"id" => "key", "kind" => "legend", "place" => place.call(10)}
    table = {"id" => "tab", "kind" => "table", "place" => place.call(60), "columns" => [{}], "rows" => [%w[a b]]}
    cmyk = {"cmyk" => [0, 0, 0, 100]}
    condition = ->(value) { {"op" => "=", "args" => [{"property" => "code"}, value]} }
    symbol = {"marker" => {"shape" => "circle", "size_mm" => 1, "colour" => "#101010"}}
    rule = ->(value) { {"title" => value, "when" => condition.call(value), "symbol" => symbol} }
    label = ->(text) { {"layer" => "dams", "rule" => "names", "feature" => {"field" => "code", "value" => text}} }
    box = ->(x) { [[x, 6_528_000], [x + 500, 6_528_000], [x + 500, 6_528_500]] }
    {
      %w[fields] => [[{"name" => "one"}, {"name" => "two"}], "value", "Said"],
      %w[palette] => [
        [{"colour" => "#101010", "name" => "One", **cmyk}, {"colour" => "#202020", "name" => "Two", **cmyk}],
        "spot",
        true
      ],
      %w[orders] => [[{"name" => "One"}, {"name" => "Two"}], "sheets", "1"],
      %w[looks] => [[{"title" => "One", "layers" => []}, {"title" => "Two", "layers" => []}], "title", "Other"],
      %w[labels_by_hand] => [[label.call("D1"), label.call("D2")], "hidden", true],
      %w[index area] => [
        [{"polygon" => box.call(402_000)}, {"polygon" => box.call(403_000)}],
        "polygon",
        box.call(402_500)
      ],
      %w[layers dams rules] => [[rule.call("D1"), rule.call("D2")], "title", "Other"],
      %w[layers dams labels] => [
        [{"text" => "{{ code }}"}, {"text" => "x", "when" => condition.call("D1")}],
        "size_pt",
        9
      ],
      %w[layers dams labels names abbreviations] => [
        [{"full" => "Water", "short" => "Wtr"}, {"full" => "Moss", "short" => "Ms"}],
        "short",
        "M"
      ],
      %w[layout elements key rows] => [
        [{"kind" => "heading", "title" => "One"}, {"kind" => "note", "text" => "Two"}],
        "shown_on",
        {"sheets" => "1"}
      ],
      %w[layout elements tab columns] => [[{"title" => "A"}, {"title" => "B"}], "align", "right"],
      %w[layout elements main outlines] => [[{"frame" => "main"}, {"look" => "veil"}], "look", "brackets"],
      %w[layers relief raster classes] => nil
    }.compact.merge("elements" => [legend, table])
  end

  # Every such list of the schema is among them, but for classes of pixels, which need pixels.
  it "of two entries of one list go together, in every list whose entries are told apart" do
    cases = listed
    elements = cases.delete("elements")
    names = cases.keys.map(&:last)
    expect(names).to match_array(TileLoom::Document::Schema.identified_lists - ["classes"])
    book = kept_book
    document = document_of(book)
    document["layout"]["elements"] += elements
    document["layers"][1]["labels"] = [{"id" => "names", "text" => "{{ code }}"}]
    change = ->(after) { App::BookChanges.new(fresh_of(book)).apply(after, label: "Set up") }
    change.call(document.slice("layout", "layers"))
    cases.each do |path, (entries, member, value)|
      @book = book
      pointer = "/#{path.join("/")}"
      ask_for = ->(session, *operations) do
        body = JSON.generate({label: "Change", operations: operations})
        patch(
          "/api/books/#{book.id}",
          body,
          {"CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost", "HTTP_X_SESSION" => session}
        )
        expect([pointer, last_response.status]).to eq([pointer, 200]), "#{pointer}: #{last_response.body[0, 300]}"
      end
      ask_for.call("sessionAAAA", {op: "add", path: pointer, value: entries})
      ids = TileLoom::Values::EntryIds.of(part(fresh_of(book).document, path))
      expect(ids).to match([String, String]), pointer
      ask_for.call("sessionAAAA", {op: "add", path: "#{pointer}/#{ids[0]}/#{member}", value: value})
      ask_for.call("sessionBBBB", {op: "add", path: "#{pointer}/#{ids[1]}/#{member}", value: value})
      expect(part(fresh_of(book).document, path)).to eq(
        entries.zip(ids).map { |entry, id| {"id" => id}.merge(entry, member => value) }
      )
      # Each takes back its own, below the other's.
      App::BookChanges.new(fresh_of(book), session: "sessionAAAA").undo
      expect(part(fresh_of(book).document, path).map { |entry| entry[member] == value }).to eq([false, true])
      App::BookChanges.new(fresh_of(book), session: "sessionBBBB").undo
    end
  end

  def fresh_of(book) = App::Book.find(book.id)

  def part(document, path) =
    path.reduce(document) do |found, name|
      found.is_a?(Array) ? found.find { |entry| entry["id"] == name } : found[name]
    end

  it "change cells by their ids, with the document or alone, and are undone together" do
    first, second, third = book.index.rows.map { |row| row["cell_id"] }
    before = [book.document, book.index.rows]
    operate(
      put("/title", "Wet moss"),
      put("/cells/#{first}/name", "Gate"),
      put("/cells/#{first}/centre", [402_500, 6_528_600]),
      put("/cells/#{second}/rotation_deg", 10),
      put("/cells/#{second}/pinned", false),
      {op: "remove", path: "/cells/#{third}"},
      {op: "move", path: "/cells/#{second}", before: first.to_s}
    )
    expect(last_response.status).to eq(200), last_response.body
    rows = fresh.index.rows
    expect(rows.map { |row| row["cell_id"] }.first(2)).to eq([second, first])
    expect(rows[1].values_at("name", "centre_x", "centre_y", "pinned")).to eq(["Gate", 402_500.0, 6_528_600.0, true])
    expect(rows[0].values_at("rotation_deg", "pinned")).to eq([10.0, false])
    expect([fresh.title, fresh.document["index"]["order"], rows.length]).to eq(
      ["Wet moss", {"kind" => "by_hand"}, before[1].length - 1]
    )
    App::BookChanges.new(fresh, session: "sessionAAAA").undo
    expect([fresh.document, fresh.index.rows]).to eq(before)
    {
      put("/cells/9999/name", "x") => [409, /is no longer there/],
      put("/cells/#{first}/name", 5) => [422, /a cell has name, centre, scale, rotation_deg, pinned/],
      put("/cells/#{first}/row", 5) => [422, /a cell has name/],
      {op: "add", path: "/cells/#{first}"} => [422, /is not changed so/],
      put("/cells/#{first}/name", book.index.rows[1]["name"]) => [422, /called/]
    }.each do |operation, (status, words)|
      operate(put("/title", "Never"), operation)
      expect([last_response.status, answer["message"]]).to match([status, words])
    end
    expect(fresh.title).to eq(before[0]["title"])
  end

  it "are refused in words where what they are about is gone, or a list is another by now, and nothing is done" do
    layer = labelled
    path = "/layers/#{layer["id"]}/labels"
    operate({op: "remove", path: "#{path}/#{layer["labels"][0]["id"]}"})
    before = fresh.document
    operate(put("/title", "New"), put("#{path}/#{layer["labels"][0]["id"]}/size_pt", 9), session: "sessionBBBB")
    expect([last_response.status, answer["path"], answer["message"]]).to match(
      [409, "/operations/1", /is no longer there; someone else removed it in the meantime/]
    )
    operate({op: "test", path: "/palette", value: [1]}, put("/title", "New"))
    expect([last_response.status, answer["message"]]).to match([409, /changed by someone else/])
    expect(fresh.document).to eq(before)
    operate(put("/format", "other"))
    expect([last_response.status, answer["path"]]).to eq([422, "/format"])
    operate(put("title", "No pointer"))
    expect(last_response.status).to eq(422)
  end
end
