# frozen_string_literal: true

require "spec_helper"
require "tmpdir"
require "vips"

RSpec.describe TileLoom::Assets::Enclosures do
  def entry(id, bytes, **more) = {"id" => id, "title" => id, "data" => [bytes].pack("m0"), **more}

  def printed(folder, elements, **lists)
    book, source = small_book([rectangle(500_000, 6_100_000, 500_500, 6_100_400)])
    settings = book.settings.merge(JSON.parse(JSON.generate(lists)))
    settings["layout"]["elements"] += elements
    TileLoom::Document::Check.demand(settings)
    book = TileLoom::Document::Book.new(settings)
    press(book, source, folder, cells: book.cells(source).first(1))
  end

  def text(face) =
    {
      "kind" => "text",
      "id" => "own",
      "place" => {
        "left_mm" => 20,
        "top_mm" => 20,
        "width_mm" => 150,
        "height_mm" => 20
      },
      "text" => "Wavy AV fjord",
      "face" => face,
      "size_pt" => 24
    }

  def picture(id, **more) =
    {
      "kind" => "picture",
      "id" => "logo",
      "place" => {
        "left_mm" => 20,
        "top_mm" => 20,
        "width_mm" => 40,
        "height_mm" => 30
      },
      "picture" => id
    }.merge(more.transform_keys(&:to_s))

  # Places of the words of a page in points (poppler).
  def words(file) =
    outside("pdftotext", "-bbox", file, "-").scan(
      /<word xMin="([\d.-]+)" yMin="[\d.-]+" xMax="([\d.-]+)" yMax="[\d.-]+">([^<]*)</
    )

  # Advance of a string in font units at 1000 to the em, kerned and without ligatures (hb-shape).
  def shaped(file, string) =
    JSON
      .parse(
        outside(
          "hb-shape",
          "--output-format=json",
          "--font-size=1000",
          "--features=-liga,-clig,-calt,-dlig",
          file,
          string
        )
      )
      .sum { |glyph| glyph["ax"] }

  {
    "TrueType" => [File.join(TileLoom::ROOT, "fonts/RobotoCondensed_700Bold.ttf"), /CID TrueType .*yes yes yes/],
    "OpenType with compact outlines" => [
      File.join(TileLoom::ROOT, "web/node_modules/source-sans/OTF/SourceSans3-Bold.otf"),
      /CID Type 0C \(OT\) .*yes yes yes/
    ]
  }.each do |kind, (file, row)|
    it "prints in a typeface of the book’s own (#{kind}), as wide as hb-shape says, embedded and searchable" do
      Dir.mktmpdir do |folder|
        pdf = printed(folder, [text("mine")], faces: [entry("mine", File.binread(file))])
        expect(outside("pdffonts", pdf)).to match(row)
        found = words(pdf)
        from, to = found.find { |_, _, word| word == "Wavy" }, found.find { |_, _, word| word == "fjord" }
        expect(from && to).to be_truthy
        expect(to[1].to_f - from[0].to_f).to be_within(0.05).of(shaped(file, "Wavy AV fjord") * 24 / 1000.0)
        expect(outside("qpdf", "--check", pdf)).to match(/No syntax or stream encoding errors/)
      end
    end
  end

  it "refuses what is no font, what may not be embedded, and a face that the book does not have" do
    sans = File.binread(File.join(TileLoom::ROOT, "fonts/SourceSans3-Regular.ttf"))
    read = ->(bytes) { TileLoom::Type::FontFile.new(bytes, name: "moss.ttf") }
    expect { read["<svg/>"] }.to invalid(/moss.ttf is not a font file/)
    expect { read["wOF2" + sans] }.to invalid(/web font/)
    expect { read["ttcf" + sans] }.to invalid(/collection/)
    expect { read[sans[0, 400]] }.to invalid(/broken|no Unicode|no outlines/)
    expect { read[sans.byteslice(0, 4) + "\0" * 60] }.to invalid(/broken font: it lacks cmap/)
    # fsType is eight bytes into the OS/2 table (OpenType 1.9, OS/2).
    table =
      (0...sans[4, 2].unpack1("n")).map { |index| sans[12 + 16 * index, 16] }.find { |row| row.start_with?("OS/2") }
    restricted = sans.dup.tap { |bytes| bytes[table[8, 4].unpack1("N") + 8, 2] = [2].pack("n") }
    expect { read[restricted] }.to invalid(/may not be embedded/)
    expect(read[sans].title).to eq("Source Sans 3 Regular")
    expect { printed(Dir.tmpdir, [text("theirs")]) }.to invalid(
      /“theirs” is not a typeface/,
      path: "/layout/elements/12/face"
    )
    expect {
      printed(Dir.tmpdir, [text("mine")], faces: [{"id" => "mine", "title" => "Mine", "file" => "gone.ttf"}])
    }.to invalid(/did not come with the book/)
  end

  # 40 × 30 mm of a 400 × 200 picture: whole, it is 40 × 20 mm; filling, 60 × 30 mm, cut at the sides.
  it "prints pictures in their proportion, JPEG as it is, opacity as a mask" do
    half = Vips::Image.black(200, 200) + [200, 30, 30]
    image = half.join(Vips::Image.black(200, 200) + [30, 30, 200], :horizontal).cast(:uchar).copy(interpretation: :srgb)
    clear =
      image.bandjoin((Vips::Image.black(200, 200) + 255).join(Vips::Image.black(200, 200), :horizontal).cast(:uchar))
    {"inside" => 254, "fill" => 169}.each do |fit, ppi|
      Dir.mktmpdir do |folder|
        pdf = printed(folder, [picture("logo", fit: fit)], pictures: [entry("logo", image.jpegsave_buffer(Q: 95))])
        row = outside("pdfimages", "-list", pdf).lines.last.split
        expect(row.values_at(2, 3, 4, 8)).to eq(%w[image 400 200 jpeg])
        expect(row[12].to_f).to be_within(1).of(ppi)
      end
    end
    Dir.mktmpdir do |folder|
      pdf = printed(folder, [picture("logo")], pictures: [entry("logo", clear.pngsave_buffer)])
      outside("pdftocairo", "-png", "-r", "254", "-singlefile", pdf, File.join(folder, "page"))
      page = Vips::Image.new_from_file(File.join(folder, "page.png"))
      # Ten pixels a millimetre; margins of 10 mm, so that the box begins at 30, 30 mm and the picture at 30, 35.
      expect(page.getpoint(305, 355).first(3)).to eq([200, 30, 30])
      expect(page.getpoint(495, 545).first(3)).to eq([200, 30, 30])
      expect(page.getpoint(505, 450).first(3)).not_to eq([30, 30, 200])
      expect(page.getpoint(305, 345).first(3)).not_to eq([200, 30, 30])
    end
  end

  it "turns a picture about the middle of its box, as other elements" do
    image = (Vips::Image.black(400, 300) + [200, 30, 30]).cast(:uchar).copy(interpretation: :srgb)
    Dir.mktmpdir do |folder|
      pdf = printed(folder, [picture("logo", rotation_deg: 90)], pictures: [entry("logo", image.pngsave_buffer)])
      outside("pdftocairo", "-png", "-r", "254", "-singlefile", pdf, File.join(folder, "page"))
      page = Vips::Image.new_from_file(File.join(folder, "page.png"))
      # 40 × 30 mm about (50, 45) becomes 30 × 40: from 35, 25 to 65, 65 mm.
      inside = [[355, 255], [645, 255], [355, 645], [645, 645]].map { |x, y| page.getpoint(x, y).first(3) }
      expect(inside.uniq).to eq([[200, 30, 30]])
      expect(page.getpoint(305, 450).first(3)).not_to eq([200, 30, 30])
    end
  end

  # A PNG says its size in its first 24 bytes (ISO/IEC 15948, IHDR); this one has 20,000 × 20,000 pixels.
  it "refuses a picture that would fill the memory before reading it, and what is no picture" do
    header =
      "\x89PNG\r\n\x1a\n".b + chunk("IHDR", [20_000, 20_000, 8, 2, 0, 0, 0].pack("NNCCCCC")) +
      chunk("IDAT", Zlib::Deflate.deflate("\0" * 100)) + chunk("IEND", "")
    expect { TileLoom::Artwork::Raster.new(header, name: "huge.png").settled }.to raise_error(
      TileLoom::Refusal,
      /20,000 × 20,000 pixels/
    )
    read = ->(bytes) { TileLoom::Artwork::Raster.new(bytes, name: "logo.png").settled }
    expect { read["GIF89a"] }.to invalid(/neither PNG nor JPEG/)
    whole = Vips::Image.black(300, 300).pngsave_buffer
    expect { read[whole[0, whole.bytesize / 2]] }.to invalid(/logo.png is damaged/)
    expect {
      read[Vips::Image.gaussnoise(300, 300).jpegsave_buffer.then { |bytes| bytes[0, bytes.bytesize / 2] }]
    }.to invalid(/damaged/)
    expect(read[whole].bytes).to eq(whole)
  end

  def chunk(name, data) = [data.bytesize].pack("N") + name + data + [Zlib.crc32(name + data)].pack("N")
end
