# frozen_string_literal: true

require "json_schemer"

RSpec.describe TileLoom::Document do
  def findings(**changes) =
    TileLoom::Document::Check.new(deep_merge(demo_settings, JSON.parse(JSON.generate(changes)))).findings

  it("finds nothing wrong in the demo book") { expect(findings).to be_empty }

  it "publishes a schema that is itself valid JSON Schema" do
    published = File.read(File.join(TileLoom::ROOT, "docs/book.schema.json"))
    expect(JSONSchemer.valid_schema?(JSON.parse(published))).to be(true)
    expect(published).to eq(described_class::Schema.text), "docs/book.schema.json is stale; run bin/generate"
  end

  # Each wrong value, where it is, and what is said.
  {
    "an unknown key" => [{crs: "EPSG:25829", colour: "red"}, "/colour", /“colour” is not a known key/],
    "an unknown key deep inside" => [{layout: {page: {sise: "A3"}}}, "/layout/page/sise", /not a known key/],
    "a wrong type" => [{title: 5}, "/title", /“title” is 5; it must be text/],
    "a scale of zero" => [{index: {scale: 0}}, "/index/scale", /must be at least 1/],
    "a negative scale" => [{index: {scale: -2500}}, "/index/scale", /must be at least 1/],
    "an absurd scale" => [{index: {scale: 10**12}}, "/index/scale", /must be at most/],
    "an unknown reference" => [{crs: "EPSG:999999"}, "/crs", /not a CRS/],
    "a geographic reference" => [{crs: "EPSG:4258"}, "/crs", /degrees, so sheets cannot have a fixed scale/],
    "margins larger than the page" => [
      {layout: {page: {margins_mm: {left: 300, right: 300}}}},
      "/layout/page/margins_mm",
      /margins leave/
    ],
    "margins larger than the page of the index sheet" => [
      {
        index_layout: {
          name: "Index",
          page: {
            size: "A4",
            orientation: "portrait",
            margins_mm: {
              top: 10,
              right: 150,
              bottom: 10,
              left: 150
            }
          },
          elements: TileLoom::Layout::Designs.index_elements
        }
      },
      "/index_layout/page/margins_mm",
      /margins leave/
    ],
    "a study area that is no layer" => [
      {index: {area: "moon"}},
      "/index/area",
      /“moon” is not a layer of this book/
    ],
    "a length without a unit" => [{index: {buffer: "50"}}, "/index/buffer", /a length with its unit/],
    "a day that does not exist" => [{date: "2026-02-30"}, "/date", /not a day of the calendar/],
    "a page size nobody makes" => [{layout: {page: {size: "A9"}}}, "/layout/page/size", /use one of A0, A1/],
    "a custom page without a size" => [
      {layout: {page: {size: "custom"}}},
      "/layout/page",
      /lacks width_mm, height_mm/
    ]
  }.each do |name, (changes, path, sentence)|
    it("says where and what: #{name}") do
      expect(findings(**changes).map { |finding| [finding.pointer, finding.message] }).to include(
        [path, match(sentence)]
      )
    end
  end

  # RFC 6901: a pointer leads to a part of the document, so each that the core writes out must begin with one.
  it "points to parts that the schema has" do
    sources = Dir[File.join(TileLoom::ROOT, "lib/tile_loom/**/*.rb")].reject { |file| file.end_with?("upgrade.rb") }
    named = sources.flat_map { |file| File.read(file).scan(%r{at: "/index/(\w+)}) }.flatten.uniq
    expect(named).to include("area", "scale")
    expect(named - described_class::Schema.definition("index")["properties"].keys).to be_empty
  end

  it "says which text asks for what it cannot have" do
    settings = demo_settings
    place = settings["layout"]["elements"].index { |element| element["kind"] == "text" }
    settings["layout"]["elements"][place]["text"] = "{{ sheet.nane }}"
    found = described_class::Check.new(settings).findings
    expect(found.map(&:pointer)).to eq(["/layout/elements/#{place}/text"])
    expect(found.first.message).to match(/asks for “nane”/)
  end

  it "finds ids used twice, and grids in an unknown reference" do
    settings = demo_settings
    settings["layers"][1]["id"] = settings["layers"][0]["id"]
    settings["layout"]["elements"].find { |element| element["kind"] == "map_frame" }["grids"][0]["crs"] = "EPSG:0"
    expect(described_class::Check.new(settings).findings.map(&:pointer)).to include(
      "/layers/1/id",
      match(%r{/layout/elements/\d+/grids/0/crs})
    )
  end

  it "refuses what is no book at all" do
    expect { described_class::Book.parse("{") }.to invalid(/not JSON/)
    expect { described_class::Book.parse("[]") }.to invalid(/not a JSON object/, path: "/")
    expect { described_class::Book.parse("{}") }.to invalid(/lacks/, path: "/")
  end

  it "holds the scale when the page changes: the ground changes instead" do
    one = TileLoom::Document::Book.new(small_settings)
    other = TileLoom::Document::Book.new(small_settings(layout: {page: {size: "A4"}}))
    source = TileLoom::Data::MemorySource.new("area" => [rectangle(403_000, 6_528_000, 403_050, 6_528_050)])
    cells = [one, other].map { |book| book.cells(source).first }
    expect(cells.map(&:scale)).to eq([2500, 2500])
    expect(cells[1].ground.width).to be < cells[0].ground.width
  end
end
