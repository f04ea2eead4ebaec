# frozen_string_literal: true

require "app_helper"
require_relative "../support/hostile_values"
require_relative "../support/rasters"

# A book goes out as a file and comes in again with all that it is. CARRIED_CASES, CARRIED_SEED for more by hand.
RSpec.describe "A book that is carried elsewhere" do
  before { empty_database }

  def exported(book)
    ask("/api/books/#{book.id}/file")
    expect(last_response.status).to eq(200), last_response.body
    last_response.body.dup.force_encoding("UTF-8")
  end

  def opened(text)
    post("/api/books", text, "HTTP_HOST" => "localhost", "CONTENT_TYPE" => "application/json")
    expect(last_response.status).to eq(201), last_response.body
    App::Book.find(answer["id"])
  end

  def deed(book, **wanted)
    send_json(
      :post,
      "/api/books/#{book.id}/cells",
      {revision: App::Book.where(id: book.id).pick(:revision), **wanted}
    )
    last_response.status
  end

  def cells(book) = App::Book.find(book.id).index.rows.map { |row| row.except("cell_id") }

  def ids(book) = App::Book.find(book.id).index.rows.map { |row| row["cell_id"] }

  # First, middle and last sheet, as the core draws them.
  def pages(document, source)
    list = document.cells(source)
    list
      .values_at(0, list.length / 2, -1)
      .compact
      .uniq
      .map do |cell|
        book_page = document.run(source).book_page(cell.number)
        composer = TileLoom::Compose::Composers.of(document, source, book_page, count: list.length)
        TileLoom::Output::Svg.new(composer.drawing, size: false).to_s
      end
  end

  # bin/loom's way.
  def in_the_core(text)
    folio = TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.parse(text))
    source = folio.source
    pages(folio.document, source)
  end

  def in_the_application(book) = App::Book.find(book.id).then { |fresh| pages(fresh.core, fresh.source) }

  it "brings its cells as they were moved, dropped, added, renamed, rescaled, pinned and put in another order" do
    book = kept_book
    first, second, third, fourth = ids(book)
    expect(deed(book, do: "move", cells: [first], dx: 33.3, dy: -21.7)).to eq(200)
    expect(deed(book, do: "rename", cells: [second], name: "Quarry")).to eq(200)
    expect(deed(book, do: "remove", cells: [third])).to eq(200)
    expect(deed(book, do: "scale", cells: [fourth], scale: 1250)).to eq(200)
    expect(deed(book, do: "add", x: 402_500, y: 6_528_400)).to eq(200)
    expect(deed(book, do: "place", cells: [second], place: 1)).to eq(200)
    text = exported(book)
    by_hand = JSON.parse(text)["index"]["by_hand"]
    expect(by_hand["gone"].length).to eq(1)
    expect(by_hand["cells"].map { |entry| entry["name"] }).to include("Quarry")
    copy = opened(text)
    expect(cells(copy)).to eq(cells(book))
    kept = by_hand["cells"].filter_map { |entry| entry["id"] }
    expect(ids(copy) & kept).to match_array(kept)
    expect(ids(copy).uniq.length).to eq(ids(copy).length)
    expect(JSON.parse(exported(copy))).to eq(JSON.parse(text))
    expect(in_the_core(text)).to eq(in_the_application(book))
    # A cell that is added then has an id of its own.
    expect(deed(copy, do: "add", x: 402_600, y: 6_528_500)).to eq(200)
    expect(ids(copy).uniq.length).to eq(ids(copy).length)
  end

  it "says nothing of cells that are as they are generated, however they came about" do
    book = kept_book
    expect(JSON.parse(exported(book))["index"]).not_to have_key("by_hand")
    expect(deed(book, do: "move", cells: [ids(book).first], dx: 10, dy: 0)).to eq(200)
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(JSON.parse(exported(book))["index"]).not_to have_key("by_hand")
  end

  it "says that the frame or the data are others since its cells were generated" do
    book = kept_book
    frame = book.layout.frame_box
    elements = document_of(book)["layout"]["elements"]
    elements.find { |element| element["kind"] == "map_frame" }["place"]["right_mm"] += 20
    App::BookChanges.new(App::Book.find(book.id)).apply({"layout" => {"elements" => elements}}, label: "Frame")
    state = App::IndexState.new(App::Book.find(book.id))
    expect(state.changed).to eq(["frame"])
    text = exported(book)
    expect(JSON.parse(text)["index"]["by_hand"]["frame_mm"]).to eq([frame.width, frame.height].map { |mm| mm.round(3) })
    copy = opened(text)
    expect(App::IndexState.new(copy).changed).to eq(["frame"])
    expect(cells(copy)).to eq(cells(book))
    expect(JSON.parse(exported(copy))).to eq(JSON.parse(text))
  end

  it "refuses what was done to cells where settings of the index are asked for" do
    book = kept_book
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {patch: {index: {by_hand: {gone: ["A1"]}}}, revision: book.revision}
    )
    expect([last_response.status, answer["path"]]).to eq([422, "/index/by_hand"])
  end

  describe "as an archive with everything" do
    include ::Rasters

    around { |example| with_folder { example.run } }

    def worked_off = Delayed::Worker.new(quiet: true).work_off(20)

    def archived(book)
      send_json(:post, "/api/books/#{book.id}/file", {})
      expect(last_response.status).to eq(202), last_response.body
      worked_off
      ask("/api/books/#{book.id}/index/runs/#{answer["run"]["id"]}")
      expect([answer["state"], answer["answer"]["notices"]]).to eq(["done", []]), last_response.body
      path = "#{folder}/book-#{book.id}.tileloom.zip"
      File.binwrite(path, ask(answer["answer"]["path"]).body)
      path
    end

    def sent(path, name: File.basename(path))
      file = Rack::Test::UploadedFile.new(path, "application/zip", true, original_filename: name)
      post("/api/starts?opens=1", {file: file}, "HTTP_HOST" => "localhost")
      answer
    end

    def opened_archive(path)
      start = sent(path)
      expect(last_response.status).to eq(201), last_response.body
      worked_off
      ask("/api/starts/#{start["id"]}")
      expect([answer["state"], answer["reason"]]).to eq(["done", nil])
      App::Book.find(answer["book"])
    end

    def brought_pixels(book)
      picture = geotiff("flight", smooth(200, 100), "EPSG:25829", [402_100, 6_528_700, 402_300, 6_528_600])
      arrival = App::Arrival.accept(File.open(picture, "rb"), book_id: book.id, name: "flight.tif")
      App::InspectArrivalJob.new(arrival.id).perform
      name = arrival.reload.report.sole["name"]
      arrival.import([name], choice: {"layers" => [{"name" => name, "title" => "Flight"}]})
      App::ImportArrivalJob.new(arrival.id).perform
      expect(arrival.reload.state).to eq("done")
    end

    it "brings features, pixels and hand work, and its pages are the same, again and again" do
      book = kept_book
      brought_pixels(book)
      expect(deed(book, do: "move", cells: [ids(book).first], dx: 40, dy: 10)).to eq(200)
      expect(deed(book, do: "rename", cells: [ids(book)[1]], name: "Quarry")).to eq(200)
      path = archived(book)
      copy = opened_archive(path)
      expect(cells(copy)).to eq(cells(book))
      expect(copy.layers.map { |layer| [layer.key, layer.kind, layer.raster&.slice("width", "height")] }).to eq(
        App::Book.find(book.id).layers.map { |layer| [layer.key, layer.kind, layer.raster&.slice("width", "height")] }
      )
      drawn = in_the_application(book)
      expect(drawn.first).to include("<image")
      expect(in_the_application(copy) == drawn).to be(true)
      # The copy has all that it needs to be carried on.
      expect(File.binread(archived(copy)) == File.binread(path)).to be(true)
      unfolded = File.join(folder, "unfolded")
      Dir.mkdir(unfolded)
      folio = TileLoom::Document::BookZip.new(path).unfold(unfolded)
      source = folio.source
      expect(pages(folio.document, source) == drawn).to be(true)
    end

    it "is refused at once where it is no book, and leaves nothing where what is in it does not do" do
      File.write("#{folder}/a.txt", "no book")
      Zip::File.open("#{folder}/a.zip", create: true) { |zip| zip.add("a.txt", "#{folder}/a.txt") }
      sent("#{folder}/a.zip")
      expect([last_response.status, answer["message"]]).to match([422, /contains no book.json/])
      path = archived(kept_book)
      Zip::File.open(path) { |zip| zip.remove("data/dams.geojsons") }
      start = sent(path, name: "moor.tileloom.zip")
      before = App::Book.count
      worked_off
      ask("/api/starts/#{start["id"]}")
      expect([answer["state"], answer["reason"]]).to match(["failed", /moor.tileloom.zip does not hold/])
      expect([App::Book.count, Dir[File.join(App::Originals.folder, start["id"].to_s, "*")]]).to eq([before, []])
    end

    it "is stopped on its way, and nothing is left of it" do
      start = sent(archived(kept_book))
      before = App::Book.count
      allow_any_instance_of(App::LayerImport).to receive(:keep).and_wrap_original do |keep, *rest, **named|
        keep.call(*rest, **named).tap { App::Arrival.find(start["id"]).turn("cancelled") }
      end
      worked_off
      expect([App::Book.count, App::Arrival.find(start["id"]).state]).to eq([before, "cancelled"])
    end
  end

  describe "whatever it is" do
    seed = Integer(ENV.fetch("CARRIED_SEED", "7"))
    cases = Integer(ENV.fetch("CARRIED_CASES", "20"))

    # What names a sheet: an order, a page before it, a label that was moved on it.
    def name_a_sheet(book, random)
      fresh = App::Book.find(book.id)
      name = fresh.index.rows.sample(random: random)&.fetch("name") or return
      title = {"title" => "Notes", "id" => "notes", "layout" => fresh.document["layout"].merge("elements" => [])}
      label = {"layer" => "dams", "rule" => "code", "feature" => {"field" => "code", "value" => "D3"}}
      patch = {
        "orders" => [{"name" => "One", "sheets" => name}],
        "pages" => [title.merge("place" => "before_sheet", "sheet" => name)],
        "labels_by_hand" => [label.merge("sheet" => name, "offset_mm" => [3, 4])],
        "layers" =>
          fresh.document["layers"].map do |layer|
            (layer["id"] == "dams") ? layer.merge("labels" => [{"id" => "code", "field" => "code"}]) : layer
          end
      }
      send_json(:patch, "/api/books/#{book.id}", {patch: patch, revision: fresh.revision})
      expect(last_response.status).to eq(200), last_response.body
    end

    def some_deed(book, random)
      number = ids(book).sample(random: random) or return
      case random.rand(7)
      when 0
        deed(book, do: "move", cells: [number], dx: random.rand(-400.0..400.0), dy: random.rand(-400.0..400.0))
      when 1
        deed(book, do: "rotate", cells: [number], rotation_deg: random.rand(-90.0..90.0))
      when 2
        deed(book, do: "scale", cells: [number], scale: [1000, 2500, 3333.3][random.rand(3)])
      when 3
        deed(book, do: "remove", cells: [number])
      when 4
        deed(book, do: "add", x: 402_000 + random.rand(2000.0), y: 6_528_000 + random.rand(1000.0))
      when 5
        deed(book, do: "rename", cells: [number], name: "Sheet #{random.rand(1000)}")
      else
        deed(book, do: "place", cells: [number], place: random.rand(1..3))
      end
    end

    cases.times do |index|
      it "is the same again, and its pages by the application and by the core: seed #{seed + index}" do
        random, values = Random.new(seed + index), HostileValues.new(seed + index)
        book = kept_book(scale: [2000, 2500, 4000][random.rand(3)])
        6.times do
          document = values.disturbed(App::Book.find(book.id).document)
          patch = document.is_a?(Hash) ? document.reject { |key, value| book.document[key] == value } : {}
          send_json(
            :patch,
            "/api/books/#{book.id}",
            {patch: patch, revision: App::Book.where(id: book.id).pick(:revision)}
          )
          some_deed(book, random)
        end
        name_a_sheet(book, random)
        text = exported(book)
        copy = opened(text)
        expect(cells(copy)).to eq(cells(book))
        expect(JSON.parse(exported(copy))).to eq(JSON.parse(text))
        drawn = in_the_application(book)
        expect(in_the_application(copy) == drawn).to be(true)
        expect(in_the_core(text) == drawn).to be(true)
      end
    end
  end
end
