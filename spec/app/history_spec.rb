# frozen_string_literal: true

require "app_helper"

# What was changed, the book as it was, back to it or a part of it, named versions, what differs.
RSpec.describe "The history of a book" do
  before { empty_database }

  let(:book) { kept_book }
  let(:base) { "/api/books/#{book.id}" }

  def fresh = App::Book.find(book.id)

  def state(of = fresh) = [of.document, of.index.rows, of.index.generated_with]

  def change(patch, label: "Change", session: "sessionAAAA") =
    App::BookChanges.new(fresh, session: session).apply(patch, label: label)

  def cells(deed, **more) = send_json(:post, "#{base}/cells", {do: deed, revision: fresh.revision, **more})

  def steps(**query)
    ask("#{base}/history?#{URI.encode_www_form(query)}")
    answer["steps"]
  end

  # Every kind of change, and what the book was behind each: [[position, state], …].
  def worked_on
    first = book.index.rows.first["cell_id"]
    [
      -> { change({"title" => "Wet moss"}) },
      -> { cells("move", cells: [first], dx: 30, dy: 10) },
      -> { cells("rename", cells: [first], name: "Z9") },
      -> { change({"index" => {"scale" => 5000}}) },
      -> { change({"layers" => document_of(book)["layers"].first(1)}, label: "Remove dams") },
      -> { App::BookChanges.new(fresh, session: "sessionAAAA").undo },
      -> { change({"layout" => {"page" => {"size" => "A4"}}}) },
      -> { App::BookChanges.new(fresh).rebuild },
      -> { cells("remove", cells: [fresh.index.rows.last["cell_id"]]) },
      -> { App::BookChanges.new(fresh, session: "sessionAAAA").undo }
    ].map { |work| work.call && [fresh.edit_position, state] }
  end

  it "has the book as it was behind every step, from the nearest state that is kept" do
    start = state(book)
    stub_const("App::BookState::EVERY", 4)
    seen = worked_on
    expect(seen.map(&:first)).to eq((1..10).to_a)
    expect(App::BookState.pluck(:position)).to eq([4, 8])
    [[0, start], *seen].each do |position, was|
      expect(state(App::History.new(fresh).book_at(position))).to eq(was), "behind #{position}"
    end
    ask("#{base}/history/3")
    expect(answer["cells"].map { |cell| cell["name"] }).to include("Z9")
    ask("#{base}/history/99")
    expect(last_response.status).to eq(404)
  end

  it "lists what, when, who and what about, page by page, or of one thing alone" do
    worked_on
    stub_const("App::History::PAGE", 4)
    found = steps
    expect(found.map { |step| step["position"] }).to eq([10, 9, 8, 7])
    expect(found.map { |step| step["state"] }).to eq(%w[step undone done done])
    expect(found[0]).to include("about" => 9, "label" => /Undo: Remove cells: ./, "own" => false)
    expect(Time.iso8601(found[0]["at"])).to be_within(60).of(Time.now)
    expect(answer["more"]).to be(true)
    expect(steps(before: 7).map { |step| step["position"] }).to eq([6, 5, 4, 3])
    expect(steps(touching: "layers/dams").map { |step| step["label"] }).to eq(["Undo: Remove dams", "Remove dams"])
    first = book.index.rows.first["name"]
    expect(steps(touching: "cells/#{book.index.rows.first["cell_id"]}").map { |step| step["label"] }).to eq(
      ["Change", "Change", "Rename a sheet: #{first}", "Move cells: #{first}"]
    )
  end

  it "goes back to any step as one change that can be undone" do
    seen = worked_on
    seen.reverse_each do |position, was|
      before = state
      send_json(:post, "#{base}/history/#{position}/back", {name: "step #{position}"})
      expect([last_response.status, state]).to eq([200, was]), "to #{position}: #{last_response.body[0, 200]}"
      next if before == was
      App::BookChanges.new(fresh).undo
      expect(state).to eq(before)
      App::BookChanges.new(fresh).redo
    end
  end

  it "goes back over a change of CRS by a job" do
    was = state(book)
    App::ReferenceChange.start(book, "EPSG:32629")
    App::Worker.new(quiet: true, exit_on_complete: true).start
    change({"title" => "Later"})
    expect(fresh.reference).to eq("EPSG:32629")
    ask("#{base}/sheets/1.svg?at=0")
    expect([last_response.status, answer["message"]]).to match([422, /was drawn in ETRS89.*go back to that state/])
    send_json(:post, "#{base}/history/0/take", {part: "index"})
    expect(answer["message"]).to match(/drawn in another CRS at that time/)
    send_json(:post, "#{base}/history/0/back", {})
    expect([last_response.status, answer["reprojection"]]).to match([202, include("name" => /ETRS89/)])
    App::Worker.new(quiet: true, exit_on_complete: true).start
    expect(state).to eq(was)
    ask("#{base}/sheets/1.svg?at=0")
    expect(last_response.status).to eq(200)
  end

  describe "a part of it" do
    def take(position, **wanted)
      send_json(:post, "#{base}/history/#{position}/take", wanted)
      expect(last_response.status).to eq(200), last_response.body[0, 300]
    end

    it "is taken alone: a design, the look of a layer, the index, one sheet" do
      was = state(book)
      worked_on
      layers = document_of(book)["layers"]
      layers[0]["title"] = "Other"
      change({"layers" => layers.reverse})
      now = fresh.document
      take(0, part: "layout")
      expect(fresh.document).to eq(now.merge("layout" => was[0]["layout"]))
      take(0, part: "layer", id: layers[0]["id"])
      expect(fresh.document["layers"].find { |layer| layer["id"] == layers[0]["id"] }).to eq(was[0]["layers"][0])
      expect(fresh.document["title"]).to eq("Wet moss")
      take(0, part: "index")
      expect([fresh.document["index"], fresh.index.rows]).to eq([was[0]["index"], was[1]])
      first, second = was[1].first(2).map { |row| row["cell_id"] }
      cells("move", cells: [first], dx: 30, dy: 0)
      cells("move", cells: [second], dx: 30, dy: 0)
      take(0, part: "cell", id: first)
      expect(fresh.index.rows.map { |row| row == was[1][row["number"] - 1] }.first(3)).to eq([true, false, true])
      App::BookChanges.new(fresh).undo
      expect(fresh.index.rows[0]["moved"]).to be(true)
    end

    it "brings back a layer and a sheet that are gone" do
      removed = book.index.rows[1]
      change({"layers" => book.document["layers"].first(1)})
      cells("remove", cells: [removed["cell_id"]])
      take(0, part: "layer", id: "dams")
      expect(fresh.layers.map(&:key)).to eq(%w[area dams])
      take(0, part: "cell", id: removed["cell_id"])
      expect(fresh.index.rows.last).to eq(removed.merge("number" => book.index.rows.length))
    end

    it "is refused in words where there was none, or where its name is taken" do
      first, second = book.index.rows.first(2)
      cells("rename", cells: [first["cell_id"]], name: "Z9")
      cells("rename", cells: [second["cell_id"]], name: first["name"])
      {
        {part: "cell", id: first["cell_id"]} => /A sheet is called #{first["name"]} today/,
        {part: "cell", id: 9999} => /no such sheet/,
        {part: "layer", id: "peat"} => /no layer “peat”/,
        {part: "title"} => /part/
      }.each do |wanted, words|
        send_json(:post, "#{base}/history/0/take", wanted)
        expect([last_response.status, answer["message"]]).to match([422, words])
      end
    end
  end

  it "names versions, which stay through everything" do
    worked_on
    send_json(:post, "#{base}/versions", {position: 3, name: "As sent to print"})
    expect(answer["versions"]).to match([include("position" => 3, "name" => "As sent to print")])
    send_json(:post, "#{base}/versions", {position: 4, name: "As sent to print"})
    expect(answer["message"]).to match(/a version called “As sent to print” already/)
    send_json(:post, "#{base}/versions", {position: 40, name: "Never"})
    expect(last_response.status).to eq(404)
    delete("#{base}/versions/#{App::NamedVersion.first.id}", {}, "HTTP_HOST" => "localhost")
    expect(answer["versions"]).to eq([])
  end

  it "says what differs in words, and which pages are drawn otherwise" do
    worked_on
    layers = document_of(book)["layers"]
    layers[1]["rules"][0]["symbol"]["marker"]["size_mm"] = 5
    position = fresh.edit_position
    change({"layers" => layers})
    ask("#{base}/history/#{position}/differences")
    expect(answer["differences"]).to match(
      [include("part" => /\ALayers › Dams › Rules › .* › Symbol › Marker › Size, mm\z/, "after" => "5")]
    )
    ask("#{base}/history/0/differences?with=3")
    expect(answer["differences"]).to eq(
      [{"part" => "Title", "what" => "changed", "before" => "“Test moss”", "after" => "“Wet moss”"}]
    )
    first = book.index.rows.first["name"]
    expect(answer["cells"]).to include("changed" => ["Z9"], "renamed" => ["#{first} → Z9"], "added" => [])
    expect(answer["pages"]).to include({"name" => "Z9", "before" => 1, "after" => 1})
    # The sheets behind the first one say the same, but that their neighbour is called otherwise.
    differs =
      [1, book.index.rows.length].map do |number|
        ask("#{base}/history/2/differences/drawing?with=3&was=#{number}&is=#{number}")
        answer["differs"]
      end
    expect(differs).to eq([true, false])
  end

  it "remembers behind which step an export was made" do
    change({"title" => "Wet moss"})
    run = App::PressOrder.new(fresh, {"sheets" => "1"}).place
    change({"title" => "Dry moss"})
    expect(App::History.new(fresh).book_at(run.position).title).to eq("Wet moss")
    run.finish("done")
    steps
    expect(answer["runs"]).to match([include("id" => run.id, "position" => 1)])
  end

  describe "when it is old" do
    def age(days) = App::Edit.update_all(created_at: Time.now.utc.beginning_of_hour - days * 86_400)

    it "is merged by hour, but for named versions and exports, and leads to the same" do
      seen = worked_on
      send_json(:post, "#{base}/versions", {position: 4, name: "Kept"})
      expect(App::Sweep.new.history).to be_nil
      age(40)
      App::Edit.where("position > 7").update_all(created_at: Time.now.utc - 40 * 86_400 - 3 * 3600)
      expect(App::Sweep.new.history).to match(/\A\d old steps: merged with others in the history of books/)
      left = App::Edit.order(:position).pluck(:position)
      expect(left).to include(4, 10)
      expect(left.length).to be < 9
      seen.each do |position, was|
        next unless left.include?(position)
        expect(state(App::History.new(fresh).book_at(position))).to eq(was), "behind #{position}"
      end
      merged = App::Edit.where("steps > 1").first
      expect(merged).to have_attributes(state: "step", label: /, /)
      expect(App::Edit.sum(:steps)).to eq(10)
      expect(App::Sweep.new.history).to be_nil
    end
  end
end
