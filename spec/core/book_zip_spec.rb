# frozen_string_literal: true

require "open3"
require "zip"

# A book with everything in one archive. What it holds is read by GDAL's ogrinfo as well.
RSpec.describe TileLoom::Document::BookZip do
  around { |example| Dir.mktmpdir { |folder| Dir.chdir(folder) { example.run } } }

  # A book of a file with gaps in the numbers of its features, a picture and hand work.
  def carrier(settings = small_settings(scale: 5000))
    document = TileLoom::Document::Book.new(settings)
    TileLoom::Document::CarriedFolio.new(TileLoom::Document::Folio.new(nil, document))
  end

  def written(carrier, file = "book.tileloom.zip")
    writer = TileLoom::Document::BookZipWriter.new(carrier)
    File.open(file, "wb") { |io| writer.write(io) }
    [file, writer]
  end

  def opened(file)
    folder = "out-#{Dir.children(".").length}"
    Dir.mkdir(folder)
    described_class.new(file).unfold(folder)
  end

  # An archive of the written one's entries, changed by the block: [[name, bytes, link?]].
  def tampered(file)
    list = Zip::File.open(file) { |zip| zip.entries.map { |entry| [entry.name, entry.get_input_stream.read] } }
    File.delete(file)
    entries = yield(list)
    Zip::File.open(file, create: true) do |zip|
      entries.each { |name, bytes| zip.get_output_stream(name) { |io| io.write(bytes) } }
    end
    file
  end

  def area(features)
    {
      **collection_in("EPSG:25829"),
      "features" =>
        features.map do |id, west, name|
          ring = [[west, 0], [west + 500, 0], [west + 500, 500], [west, 500], [west, 0]]
          ring = ring.map { |x, y| [402_000 + x, 6_528_000 + y] }
          {
            "type" => "Feature",
            "id" => id,
            "properties" => {
              "name" => name,
              "mixed" => (name == "B") ? 5 : "five",
              "list" => [1, {"a" => nil}]
            },
            "geometry" => {
              "type" => "Polygon",
              "coordinates" => [ring]
            }
          }
        end
    }
  end

  def book_of(features, **changes)
    settings = small_settings(scale: 5000, **changes)
    settings["layers"][0]["data"] = {"collection" => area(features)}
    settings
  end

  it "brings features back with their numbers, values of any type and every digit" do
    file, = written(carrier(book_of([[3, 0.123456789012, "A"], [17, 700, "B"], [18, 1400, "C"]])))
    features = opened(file).source.features("area", nil)
    expect(features.map(&:id)).to eq([3, 17, 18])
    expect(features.map { |feature| feature.attributes["mixed"] }).to eq(["five", 5, "five"])
    # A list is written as text, as it is when a file is imported.
    expect(features[0].attributes["name"]).to eq("A")
    west = TileLoom::Geometry::Wkb.extent([features[0].wkb]).min_x
    expect(west).to eq(402_000.123456789012)
    said, status = Open3.capture2e("ogrinfo", "-ro", "-so", "-al", "/vsizip/#{file}/data/area.geojsons")
    expect([status.success?, said]).to match([true, /Feature Count: 3/])
  end

  it "is the same bytes again when it is written again" do
    file, = written(carrier(book_of([[1, 0, "A"], [2, 700, "B"]], date: "2026-04-01")))
    again, = written(TileLoom::Document::CarriedFolio.new(opened(file)), "again.zip")
    expect(File.binread(again) == File.binread(file)).to be(true)
  end

  it "takes a typeface, a picture and pixels with what lies beside them along, as files of their kind" do
    demo = TileLoom::Document::Folio.read(SmallBooks::DEMO)
    settings = demo.document.settings
    png = File.binread(Dir[File.join(TileLoom::ROOT, "docs/screenshots/*.png")].first)
    keep =
      settings["layers"].select do |entry|
        %w[restoration-area land-cover].include?(entry["id"]) || entry["id"] == settings["index"]["area"]
      end
    changed =
      settings.merge(
        "layers" => keep,
        "pictures" => [{"id" => "shot", "title" => "Shot", "data" => [png].pack("m0")}],
        "looks" => [],
        "labels_by_hand" => []
      )
    folio = TileLoom::Document::Folio.new(SmallBooks::DEMO, TileLoom::Document::Book.new(changed))
    file, writer = written(TileLoom::Document::CarriedFolio.new(folio))
    expect(writer.notices).to be_empty
    names = Zip::File.open(file) { |zip| zip.entries.map(&:name) }
    expect(names).to include("pictures/shot.png", "pixels/land-cover/1.tif", "pixels/land-cover/1.tif.aux.xml")
    copy = opened(file)
    picture = TileLoom::Assets::Enclosure.new(copy.document.settings["pictures"][0])
    expect(copy.document.enclosures.bytes(picture) == png).to be(true)
    expect(File.binread(copy.files(copy.document.layers.find(&:raster?)).first)).to eq(
      File.binread(File.join(File.dirname(SmallBooks::DEMO), "skarrow-moss/land-cover.tif"))
    )
  end

  {
    "without a document" => [->(list) { list.reject { |entry| entry.first == "book.json" } }, /contains no book.json/],
    "with a path that leads out" => [->(list) { list + [%w[../evil x]] }, /outside|leads/],
    "with an absolute path" => [->(list) { list + [%w[%tmp/evil x]] }, /outside|leads/],
    "with a hidden file" => [->(list) { list + [%w[data/.profile x]] }, /not a plain file/],
    "with two names that differ by case" => [->(list) { list + [%w[DATA/area.geojsons x]] }, /twice/],
    "with a file where a folder is" => [->(list) { list + [%w[data x]] }, /twice/],
    "without a file that it names" => [
      ->(list) { list.reject { |name, _| name.start_with?("data/") } },
      /does not hold/
    ],
    "that names a file of the machine" => [
      ->(list) { list.map { |name, text| [name, text.gsub("data/area.geojsons", "/etc/passwd")] } },
      /does not hold|leads/
    ],
    "that names a file above" => [
      ->(list) do
        list.map { |name, text| [name, (name == "book.json") ? text.gsub("data/area", "data/../../data/area") : text] }
      end,
      /does not hold/
    ],
    "whose document is none" => [
      ->(list) { list.map { |name, text| [name, (name == "book.json") ? "{" : text] } },
      /not JSON|no JSON/
    ]
  }.each do |name, (change, sentence)|
    it "refuses an archive #{name}" do
      file, = written(carrier(book_of([[1, 0, "A"]])))
      tampered(file, &change)
      # rubyzip writes no absolute names.
      File.binwrite(file, File.binread(file).gsub("%tmp/evil", "/tmp/evil"))
      expect { opened(file) }.to invalid(sentence)
      expect(File.exist?("/tmp/evil")).to be(false)
    end
  end

  # PKWARE APPNOTE, 4.4.15: a link stands among the external attributes.
  it "refuses a symbolic link, and what is no archive" do
    file, = written(carrier(book_of([[1, 0, "A"]])))
    File.symlink("/etc/passwd", "link")
    Zip::File.open(file) { |zip| zip.add("link", "link") }
    expect(Zip::File.open(file) { |zip| zip.find_entry("link").ftype }).to eq(:symlink)
    expect { opened(file) }.to invalid(/not a plain file/)
    File.write("no.zip", "PK nothing")
    expect { opened("no.zip") }.to invalid(/zip/)
    expect(described_class.book?("no.zip")).to be(false)
  end

  # 200 MB of zeros in 200 kB.
  it "refuses what unfolds out of all proportion" do
    file, = written(carrier(book_of([[1, 0, "A"]])))
    tampered(file) { |list| list + [["data/zeros", "0" * (200 * 1024**2)]] }
    expect { opened(file) }.to invalid(/unfold/)
  end
end
