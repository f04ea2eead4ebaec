# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Layouts do
  before { empty_database }

  let(:book) { kept_book }

  def elements = App::Book.find(book.id).document["layout"]["elements"]

  def element(id) = elements.find { |known| known["id"] == id }

  def boxes(wanted) = send_json(:post, "/api/books/#{book.id}/layout/boxes", {boxes: wanted}).then { answer }

  def add(body) = send_json(:post, "/api/books/#{book.id}/layout/elements", body).then { answer }

  # The page is A3 landscape with margins of 10 mm: the live area ends at 410 and 287 mm.
  it "puts elements where they are wanted, tied to the edges that they were tied to" do
    before = element("title")["place"]
    expect(before.keys).to contain_exactly("right_mm", "top_mm", "width_mm", "height_mm")
    fresh = boxes({"title" => [340, 20, 60, 18], "main" => [20, 20, 300, 250]})
    expect(element("title")["place"]).to eq(
      {"right_mm" => 10.0, "top_mm" => 10.0, "width_mm" => 60.0, "height_mm" => 18.0}
    )
    expect(element("main")["place"]).to eq(
      {"left_mm" => 10.0, "right_mm" => 90.0, "top_mm" => 10.0, "bottom_mm" => 17.0}
    )
    expect(fresh["frame"]["elements"]["title"]).to eq([340.0, 20.0, 60.0, 18.0])
    App::BookChanges.new(book.reload).undo
    expect(element("title")["place"]).to eq(before)
  end

  def rows = App::Book.find(book.id).index.rows

  def told = App::Presenter.book(App::Book.find(book.id))["index_state"]

  def step(direction) = App::BookChanges.new(App::Book.find(book.id)).public_send(direction)

  # 100 mm at 1:2,500 are 250 m.
  it "holds the scale and the places of the cells when the main frame changes, and says that they are out of step" do
    before = rows
    boxes({"main" => [20, 20, 100, 100]})
    expect(told).to include("changed" => ["frame"], "kept" => 0)
    expect(rows.map { |row| row.values_at("name", "centre_x", "centre_y", "scale") }).to eq(
      before.map { |row| row.values_at("name", "centre_x", "centre_y", "scale") }
    )
    expect(rows.map { |row| row["width"].round(6) }.uniq).to eq([250.0])
    step(:undo)
    expect([rows, told["changed"]]).to eq([before, []])
    step(:redo)
    expect(rows.first["width"].round(6)).to eq(250.0)
  end

  it "rebuilds the index or keeps the cells and marks them, each of which can be undone" do
    boxes({"main" => [20, 20, 100, 100]})
    fitted = rows
    send_json(:post, "/api/books/#{book.id}/index/rebuild", {})
    expect(answer["cells"].length).to be > fitted.length
    expect(answer["index_state"]).to include("changed" => [], "kept" => 0)
    # A frame a third as wide makes another grid: its names are those of the pattern.
    expect(answer["cells"].map { |cell| cell["name"] }).to all(match(/\A[A-Z]+\d+\z/))
    step(:undo)
    expect([rows, told["changed"]]).to eq([fitted, ["frame"]])
    send_json(:post, "/api/books/#{book.id}/index/keep", {})
    expect(answer["index_state"]).to include("changed" => [], "kept" => fitted.length)
    expect(answer["cells"]).to all(include("kept" => true))
    step(:undo)
    expect(rows).to eq(fitted)
    ask("/api/books/#{book.id}/cover")
    expect(answer).to include("count" => fitted.length, "left_out_m2" => be > 0)
  end

  # Six cells, two rows of three: the second in the first row is B1.
  it "adds an index sheet that shows every cell by name, designs it apart, prints it first, and does without it" do
    send_json(:post, "/api/books/#{book.id}/layout/index", {on: true})
    expect(answer["index_frame"]["elements"].keys).to include("index", "title")
    send_json(:post, "/api/books/#{book.id}/layout/boxes", {role: "index", boxes: {"title" => [30, 20, 100, 12]}})
    expect(answer["document"]["index_layout"]["elements"].find { |known| known["id"] == "title" }["place"]).to include(
      "height_mm" => 12.0
    )
    expect(answer["document"]["layout"]["elements"]).to eq(elements)
    ask("/api/books/#{book.id}/sheets/0.svg")
    names = last_response.body.scan(/<text[^>]*>([^<]*)</).flatten
    expect(names).to include("Test moss", *rows.map { |row| row["name"] })
    ask("/api/books/#{book.id}/sheets/0/values")
    expect(answer).to include(
      {"name" => "sheet.name", "value" => "Index"},
      {"name" => "sheet.row", "value" => ""},
      {"name" => "sheet.count", "value" => rows.length.to_s}
    )
    {"all" => [0, *1..rows.length], "index, 2" => [0, 2], "1-2" => [1, 2]}.each do |sheets, numbers|
      run = App::PressOrder.new(App::Book.find(book.id), {"sheets" => sheets}).place
      expect([run.total, run.pieces.flat_map(&:numbers)]).to eq([numbers.length, numbers])
    end
    send_json(:post, "/api/books/#{book.id}/layout/elements", {role: "index", kind: "map_frame", box: [1, 1, 50, 50]})
    expect(answer["message"]).to match(/the index sheet has an index frame/)
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {
        label: "x",
        revision: App::Book.where(id: book.id).pick(:revision),
        patch: {
          "index_layout" => {
            "elements" => answer_elements.reject { |known| known["kind"] == "index_frame" }
          }
        }
      }
    )
    expect(answer["message"]).to match(/has no index frame/)
    send_json(:post, "/api/books/#{book.id}/layout/index", {on: false})
    expect(answer["document"]).not_to have_key("index_layout")
    step(:undo)
    expect(App::Book.find(book.id).document["index_layout"]["elements"].length).to be > 5
  end

  def answer_elements = App::Book.find(book.id).document["index_layout"]["elements"]

  # Each step says how far, so that steps which come at once add up.
  it "adds up quick steps that meet at the server" do
    before = App::Presenter.book(App::Book.find(book.id))["frame"]["elements"]["title"]
    threads =
      Array.new(6) do
        Thread.new do
          Rack::MockRequest
            .new(SERVER)
            .post(
              "/api/books/#{book.id}/layout/shift",
              :input => JSON.generate({ids: ["title"], dx_mm: -1, dy_mm: 2}),
              "CONTENT_TYPE" => "application/json",
              "HTTP_HOST" => "localhost"
            )
            .status
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end
      end
    expect(threads.map(&:value)).to eq([200] * 6)
    after = App::Presenter.book(App::Book.find(book.id))["frame"]["elements"]["title"]
    expect([after[0] - before[0], after[1] - before[1]]).to eq([-6.0, 12.0])
  end

  it "keeps guides with the layout" do
    lines = {"guides" => {"x" => [20, 148.5], "y" => [30]}}
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {label: "Guides", patch: {"layout" => {**lines}}, revision: App::Book.where(id: book.id).pick(:revision)}
    )
    expect(App::Book.find(book.id).document["layout"]).to include(lines)
    step(:undo)
    expect(App::Book.find(book.id).document["layout"]).not_to have_key("guides")
  end

  it "refuses more elements than a page can be edited with, and a text longer than can be set, and keeps what was" do
    many =
      Array.new(10_000) do |index|
        {
          "kind" => "box",
          "id" => "b#{index}",
          "place" => {
            "left_mm" => 1,
            "top_mm" => 1,
            "width_mm" => 1,
            "height_mm" => 1
          }
        }
      end
    before = elements
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {
        label: "x",
        patch: {
          "layout" => {
            "elements" => before + many
          }
        },
        revision: App::Book.where(id: book.id).pick(:revision)
      }
    )
    expect([last_response.status, answer["message"]]).to match([422, /“elements” has 10,0\d\d entries; at most 500/])
    long = before.map { |known| (known["id"] == "title") ? known.merge("text" => "moss " * 200_000) : known }
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {
        label: "x",
        patch: {
          "layout" => {
            "elements" => long
          }
        },
        revision: App::Book.where(id: book.id).pick(:revision)
      }
    )
    expect([last_response.status, answer["message"]]).to match([422, /“text” has 1,000,000 characters; at most 10,000/])
    expect(elements).to eq(before)
  end

  it "refuses what cannot be, in words" do
    expect(boxes({"title" => [1, 2, -3, 4]})["message"]).to match(/cannot be negative/)
    expect(boxes({"title" => [1, 2, 0, 4]})["message"]).to match(/does not fit on this page/)
    expect(boxes({"moon" => [1, 2, 3, 4]})["message"]).to match(/no element “moon”/)
    expect(boxes({"title" => "x"})["message"]).to match(/must be a list/)
    App::BookChanges.new(book.reload).apply(
      {
        "layout" => {
          "elements" => elements.map { |known| (known["id"] == "title") ? known.merge("locked" => true) : known }
        }
      },
      label: "Lock"
    )
    expect(boxes({"title" => [1, 2, 3, 4]})["message"]).to match(/“title” is locked/)
  end

  it "adds an element of each kind, tied to the nearer edges, with an id of its own" do
    (TileLoom::Furniture::Elements.keys - %w[map_frame index_frame]).each do |kind|
      made = add({kind: kind, box: [350, 20, 30, 20]})
      expect(made["made"]).to eq(["#{kind.tr("_", "-")}-1"]), made["message"]
    end
    expect(element("ellipse-1")["place"]).to eq(
      {"right_mm" => 30.0, "top_mm" => 10.0, "width_mm" => 30.0, "height_mm" => 20.0}
    )
    ask("/api/books/#{book.id}/sheets/1.svg")
    expect(last_response.status).to eq(200)
    copies =
      add(
        {
          elements: [
            {kind: "text", box: [20, 200, 40, 10], settings: element("title")},
            {kind: "text", box: [20, 220, 40, 10]}
          ],
          label: "Paste"
        }
      )
    expect(copies["made"]).to eq(%w[text-2 text-3])
    expect(element("text-2")).to include("text" => "{{ book.title }}", "place" => include("bottom_mm" => 77.0))
    expect(add({kind: "map_frame", box: [1, 1, 20, 20]})["message"]).to match(/one map frame/)
    expect(add({kind: "index_frame", box: [1, 1, 20, 20]})["message"]).to match(/belongs on the index sheet/)
    expect(add({kind: "hologram", box: [1, 1, 20, 20]})["message"]).to match(/not a kind of element/)
  end

  it "keeps an element off the page, where it can be found and brought back" do
    boxes({"title" => [-80, 20, 60, 18]})
    expect(App::Presenter.book(App::Book.find(book.id))["frame"]["elements"]["title"].first).to eq(-80.0)
  end

  # The area is 2 km by 1 km: twice as broad as high.
  it "gives the page the height that lets the frame have the study area’s proportion" do
    send_json(:post, "/api/books/#{book.id}/layout/proportion", {})
    frame = answer["frame"]
    expect(frame["width_mm"] / frame["height_mm"]).to be_within(1e-4).of(2)
    expect([frame["page_width_mm"], answer["document"]["layout"]["page"]["size"]]).to eq([420, "custom"])
    App::BookChanges.new(book.reload).undo
    boxes({"main" => [20, 20, 300, 100]})
    App::BookChanges.new(book.reload).apply(
      {
        "layout" => {
          "elements" =>
            elements.map do |known|
              if known["id"] == "main"
                known.merge("place" => {"left_mm" => 10, "width_mm" => 300, "top_mm" => 10, "height_mm" => 100})
              else
                known
              end
            end
        }
      },
      label: "Fix"
    )
    send_json(:post, "/api/books/#{book.id}/layout/proportion", {})
    expect(answer["frame"].values_at("width_mm", "height_mm", "page_height_mm")).to eq([300, 150, 347])
  end

  it "says what live text gives on a sheet, and finds the hardest one" do
    ask("/api/books/#{book.id}/sheets/2/values")
    expect(answer).to include(
      {"name" => "sheet.name", "value" => "B1"},
      {"name" => "sheet.number", "value" => "2"},
      {"name" => "book.title", "value" => "Test moss"}
    )
    ask("/api/books/#{book.id}/layout/fullest")
    expect(answer["number"]).to be_between(1, book.index.cells.count)
    expect(answer["overflowing"]).to eq([])
  end
end
