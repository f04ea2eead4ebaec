# frozen_string_literal: true

require "app_helper"

# Layers of pixels on their way in, through the application.
RSpec.describe App::RasterImport do
  include Rasters

  before { empty_database }

  around { |example| with_folder { example.run } }

  let(:book) { kept_book }
  let(:picture) { geotiff("flight", smooth(400, 300), "EPSG:25829", [402_100, 6_528_700, 402_300, 6_528_550]) }

  def work = Delayed::Worker.new(quiet: true, exit_on_complete: true).start

  def sent(path, name = File.basename(path), beside: [], **more)
    upload = ->(file, called) do
      Rack::Test::UploadedFile.new(file, "application/octet-stream", original_filename: called)
    end
    parts = {"file" => upload.call(path, name), **more.transform_keys(&:to_s)}
    parts["beside"] = beside.map { |file| upload.call(file, File.basename(file)) } if beside.any?
    post("/api/books/#{book.id}/arrivals", parts, "HTTP_HOST" => "localhost")
    expect(last_response.status).to eq(201), last_response.body
    work
    App::Arrival.find(answer["id"])
  end

  def kept(arrival, **more)
    layers = [{name: arrival.report.first["name"], title: "Flight", **more.slice(:taken_as)}]
    send_json(
      :post,
      "/api/books/#{book.id}/arrivals/#{arrival.id}/keep",
      {layers: layers, reference: more.fetch(:reference, "")}
    )
    expect(last_response.status).to eq(200), last_response.body
    work
    arrival.reload
  end

  def layer = App::Layer.where(book_id: book.id, removed: false, kind: "pixels").sole

  it "tells what is in a file before any of it is kept, then draws it below the others, as the core does" do
    arrival = sent(picture)
    told = arrival.report.sole
    expect(told).to include("reference" => "EPSG:25829", "title" => "flight")
    expect(told["pixels"]).to include(
      "width" => 400,
      "height" => 300,
      "bands" => 3,
      "guess" => "picture",
      "pixel_m" => [0.5, 0.5]
    )
    expect(told["pixels"]["small"]).to start_with("data:image/png;base64,")
    expect(App::Layer.where(kind: "pixels")).to be_empty
    expect(kept(arrival).state).to eq("done")
    expect(book.reload.document["layers"].map { |entry| entry["id"] }).to eq(%w[flight area dams])
    expect(Dir.children(App::Rasters.folder(layer.id))).to contain_exactly("pixels.tif", "raster.json")
    get("/api/books/#{book.id}/sheets/1.svg", {}, "HTTP_HOST" => "localhost")
    expect(last_response.body).to include('data-part="flight"').and include("data:image/png;base64,")
    get("/api/books/#{book.id}/layers/flight/value", {x: 402_100.75, y: 6_528_699.75}, "HTTP_HOST" => "localhost")
    its = tool("gdallocationinfo", "-valonly", "-geoloc", picture, "402100.75", "6528699.75").split.map(&:to_f)
    expect(answer["values"]).to eq(its)
  end

  it "takes what lies beside a picture along, and the parts of one picture as one layer" do
    west, east =
      [[402_100, 402_200, 0], [402_200, 402_300, 200]].map do |from, to, left|
        geotiff(
          "part-#{left}",
          smooth(400, 300).crop(left, 0, 200, 300),
          "EPSG:25829",
          [from, 6_528_700, to, 6_528_550]
        )
      end
    arrival = sent(west, beside: [east])
    expect(arrival.report.sole["pixels"]["files"]).to eq(2)
    kept(arrival)
    expect(layer.raster.values_at("width", "height")).to eq([400, 300])
    both = layer.prepared.window(layer.prepared.levels.first, 0, 0, 400, 300).first
    expect((both - smooth(400, 300)).abs.max).to be_zero
  end

  it "asks for the CRS of a picture whose world file alone says where it lies" do
    png = File.join(folder, "scan.png")
    smooth(200, 150).pngsave(png)
    File.write(File.join(folder, "scan.pgw"), "0.5\n0\n0\n-0.5\n402100.25\n6528699.75\n")
    arrival = sent(png, beside: [File.join(folder, "scan.pgw")])
    expect(arrival.report.sole).to include("reference" => nil, "asks_reference" => true)
    get("/api/books/#{book.id}/arrivals/#{arrival.id}/places", {}, "HTTP_HOST" => "localhost")
    expect(answer.values.sole.first).to include("code" => "EPSG:25829", "distance_m" => 0)
    expect(kept(arrival, reference: "EPSG:25829").state).to eq("done")
    expect(layer.extent.to_a).to eq([402_100, 6_528_625, 402_200, 6_528_700])
  end

  it "keeps the look when a newer file takes its place, brings the old one back by undo, and gives the room back" do
    kept(sent(picture))
    first = layer
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {
        label: "Look",
        revision: book.reload.revision,
        patch: {
          layers: [
            first.entry.merge("raster" => {"kind" => "picture", "brightness" => 20}),
            *book.document["layers"].drop(1)
          ]
        }
      }
    )
    expect(last_response.status).to eq(200), last_response.body
    newer = geotiff("newer", smooth(200, 100, seed: 9), "EPSG:25829", [402_100, 6_528_700, 402_300, 6_528_600])
    arrival = kept(sent(newer, replaces: "flight"))
    expect(arrival.remarks).to include("The raster was 400 × 300 and is 200 × 100.")
    expect(layer.entry["raster"]).to include("brightness" => 20)
    post("/api/books/#{book.id}/undo", "{}", {"CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost"})
    expect(layer.id).to eq(first.id)
    folders = App::Layer.where(book_id: book.id).map { |row| App::Rasters.folder(row.id) }
    expect(folders.count { |path| Dir.exist?(path) }).to eq(2)
    book.reload.discard
    expect(folders.select { |path| Dir.exist?(path) }).to be_empty
  end

  it "traces contours into a layer of their own" do
    places = Vips::Image.xyz(200, 200)
    cone = ((((places[0] - 99.5)**2) + ((places[1] - 99.5)**2))**0.5).linear(-1, 150).cast(:float)
    kept(sent(geotiff("cone", cone, "EPSG:25829", [402_100, 6_528_700, 402_300, 6_528_500])))
    send_json(:post, "/api/books/#{book.id}/layers/flight/contours", {interval: 10, every: 5, title: "Contours"})
    expect(last_response.status).to eq(201), last_response.body
    work
    expect(App::Arrival.last).to have_attributes(state: "done", reason: nil)
    lines = App::Layer.find_by!(book_id: book.id, key: "contours")
    heights =
      App::FeatureBatch
        .each_kept(lines)
        .flat_map { |batch| batch.map { |own| own.properties.values_at("height", "index") } }
        .to_set
    expect(heights).to include([100, true], [110, false], [140, false])
    send_json(:post, "/api/books/#{book.id}/layers/flight/contours", {interval: 10_000})
    expect(last_response.status).to eq(422)
  end

  it "goes out with the book without its pixels, comes in again, and says so" do
    kept(sent(picture))
    get("/api/books/#{book.id}/file", {}, "HTTP_HOST" => "localhost")
    text = last_response.body
    post("/api/books", text, {"CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost"})
    expect(last_response.status).to eq(201), last_response.body
    other = App::Book.find(answer["id"])
    expect(other.document["layers"].first).to include("id" => "flight", "raster" => {"kind" => "picture"})
    expect(App::Arrival.where(book_id: other.id).last.remarks).to eq(
      ["A book file does not carry the raster; update the layer from its file."]
    )
    get("/api/books/#{other.id}/sheets/1.svg", {}, "HTTP_HOST" => "localhost")
    expect(last_response.status).to eq(200)
  end

  it "lies where it should when the book is drawn in another CRS" do
    kept(sent(picture))
    before = layer.extent.to_a
    change =
      App::Reprojection.create!(book_id: book.id, target: "EPSG:32628", operations: [], state: "running", total: 1)
    box = App::ReprojectionWork.new(change).shapes.fetch(layer.id)
    transform =
      TileLoom::Crs::Transform.between(
        TileLoom::Crs::System.find("EPSG:25829"),
        TileLoom::Crs::System.find("EPSG:32628")
      )
    corner = transform.point(before[0], before[1])
    expect(corner).to match([be_between(box.min_x - 0.01, box.max_x), be_between(box.min_y - 0.01, box.max_y)])
  end

  it "keeps nothing of what cannot be drawn, and leaves no process behind" do
    files = {
      "cut.tif" => File.binread(picture, 20_000),
      "words.tif" => "no picture at all",
      "followed.tif" =>
        "<VRTDataset rasterXSize=\"1\" rasterYSize=\"1\"><VRTRasterBand dataType=\"Byte\" band=\"1\">" \
          "<SimpleSource><SourceFilename>#{picture}</SourceFilename></SimpleSource></VRTRasterBand></VRTDataset>",
      "service.png" =>
        "<GDAL_WMS><Service name=\"TMS\"><ServerUrl>http://127.0.0.1:1/${z}/${x}/${y}.png</ServerUrl></Service></GDAL_WMS>"
    }
    files.each do |name, bytes|
      path = File.join(folder, name)
      File.binwrite(path, bytes)
      arrival = sent(path)
      expect([name, arrival.state]).to eq([name, "failed"])
      expect(arrival.reason).to include(name)
    end
    expect(App::Layer.where(kind: "pixels")).to be_empty
    # Those that this process began work in folders that carry its number.
    expect(Open3.capture2("pgrep", "-f", "tile-loom-raster[0-9]+-#{Process.pid}-").first).to eq("")
  end
end
