# frozen_string_literal: true

require "spec_helper"
require "zip"

# What is small to send and costly to read is found out before it costs.
RSpec.describe "Files that lie of their size" do
  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  def file(name, bytes) = File.join(@folder, name).tap { |path| File.binwrite(path, bytes) }

  # A zip of so many zero bytes whose list says another number (APPNOTE 6.3.9: offsets 22 of the local head, 24 of the
  # central one).
  def lying_zip(bytes, says)
    path = File.join(@folder, "a.zip")
    FileUtils.rm_f(path)
    Zip::File.open(path, create: true) { |zip| zip.get_output_stream("a.tif") { |io| io.write("\0" * bytes) } }
    data = File.binread(path)
    {"PK\x03\x04".b => 22, "PK\x01\x02".b => 24}.each do |head, offset|
      data[data.index(head) + offset, 4] = [says].pack("V")
    end
    File.binwrite(path, data)
    path
  end

  def unfold(path, **more)
    Zip::File.open(path) do |zip|
      TileLoom::Sandbox::Unzipping.new(zip, name: "a.zip", **more).write(
        zip.entries.first,
        File.join(@folder, "out"),
        4 * 1024**3
      )
    end
    File.size(File.join(@folder, "out"))
  end

  it "counts what comes out of a zip against its list" do
    expect(unfold(lying_zip(50_000_000, 50_000_000))).to eq(50_000_000)
    expect { unfold(lying_zip(50_000_000, 1_000)) }.to invalid(/a\.zip contains more of a\.tif than its own list says/)
    expect(File.size(File.join(@folder, "out"))).to be <= 1_000
    expect { TileLoom::Raster::Bundle.new(lying_zip(50_000_000, 1_000)).open { |parts| parts } }.to invalid(
      /its own list/
    )
  end

  it "counts all of it against what is allowed, and looks at the disk" do
    expect { unfold(lying_zip(5_000_000, 5_000_000), most: 2_000_000) }.to invalid(/unzips to more than/)
    allow(TileLoom::Assets::FreeDisk).to receive(:of).and_return(600 * 1024**2)
    expect(unfold(lying_zip(5_000_000, 5_000_000))).to eq(5_000_000)
    expect { unfold(lying_zip(200_000_000, 200_000_000)) }.to invalid(/does not fit on the server’s disk/)
    expect(TileLoom::Assets::FreeDisk).to have_received(:of).at_least(:once)
  end

  # df of another maker: GNU coreutils' own --output.
  it "knows what is left of a disk" do
    expect(TileLoom::Assets::FreeDisk.of(@folder)).to be_within(200 * 1024**2).of(
      outside("df", "-B1", "--output=avail", @folder).lines.last.to_i
    )
    expect(TileLoom::Assets::FreeDisk.of("/nowhere/at/all")).to be_nil
  end

  it "stops within a part of the file where it is not wanted any more" do
    asked = 0
    expect { unfold(lying_zip(50_000_000, 50_000_000), wanted: -> { (asked += 1) < 3 }) }.to invalid(/was stopped/)
    expect(File.size(File.join(@folder, "out"))).to be <= 3 * 1024**2
  end

  # ISO 10918-1, B.2.2: the frame's head says lines and samples a line, each in two bytes.
  it "does not decode a JPEG whose head says more than its bytes can hold" do
    outside(
      "gdal_translate",
      "-q",
      "-of",
      "JPEG",
      "-outsize",
      "16",
      "16",
      "-scale",
      noise_tif,
      File.join(@folder, "a.jpg")
    )
    data = File.binread(File.join(@folder, "a.jpg"))
    data[data.index("\xFF\xC0".b) + 5, 4] = [65_500, 65_500].pack("nn")
    part = TileLoom::Raster::Bundle::Part.new(file("a.jpg", data), "a.jpg", TileLoom::Raster::Formats::Jpeg)
    expect { TileLoom::Raster::Inspection.new(part).found }.to invalid(
      /a\.jpg says that it has 65,500 × 65,500 pixels, which its [\d,]+ bytes cannot hold/
    )
  end

  it "says of a damaged PNG that it cannot be read, not that it is empty" do
    path = File.join(@folder, "a.png")
    outside("gdal_translate", "-q", "-of", "PNG", "-ot", "Byte", noise_tif, path)
    data = File.binread(path)
    part =
      TileLoom::Raster::Bundle::Part.new(
        file("a.png", data[0, data.bytesize / 2]),
        "a.png",
        TileLoom::Raster::Formats::Png
      )
    expect { TileLoom::Raster::Inspection.new(part).found }.to invalid(/a\.png could not be read: it is damaged/)
  end

  # A world file (six lines of numbers) may say anything.
  it "refuses a place that is no number" do
    path = File.join(@folder, "a.png")
    outside("gdal_translate", "-q", "-of", "PNG", "-ot", "Byte", noise_tif, path)
    file("a.pgw", "nan\n0\n0\n-1\n400000\n6530000\n")
    found = -> do
      TileLoom::Raster::Bundle.new(path).open { |parts| TileLoom::Raster::Inspection.new(parts.first).found }
    end
    expect { found.call.transform || raise(TileLoom::Refusal.new("raster.no_place", name: "a.png")) }.to invalid
    file("a.pgw", "1\n0\n0\n-1\nnan\n6530000\n")
    expect { found.call.transform || raise(TileLoom::Refusal.new("raster.no_place", name: "a.png")) }.to invalid
  end

  it "takes so many fields and no more" do
    properties = (1..2_001).to_h { |number| ["f#{number}", number] }
    feature = {
      "type" => "Feature",
      "properties" => properties,
      "geometry" => {
        "type" => "Point",
        "coordinates" => [0, 0]
      }
    }
    text = JSON.generate({"type" => "FeatureCollection", "features" => [feature]})
    %w[a.geojson].each do |name|
      expect { TileLoom::Data::Inspection.new(file(name, text)).layers }.to invalid(
        /has 2,001 or more fields; 2,000 is the most/
      )
    end
    csv = "#{["x", "y", *properties.keys].join(",")}\n#{["1", "2", *properties.values].join(",")}\n"
    expect { TileLoom::Data::Inspection.new(file("a.csv", csv)).layers }.to invalid(/2,003 or more fields/)
  end

  # Noise, which does not pack.
  def noise_tif
    noise = file("noise.pgm", "P5\n64 64\n255\n".b + Random.new(3).bytes(64 * 64))
    File.join(@folder, "noise.tif").tap { |path| outside("gdal_translate", "-q", "-of", "GTiff", noise, path) }
  end
end
