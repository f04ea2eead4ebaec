# frozen_string_literal: true

require "app_helper"

# Changes as operations on named parts, by one and by several.
RSpec.describe "Operations on a book" do
  before { empty_database }

  let(:book) { App::NewBook.from_folio(TileLoom::Document::Folio.read(SmallBooks::DEMO)) }

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

  it "are refused in words where what they are about is gone, or a list is another by now, and nothing is done" do
    layer = labelled
    path = "/layers/#{layer["id"]}/labels"
    operate({op: "remove", path: "#{path}/#{layer["labels"][0]["id"]}"})
    before = fresh.document
    operate(put("/title", "New"), put("#{path}/#{layer["labels"][0]["id"]}/size_pt", 9), session: "sessionBBBB")
    expect([last_response.status, answer["path"], answer["message"]]).to match(
      [422, "/operations/1", /is no longer there; someone took it away meanwhile/]
    )
    operate({op: "test", path: "/palette", value: [1]}, put("/title", "New"))
    expect([last_response.status, answer["message"]]).to match([422, /changed by someone else/])
    expect(fresh.document).to eq(before)
    operate(put("/format", "other"))
    expect([last_response.status, answer["path"]]).to eq([422, "/format"])
    operate(put("title", "No pointer"))
    expect(last_response.status).to eq(422)
  end
end
