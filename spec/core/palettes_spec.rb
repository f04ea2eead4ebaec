# frozen_string_literal: true

require "spec_helper"
require "timeout"

# Rasters whose numbers stand for colours, shown as a picture: the colours are the table's, exactly, and what is nothing
# is clear. GDAL's own tables are the opinion from outside.
RSpec.describe "Pictures of a table of colours" do
  include Rasters

  around { |example| with_folder { example.run } }

  let(:table) { {0 => [0, 0, 0], 1 => [200, 30, 60], 2 => [20, 180, 90], 3 => [17, 33, 251]} }

  # Squares of 8 pixels; number 0 is nothing.
  def paletted(name, ullr = [400_000, 6_530_000, 400_064, 6_529_936])
    places = Vips::Image.xyz(64, 64)
    numbers = ((places[0] / 8).floor + (places[1] / 8).floor * 2) % 4
    path = geotiff("plain", numbers.cast(:uchar), "EPSG:25829", ullr)
    entries =
      (0..255).map do |value|
        table.fetch(value, [0, 0, 0]).then { |rgb| %(<Entry c1="#{rgb[0]}" c2="#{rgb[1]}" c3="#{rgb[2]}" c4="255"/>) }
      end
    description = tool("gdal_translate", "-q", "-of", "VRT", "-a_nodata", "0", path, "/vsistdout/")
    description.sub!(
      %r{<ColorInterp>\w+</ColorInterp>},
      "<ColorInterp>Palette</ColorInterp><ColorTable>#{entries.join}</ColorTable>"
    )
    File.write("#{folder}/#{name}.vrt", description)
    "#{folder}/#{name}.tif".tap { |target| tool("gdal_translate", "-q", "#{folder}/#{name}.vrt", target) }
  end

  def view(rotation) =
    raster_view("EPSG:25829", [400_032, 6_529_968], 500, width_mm: 100.0, height_mm: 100.0, rotation_deg: rotation)

  def colours(image)
    image
      .image
      .write_to_memory
      .bytes
      .each_slice(4)
      .select { |*_, opacity| opacity == 255 }
      .map { |pixel| pixel.first(3) }
      .uniq
      .sort
  end

  {
    "taken as a picture" => "picture",
    "taken for what it looks like" => nil,
    "taken as classes" => "classes"
  }.each do |how, kind|
    it "has the table's colours and no others, and nothing where there is none, #{how}" do
      raster = prepared(paletted("a"), **{kind: kind}.compact)
      [0.0, 23.0].each do |rotation|
        image = drawn(raster, {"kind" => "picture"}, view(rotation)).raster
        expect(image.image.bands).to eq(4)
        expect(colours(image)).to eq(table.values.drop(1).sort)
        clear = image.image[3].hist_find.write_to_memory.unpack1("L*")
        expect(clear).to be > image.width_px * image.height_px / 5
        expect(image.streams.filter).to eq(:deflate)
      end
    end
  end

  it "lies in several files, and keeps both" do
    files = [paletted("west"), paletted("east", [400_064, 6_530_000, 400_128, 6_529_936])]
    target = Dir.mktmpdir("prepared", folder)
    TileLoom::Raster::Cache.prepare(files, target, kind: "picture")
    raster = TileLoom::Raster::Prepared.read(target)
    wide = raster_view("EPSG:25829", [400_064, 6_529_968], 500, width_mm: 200.0, height_mm: 100.0)
    expect(colours(drawn(raster, {"kind" => "picture"}, wide).raster)).to eq(table.values.drop(1).sort)
  end

  it "keeps few colours without a table from JPEG, and photographs in it" do
    few = (Vips::Image.xyz(64, 64)[0] / 8).floor.linear(30, 0).cast(:uchar)
    drawing = few.bandjoin([few, few]).copy(interpretation: :srgb)
    ullr = [400_000, 6_530_000, 400_064, 6_529_936]
    made = ->(name, image) do
      drawn(
        prepared(geotiff(name, image, "EPSG:25829", ullr), kind: "picture"),
        {"kind" => "picture"},
        view(0.0)
      ).raster
    end
    expect(made.call("few", drawing).streams.filter).to eq(:deflate)
    expect(made.call("photo", smooth(64, 64)).streams.filter).to eq(:jpeg)
  end

  # A forked process would wait for ever for threads that libvips kept in this one.
  it "can be drawn in other processes right after they were looked at in this one" do
    pixels = smooth(300, 300)
    expect(pixels.linear(2, 1).avg).to be > 0
    found =
      Timeout.timeout(60) do
        TileLoom::Output::Parallel
          .new(processes: 2)
          .map([1, 2, 3]) { |factor| pixels.linear(factor, 0).avg.round(6) }
          .to_a
      end
    expect(found).to eq([1, 2, 3].map { |factor| pixels.linear(factor, 0).avg.round(6) })
  end
end
