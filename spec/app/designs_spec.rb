# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Designs do
  before { empty_database }

  let(:book) { kept_book }

  def fresh = App::Book.find(book.id)

  def send_design(text) =
    post(
      "/api/books/#{book.id}/design/file",
      {
        "file" => Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "plain.json")
      },
      "HTTP_HOST" => "localhost"
    ).then { answer }

  it "lists what ships, shows each on a sheet of the book, and takes one; undo brings back the one before" do
    ask("/api/designs")
    expect(answer["shipped"].length).to be >= 8
    before = fresh.document
    answer["shipped"]
      .map { |design| design["name"] }
      .each do |name|
        ask("/api/books/#{book.id}/designs/#{name}.svg")
        expect([name, last_response.status, last_response.body[0, 4]]).to eq([name, 200, "<svg"])
        send_json(:post, "/api/books/#{book.id}/design", {name: name})
        expect([last_response.status, fresh.document["layout"]["name"]]).to eq([200, name]), last_response.body
        ask("/api/books/#{book.id}/sheets/1.svg")
        expect(last_response.status).to eq(200)
        App::BookChanges.new(fresh).undo
      end
    expect(fresh.document).to eq(before)
  end

  it "keeps a page under a name, renames it, uses it in another book, and forgets it" do
    App::BookChanges.new(book).apply(
      {
        "layout" => {
          "page" => {
            "size" => "A4"
          }
        },
        "markers" => [
          {
            "id" => "logo",
            "title" => "Logo",
            "svg" => '<svg xmlns="http://www.w3.org/2000/svg"><rect width="4" height="4"/></svg>'
          }
        ]
      },
      label: "x"
    )
    send_json(
      :post,
      "/api/books/#{book.id}/layout/elements",
      {kind: "picture", box: [20, 20, 20, 20], settings: {drawing: "logo"}}
    )
    send_json(:post, "/api/books/#{book.id}/design/keep", {name: "House style"})
    id = answer.first["id"]
    send_json(:patch, "/api/designs/kept/#{id}", {name: "House style, A4"})
    expect(answer).to eq([{"id" => id, "name" => "House style, A4"}])
    other = kept_book
    send_json(:post, "/api/books/#{other.id}/design", {kept: id, name: "House style, A4"})
    expect(App::Book.find(other.id).document["layout"]).to eq(fresh.document["layout"].merge("name" => "House style"))
    expect(App::Book.find(other.id).document["markers"].map { |marker| marker["id"] }).to eq(["logo"])
    send_json(:delete, "/api/designs/kept/#{id}", {})
    expect(answer).to eq([])
    send_json(:post, "/api/books/#{book.id}/design/keep", {name: " "})
    expect(answer["message"]).to match(/Give the design a name/)
  end

  it "goes out as a file and comes in again as the same" do
    send_json(:post, "/api/books/#{book.id}/layout/boxes", {boxes: {"title" => [340, 20, 60, 18]}})
    ask("/api/books/#{book.id}/design/file")
    file = last_response.body
    layout = fresh.document["layout"]
    send_json(:post, "/api/books/#{book.id}/design", {name: "pocket"})
    send_design(file)
    expect(fresh.document["layout"]).to eq(layout)
  end

  {
    "no JSON" => ["<svg/>", /not JSON/],
    "another file" => ['{"format":"x"}', /is not a design/],
    "another version" => [
      '{"format":"tile-loom-layout","version":7,"layout":{}}',
      /version 7; this application reads version 1/
    ],
    "a layout without a frame" => [
      '{"format":"tile-loom-layout","version":1,"layout":{"name":"x","page":{"size":"A4","margins_mm":{"top":1,"right":1,"bottom":1,"left":1}},"elements":[{"kind":"box","id":"b","place":{}}]}}',
      /no map frame/
    ],
    "an element that is none" => [
      '{"format":"tile-loom-layout","version":1,"layout":{"name":"x","page":{"size":"A4","margins_mm":{"top":1,"right":1,"bottom":1,"left":1}},"elements":[{"kind":"ufo","id":"b","place":{}}]}}',
      /“kind” is "ufo"; use one of/
    ]
  }.each do |name, (text, sentence)|
    it "refuses #{name} and changes nothing" do
      before = fresh.document
      expect(send_design(text)["message"]).to match(sentence)
      expect(fresh.document).to eq(before)
    end
  end
end
