# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Starts do
  before { empty_database }

  def work = App::Worker.new(quiet: true, exit_on_complete: true).start

  def send_file(bytes, name)
    post(
      "/api/starts",
      {
        "file" => Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", original_filename: name)
      },
      "HTTP_HOST" => "localhost"
    )
    return answer if last_response.status != 201
    work
    ask("/api/starts/#{answer["id"]}").then { answer }
  end

  def wanted(start, area: nil, **more) =
    {
      layers: start["report"].map { |layer| layer.slice("name", "title") },
      area: area || start["report"].first["name"],
      **more
    }

  def propose(start, **more) =
    send_json(:post, "/api/starts/#{start["id"]}/proposal", wanted(start, **more)).then { answer }

  def make(start, **more)
    send_json(:post, "/api/starts/#{start["id"]}/book", wanted(start, **more))
    return answer if last_response.status != 202
    work
    ask("/api/starts/#{start["id"]}").then { answer }
  end

  island =
    JSON.generate(
      {
        "type" => "Polygon",
        "coordinates" => [[[-10.70, 58.86], [-10.68, 58.86], [-10.68, 58.87], [-10.70, 58.87], [-10.70, 58.86]]]
      }
    )

  it "looks into the file, proposes a scale with its neighbours and their counts, and makes that book" do
    start = send_file(island, "new_moss.geojson")
    expect(start).to include(
      "state" => "ready",
      "book" => nil,
      "suggestions" => include(include("code" => "EPSG:32629"))
    )
    proposal = propose(start)
    expect(proposal["reference"]).to include("code" => "EPSG:32629")
    scales = proposal["scales"]
    expect([scales.length, scales[1]["scale"], scales[1]["count"]]).to match(
      [3, proposal["proposed"], be_between(6, 60)]
    )
    made = make(start, scale: proposal["proposed"])
    expect(made).to include("state" => "done", "book" => Integer)
    book = App::Book.find(made["book"])
    expect([book.title, book.reference, book.index.settings["scale"], book.index.rows.length]).to eq(
      ["new moss", "EPSG:32629", proposal["proposed"], scales[1]["count"]]
    )
    # The neighbours' counts are what those scales make.
    [0, 2].each do |at|
      expect(
        book
          .answer(
            with: App::MergePatch.apply(book.document, {"index" => {"scale" => scales[at]["scale"]}}),
            afresh: true
          )
          .cells
          .length
      ).to eq(scales[at]["count"])
    end
    ask("/api/books/#{book.id}/sheets/1.svg")
    expect(last_response.body).to include(">new moss<")
    expect(ask("/api/books").then { answer.map { |one| one["id"] } }).to eq([book.id])
    expect(App::Arrival.last).to have_attributes(book_id: book.id)
  end

  # ISO 216: A4 has half the area of A3, so that it takes more sheets, or a smaller scale.
  it "counts on the page that is chosen, and takes any scale" do
    start = send_file(island, "a.geojson")
    large, small =
      %w[A3 A4].map do |size|
        propose(start, page: {size: size, orientation: "portrait"})["scales"].to_h do |entry|
          entry.values_at("scale", "count")
        end
      end
    shared = (large.keys & small.keys).select { |scale| large[scale] && small[scale] }
    expect(shared).not_to be_empty
    shared.each { |scale| expect(small[scale]).to be > large[scale] }
    book =
      App::Book.find(
        make(
          start,
          page: {
            size: "A5",
            orientation: "portrait"
          },
          scale: 3000,
          title: "Pocket",
          reference: "EPSG:25829"
        )[
          "book"
        ]
      )
    expect([book.title, book.reference, book.document["layout"]["page"]["size"], book.index.settings["scale"]]).to eq(
      ["Pocket", "EPSG:25829", "A5", 3000]
    )
  end

  it "takes whatever Ground imports: several layers of a GeoPackage, in the file's own reference" do
    Dir.mktmpdir do |folder|
      path = "#{folder}/moor.gpkg"
      %w[restoration-area dams].each do |name|
        outside(
          "ogr2ogr",
          "-f",
          "GPKG",
          "-update",
          "-append",
          "-t_srs",
          "EPSG:25829",
          "-nln",
          name,
          path,
          File.join(TileLoom::ROOT, "demo/skarrow-moss/#{name}.geojson")
        )
      end
      start = send_file(File.binread(path), "moor.gpkg")
      expect([start["report"].map { |layer| layer["name"] }, start["suggestions"].first]).to match(
        [%w[restoration-area dams], include("code" => "EPSG:25829", "reason" => "as the file has it")]
      )
      book = App::Book.find(make(start, area: "dams")["book"])
      expect(book.layers.map { |layer| [layer.key, layer.kind] }).to eq([%w[dams point], %w[restoration-area area]])
      expect([book.index.settings["area"], book.index.rows.length]).to match(["dams", be_between(6, 60)])
    end
  end

  it "asks for columns and reference as Ground does" do
    start = send_file("name,a,b\nA,403000.5,6528000.25\nB,404000,6529000\n", "posts.csv")
    expect(start["report"].first["asks_columns"]).to be(true)
    expect(make(start)["message"]).to match(/has no columns of places yet/)
    send_json(:post, "/api/starts/#{start["id"]}/columns", {columns: {x: "a", y: "b"}})
    work
    start = ask("/api/starts/#{start["id"]}").then { answer }
    expect(propose(start)["problem"]).to match(/Name the CRS of the book/)
    expect(propose(start, file_reference: "EPSG:25829")).to include(
      "proposed" => Integer,
      "suggestions" => include(include("code" => "EPSG:25829"))
    )
    expect(App::Book.find(make(start, file_reference: "EPSG:25829")["book"]).index.rows.length).to be >= 2
  end

  {
    "degrees" => [{reference: "EPSG:4326"}, /degrees, so sheets cannot have a fixed scale/],
    "an unknown reference" => [{reference: "EPSG:0"}, /not a CRS/],
    "an unknown page" => [{page: {size: "B17"}}, /B17/],
    "no layer" => [{layers: []}, /Choose at least one/],
    "another study area" => [{area: "x"}, /must be one of the layers/]
  }.each do |name, (more, sentence)|
    it "keeps nothing of a book that asks for #{name}" do
      start = send_file(island, "a.geojson")
      send_json(:post, "/api/starts/#{start["id"]}/book", wanted(start).merge(more))
      expect([last_response.status, answer["message"]]).to match([422, sentence])
      expect([App::Book.count, Delayed::Job.count, App::Arrival.last.state]).to eq([0, 0, "ready"])
    end
  end

  it "says what cannot be generated, leaves the file ready, and lists no half book" do
    start = send_file(island, "a.geojson")
    made = make(start, scale: 1)
    expect(made).to include("state" => "ready", "reason" => match(/would make/))
    expect([App::Book.count, App::Layer.count, App::FeatureBatch.count]).to eq([0, 0, 0])
  end

  it "is stopped in the middle, and removed when its worker died" do
    start = send_file(island, "a.geojson")
    send_json(:post, "/api/starts/#{start["id"]}/book", wanted(start))
    allow_any_instance_of(App::LayerImport).to receive(:keep) { raise SignalException, "KILL" }
    App::Worker.new(quiet: true).work_off(1)
    expect([App::Book.count, Delayed::Job.pluck(:attempts)]).to eq([0, [0]])
    half = {"title" => "half", "crs" => "EPSG:25829", "layers" => []}
    App::Book.create!(document: half, making: true)
    Delayed::Job.delete_all
    expect(App::Sweep.new.books).to match(/1 half-made book/)
    expect(ask("/api/books").then { answer }).to eq([])
    send_json(:post, "/api/starts/#{start["id"]}/cancel", {})
    expect(answer["state"]).to eq("cancelled")
  end
end
