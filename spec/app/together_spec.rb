# frozen_string_literal: true

require "app_helper"
require "vips"

# Several people, browsers and jobs at one book: nothing gets lost, nothing lands on another thing.
RSpec.describe "Together" do
  before { empty_database }

  let(:book) { kept_book }

  def fresh = App::Book.find(book.id)

  # Runs the blocks in threads with a connection each, at once.
  def at_once(*given)
    blocks = given.flatten
    gate = Queue.new
    threads =
      blocks.map do |block|
        Thread.new { gate.pop && block.call.tap { ActiveRecord::Base.connection_handler.clear_active_connections! } }
      end
    blocks.each { gate << true }
    threads.map(&:value)
  end

  # A request of a browser with a session, in any thread; [status, answer].
  def request(method, path, body = nil, session: nil, file: nil)
    browser = Rack::Test::Session.new(SERVER)
    env = {"HTTP_HOST" => "localhost", "HTTP_X_SESSION" => session}.compact
    given =
      if file
        {
          "file" =>
            Rack::Test::UploadedFile.new(StringIO.new(file[1]), "application/octet-stream", original_filename: file[0])
        }
      else
        JSON.generate(body || {})
      end
    browser.public_send(method.downcase, path, given, file ? env : env.merge("CONTENT_TYPE" => "application/json"))
    [browser.last_response.status, JSON.parse(browser.last_response.body)]
  end

  def title(text, session) =
    request("PATCH", "/api/books/#{book.id}", {patch: {title: text}, label: text}, session: session)

  def step(what, session) = request("POST", "/api/books/#{book.id}/#{what}", {}, session: session)

  svg = %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><path d="M0 0L10 10L0 10Z"/></svg>)

  describe "lists" do
    it "hold all of ten markers, faces and pictures that are added at once" do
      book
      answers =
        at_once(
          Array.new(10) { |i| -> { request("POST", "/api/books/#{book.id}/markers", file: ["mark#{i}.svg", svg]) } }
        )
      expect(answers.map(&:first)).to eq([201] * 10)
      expect(fresh.document["markers"].map { |marker| marker["id"] }.sort).to eq((0..9).map { |i| "mark#{i}" })
      png = ->(i) { Vips::Image.black(4 + i, 4).cast(:uchar).write_to_buffer(".png") }
      at_once(
        *Array.new(6) { |i| -> { request("POST", "/api/books/#{book.id}/pictures", file: ["pic#{i}.png", png[i]]) } }
      )
      expect(fresh.document["pictures"].length).to eq(6)
    end

    it "keep a name once that two save at once, and tell names apart to the letter" do
      book
      at_once(*Array.new(6) { -> { request("POST", "/api/books/#{book.id}/design/keep", {name: "Field"}) } })
      expect(App::KeptDesign.pluck(:name)).to eq(["Field"])
      %w[😀 😁 Ås As field].each { |name| request("POST", "/api/books/#{book.id}/design/keep", {name: name}) }
      expect(App::KeptDesign.pluck(:name)).to contain_exactly("Field", "😀", "😁", "Ås", "As", "field")
    end
  end

  describe "undo and redo" do
    it "leave no hole in the chain whatever runs at once" do
      5.times { |i| title("T#{i}", "sessionA") }
      work =
        Array.new(4) { -> { 5.times.map { step("undo", "sessionA")[0] } } } +
        Array.new(2) { -> { 5.times.map { step("redo", "sessionA")[0] } } } + [-> { title("new", "sessionA")[0] }]
      expect(at_once(*work).flatten.uniq - [200, 409]).to be_empty
      positions = App::Edit.where(book_id: book.id).order(:position).pluck(:position)
      expect(positions).to eq((1..fresh.edit_position).to_a)
      # The history, walked from its beginning, leads to the book as it is.
      first = App::History.new(fresh).at(0)
      walked = first.walked(App::Edit.where(book_id: book.id).order(:position).to_a, "forth")
      expect([first.document["title"], walked.document]).to eq(["Test moss", fresh.document])
    end

    it "cannot be put out of order in the database" do
      title("One", "sessionA")
      edit = App::Edit.last
      expect { App::Edit.create!(edit.attributes.except("id")) }.to raise_error(ActiveRecord::RecordNotUnique)
    end

    it "take back one's own changes, whatever others changed since" do
      title("Mine", "sessionA")
      request(
        "PATCH",
        "/api/books/#{book.id}",
        {patch: {subtitle: "Theirs"}, label: "Subtitle"},
        session: "sessionB"
      )
      expect(step("undo", "sessionA")).to match([200, include("undo" => nil, "redo" => "Mine")])
      expect([fresh.title, fresh.subtitle]).to eq(["Test moss", "Theirs"])
      expect(step("undo", "sessionB")).to match([200, include("undo" => nil, "redo" => "Subtitle")])
      expect(step("redo", "sessionA")).to match([200, include("undo" => "Mine", "redo" => nil)])
      expect([fresh.title, fresh.subtitle]).to eq(["Mine", ""])
    end

    it "say both values where someone else changed the same since, and leave it" do
      title("Mine", "sessionA")
      title("Theirs", "sessionB")
      expect(step("undo", "sessionA")).to match(
        [409, include("message" => /“Mine” was not undone .*it left “Title” at “Mine”.*set it to “Theirs”/)]
      )
      expect(fresh.title).to eq("Theirs")
      expect(step("undo", "sessionB")[0]).to eq(200)
      expect(step("undo", "sessionA")[0]).to eq(200)
      expect(fresh.title).to eq("Test moss")
    end

    it "tell the later of two whose value it replaced, and nobody else" do
      put = ->(text, session, seen) do
        request(
          "PATCH",
          "/api/books/#{book.id}",
          {operations: [{op: "replace", path: "/title", value: text}], label: "Title", seen: seen},
          session: session
        )
      end
      seen = fresh.edit_position
      expect(put.call("Mine", "sessionA", seen)[1]).not_to have_key("replaced")
      expect(put.call("Theirs", "sessionB", seen)[1]["replaced"]).to eq(
        ["“Title” is “Theirs” now; someone else had just made it “Mine”."]
      )
      expect(put.call("Again", "sessionB", fresh.edit_position)[1]).not_to have_key("replaced")
    end

    it "redo nothing that one has gone on from" do
      title("One", "sessionA")
      step("undo", "sessionA")
      title("Two", "sessionA")
      expect(step("redo", "sessionA")).to match([200, include("undo" => "Two", "redo" => nil)])
      expect(fresh.title).to eq("Two")
    end

    it "take back what is nobody's for anyone" do
      App::BookChanges.new(book).apply({"title" => "By a job"}, label: "Job")
      expect(step("undo", "sessionA")[0]).to eq(200)
    end
  end

  describe "cells" do
    def cells = fresh.index.rows

    def move(id, revision) =
      request("POST", "/api/books/#{book.id}/cells", {do: "move", cells: [id], dx: 30, dy: 0, revision: revision})

    it "are meant by an id that stays, so that a drag after another's removal moves the one that was dragged" do
      seen = fresh.revision
      first, dragged = cells.first(2)
      request("POST", "/api/books/#{book.id}/cells", {do: "remove", cells: [first["cell_id"]], revision: seen})
      expect(move(dragged["cell_id"], seen)).to match([409, include("message" => /changed elsewhere/)])
      expect(move(dragged["cell_id"], fresh.revision)[0]).to eq(200)
      expect(cells.find { |row| row["moved"] }).to include(
        "cell_id" => dragged["cell_id"],
        "name" => dragged["name"],
        "number" => 1
      )
      expect(move(first["cell_id"], fresh.revision)).to match([422, include("message" => /no longer in the index/)])
    end

    it "keep their ids through a rebuild, renaming and undo, and never share one that was used" do
      before = cells.to_h { |row| row.values_at("name", "cell_id") }
      App::BookChanges.new(book).apply({"index" => {"overlap_mm" => 12}}, label: "x")
      expect(cells.to_h { |row| row.values_at("name", "cell_id") }.slice(*before.keys)).to eq(before)
      App::BookChanges.new(fresh).apply({"index" => {"naming" => {"kind" => "numbers"}}}, label: "x")
      expect(cells.map { |row| row["cell_id"] }).to match_array(before.values)
      used = cells.map { |row| row["cell_id"] }
      App::BookChanges.new(fresh).apply({"index" => {"scale" => 5000}}, label: "x")
      expect(cells.map { |row| row["cell_id"] } & used).to be_empty
      3.times { App::BookChanges.new(fresh).undo }
      expect(cells.to_h { |row| row.values_at("name", "cell_id") }).to eq(before)
    end

    it "refuse places that no map shows, in words" do
      [{do: "move", dx: 9e8, dy: 9e8}, {do: "add", x: 9e8, y: 9e8}].each do |wanted|
        status, said =
          request(
            "POST",
            "/api/books/#{book.id}/cells",
            {cells: [cells.first["cell_id"]], revision: fresh.revision, **wanted}
          )
        expect([status, said["message"]]).to match([422, / be .*(outside|beyond)/]), wanted.inspect
      end
      status, =
        request(
          "POST",
          "/api/books/#{book.id}/cells",
          {do: "scale", cells: [cells.first["cell_id"]], scale: 1e-300, revision: fresh.revision}
        )
      expect(status).to eq(422)
    end
  end

  describe "cells that two have in the hand" do
    def cell(deed, session, seen, **more) =
      request("POST", "/api/books/#{book.id}/cells", {do: deed, seen: seen, **more}, session: session)

    it "go together where they are different ones, in whatever order, and are told where they are the same" do
      one, two, three = fresh.index.rows.first(3)
      seen = fresh.edit_position
      expect(cell("move", "sessionA", seen, cells: [one["cell_id"]], dx: 30, dy: 0)[0]).to eq(200)
      expect(cell("rename", "sessionB", seen, cells: [two["cell_id"]], name: "Z9")[0]).to eq(200)
      expect(cell("remove", "sessionA", seen, cells: [three["cell_id"]])[0]).to eq(200)
      expect(cell("move", "sessionA", seen, cells: [one["cell_id"]], dx: 5, dy: 0)[0]).to eq(200)
      expect(cell("move", "sessionB", seen, cells: [one["cell_id"]], dx: 5, dy: 0)).to match(
        [409, include("message" => /Sheet #{one["name"]} was changed by someone else in the meantime/)]
      )
      expect(fresh.index.rows.first(2).map { |row| row.values_at("name", "moved") }).to eq(
        [[one["name"], true], ["Z9", false]]
      )
    end
  end

  describe "cells that two change" do
    def cells = fresh.index.rows

    def cell(deed, session, **more) =
      request("POST", "/api/books/#{book.id}/cells", {do: deed, revision: fresh.revision, **more}, session: session)

    it "are undone each by who changed it, in either order" do
      first, second, third = cells.first(3).map { |row| row["cell_id"] }
      before = cells
      cell("move", "sessionA", cells: [first], dx: 30, dy: 0)
      cell("remove", "sessionB", cells: [second])
      cell("rename", "sessionA", cells: [third], name: "Z9")
      2.times { expect(step("undo", "sessionA")[0]).to eq(200) }
      expect(cells).to eq(
        before
          .reject { |row| row["cell_id"] == second }
          .each_with_index
          .map { |row, place| row.merge("number" => place + 1) }
      )
      expect(step("undo", "sessionB")[0]).to eq(200)
      expect(cells).to eq(before)
    end

    it "say whose sheet it is where both changed the same" do
      first = cells.first
      cell("move", "sessionA", cells: [first["cell_id"]], dx: 30, dy: 0)
      cell("rename", "sessionB", cells: [first["cell_id"]], name: "Z9")
      expect(step("undo", "sessionA")[0]).to eq(200)
      expect(cells.first.values_at("name", "centre_x")).to eq(["Z9", first["centre_x"]])
      step("redo", "sessionA")
      cell("move", "sessionB", cells: [first["cell_id"]], dx: 0, dy: 30)
      cell("move", "sessionB", cells: [first["cell_id"]], dx: 5, dy: 0)
      expect(step("undo", "sessionA")).to match(
        [409, include("message" => /centre easting of sheet Z9 at [\d.]+, and someone else has since set it to [\d.]+/)]
      )
    end
  end

  describe "an import while the reference is being changed" do
    def work = App::Worker.new(quiet: true, exit_on_complete: true).start

    def arrive
      file = [
        "hags.geojson",
        JSON.generate(
          {
            "type" => "Feature",
            "properties" => {},
            "geometry" => {
              "type" => "Point",
              "coordinates" => [-10.7, 58.87]
            }
          }
        )
      ]
      id = request("POST", "/api/books/#{book.id}/arrivals", file: file, session: "sessionA")[1]["id"]
      work
      request("POST", "/api/books/#{book.id}/arrivals/#{id}/keep", {layers: [{name: "original", title: "Hags"}]})
      App::Arrival.find(id)
    end

    it "waits, and comes in in the new one" do
      arrival = arrive
      App::ReferenceChange.start(fresh, "EPSG:32629")
      App::WorkQueue.jobs(:reprojection).update_all(run_at: Time.now.utc + 60)
      work
      expect(arrival.reload.state).to eq("importing")
      Delayed::Job.update_all(run_at: Time.now.utc - 1)
      App::WorkQueue.jobs(:reprojection).update_all(priority: 0)
      work
      Delayed::Job.update_all(run_at: Time.now.utc - 1)
      work
      expect([arrival.reload.state, fresh.reference]).to eq(%w[done EPSG:32629])
      shape = TileLoom::Geometry::Wkb.each_run(drawn(App::Layer.find_by!(key: "hags")).first.wkb).first[1]
      theirs = transverse_mercator(-10.7, 58.87, central: -9, ellipsoid: [6_378_137, "1/298.257223563"])
      expect(shape).to match([be_within(0.5).of(theirs[:x]), be_within(0.5).of(theirs[:y])])
      expect(App::Edit.last.session).to eq("sessionA")
    end

    it "is brought in anew by itself where the change began in its middle and was quicker" do
      arrival = arrive
      changed = false
      allow(TileLoom::Data::FileReader).to receive(:open).and_wrap_original do |original, *args, **options|
        original
          .call(*args, **options)
          .tap do
            next if changed
            changed = true
            App::ReferenceChange.start(fresh, "EPSG:32629")
            App::ReprojectionJob.new(App::Reprojection.last.id).perform
          end
      end
      App::ImportArrivalJob.new(arrival.id).perform
      expect(
        [arrival.reload.state, fresh.reference, App::Layer.where(key: "hags").count, App::Reprojection.last.state]
      ).to eq(["done", "EPSG:32629", 1, "done"])
    end
  end
end
