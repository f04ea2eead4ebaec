# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Books do
  before { empty_database }

  let(:book) { kept_book }

  def change(patch, revision: nil)
    # The latest, where a list is replaced and nothing else is said.
    revision ||= App::Book.where(id: book.id).pick(:revision) if App::MergePatch.list?(patch)
    send_json(:patch, "/api/books/#{book.id}", {patch: patch, label: "Test", revision: revision}.compact)
  end

  it "shows a book with its document, layers and cells" do
    ask("/api/books/#{book.id}")
    expect(answer["document"]["title"]).to eq("Test moss")
    expect(answer["layers"].map { |layer| layer.values_at("id", "kind", "count") }).to eq(
      [["area", "area", 1], ["dams", "point", 20]]
    )
    expect(answer["cells"].map { |cell| cell["name"] }).to eq(book.index.cells.pluck(:name))
    expect(TileLoom::Document::Schema.findings(answer["document"])).to be_empty
    expect(answer["distortion"]).to eq(
      {"words" => "Grid distances are 0.3 m per km short (scale factor 0.9997) everywhere here.", "warnings" => []}
    )
  end

  it "keeps a change at once, rebuilds the index, and undoes and redoes it" do
    before = book.index.cells.count
    change({"index" => {"scale" => 5000}})
    expect(last_response.status).to eq(200)
    after = answer["cells"].length
    expect(after).to be < before
    expect(App::Cell.count).to eq(after)
    expect(answer["undo"]).to eq("Test")
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect([answer["document"]["index"]["scale"], answer["cells"].length, answer["redo"]]).to eq([2500, before, "Test"])
    send_json(:post, "/api/books/#{book.id}/redo", {})
    expect([answer["document"]["index"]["scale"], answer["cells"].length, answer["undo"]]).to eq([5000, after, "Test"])
  end

  it "drops what was undone once something else is changed" do
    change({"title" => "One"})
    send_json(:post, "/api/books/#{book.id}/undo", {})
    change({"title" => "Two"})
    expect(answer["redo"]).to be_nil
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(answer["document"]["title"]).to eq("Test moss")
  end

  # Each refused change leaves the book as it was.
  {
    "a scale of zero" => [{"index" => {"scale" => 0}}, "/index/scale"],
    "a million cells" => [{"index" => {"scale" => 5, "overlap_mm" => 0}}, "/index/scale"],
    "margins larger than the page" => [
      {"layout" => {"page" => {"margins_mm" => {"left" => 250, "right" => 250}}}},
      "/layout/page/margins_mm"
    ],
    "an overlap larger than the frame" => [{"index" => {"overlap_mm" => 400}}, "/index/overlap_mm"],
    "an unknown reference" => [{"crs" => "EPSG:0"}, "/crs"],
    "a geographic reference" => [{"crs" => "EPSG:4326"}, "/crs"],
    "another reference under data that is there" => [{"crs" => "EPSG:25830"}, "/crs"],
    "an unknown key" => [{"paint" => 1}, "/paint"],
    "a layer without data" => [
      {
        "layers" => [
          {"id" => "area", "title" => "A", "rules" => [{"title" => "", "symbol" => {}}]},
          {"id" => "moon", "title" => "M", "rules" => [{"title" => "", "symbol" => {}}]}
        ]
      },
      "/layers"
    ]
  }.each do |name, (patch, path)|
    it "refuses #{name} and changes nothing" do
      before = book.reload.document
      cells = book.index.cells.map(&:attributes)
      change(patch)
      expect(last_response.status).to eq(422)
      expect(answer["path"]).to eq(path)
      expect(answer["message"].length).to be > 20
      expect(App::Book.find(book.id).document).to eq(before)
      expect(App::Book.find(book.id).index.cells.map(&:attributes)).to eq(cells)
      expect(App::Edit.count).to eq(0)
    end
  end

  it "refuses an unknown live-text value, beside its path" do
    elements = document_of(book)["layout"]["elements"]
    elements.find { |element| element["id"] == "title" }["text"] = "{{ sheet.nane }}"
    change({"layout" => {"elements" => elements}})
    expect(answer["path"]).to match(%r{/layout/elements/\d+/text})
    expect(answer["message"]).to include("“nane”")
  end

  it "tells a stale tab that the book has changed" do
    revision = book.revision
    change({"title" => "First"}, revision: revision)
    change({"title" => "Second"}, revision: revision)
    expect(last_response.status).to eq(409)
    expect(App::Book.find(book.id).title).to eq("First")
  end

  it "goes out as one file and comes in as the same book" do
    change({"layers" => book.document["layers"].reverse})
    ask("/api/books/#{book.id}/file")
    text = last_response.body
    send_json(:post, "/api/books", JSON.parse(text))
    expect(last_response.status).to eq(201)
    copy = App::Book.find(answer["id"])
    expect(copy.document).to eq(book.reload.document)
    expect(copy.index.cells.map { |cell| cell.attributes.except("id", "grid_index_id") }).to eq(
      book.index.cells.map { |cell| cell.attributes.except("id", "grid_index_id") }
    )
    shapes = ->(known) { known.source.features("dams", nil).map { |feature| [feature.wkb, feature.attributes] } }
    expect(shapes.call(copy)).to eq(shapes.call(book))
  end

  it "prints the exported file through the core as it prints from the database" do
    ask("/api/books/#{book.id}/file")
    folio = TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.parse(last_response.body))
    ours, theirs =
      [[book.core, book.source], [folio.document, folio.source]].map do |document, source|
        cell = document.cells(source).first
        TileLoom::Output::Svg.new(
          TileLoom::Compose::SheetComposer.new(book: document, source: source, cell: cell, count: 9).drawing
        ).to_s
      end
    expect(ours).to eq(theirs)
  end

  it "does not bring in a book that points at files of the server" do
    settings = document_of(book)
    settings["layers"][0]["data"] = {"file" => "/etc/passwd"}
    settings["layers"][1]["data"] = {"file" => "x"}
    send_json(:post, "/api/books", settings)
    expect(last_response.status).to eq(422)
    expect(answer["message"]).to match(/did not come with the book/)
    expect(App::Book.count).to eq(1)
  end

  describe "requests" do
    it "answers 404 in words for what is not there" do
      ask("/api/books/999999")
      expect([last_response.status, answer["message"]]).to eq([404, "No longer exists; reload the page."])
      ask("/api/books/1%20OR%201=1")
      expect(last_response.status).to eq(404)
      ask("/api/nothing")
      expect(last_response.status).to eq(404)
    end

    it "refuses other names, other origins, other types, and what is too large" do
      get("/api/books", {}, "HTTP_HOST" => "evil.example")
      expect(last_response.status).to eq(403)
      post(
        "/api/books/#{book.id}/undo",
        "{}",
        "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "localhost",
        "HTTP_ORIGIN" => "http://evil.example"
      )
      expect(last_response.status).to eq(403)
      post("/api/books/#{book.id}/index/trial", "patch=1", "HTTP_HOST" => "localhost")
      expect(last_response.status).to eq(415)
      post(
        "/api/books",
        "{}",
        "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "localhost",
        "CONTENT_LENGTH" => (100 * 1024 * 1024).to_s
      )
      expect(last_response.status).to eq(413)
      send_json(:patch, "/api/books/#{book.id}", [1])
      expect(last_response.status).to eq(422)
    end

    it "serves only the fonts it ships" do
      ask("/fonts/SourceSans3-Regular.ttf")
      expect(last_response.status).to eq(200)
      ask("/fonts/..%2F..%2FGemfile")
      expect(last_response.body).not_to include("source")
    end
  end
end
