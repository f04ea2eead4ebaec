# frozen_string_literal: true

require "stringio"
require "tempfile"

# Texts of all scripts that the typefaces which ship have.
RSpec.describe TileLoom::Type::Library do
  texts = {
    "Greek" => ["Λίμνη Σκάρροου", "ltr", "grek"],
    "Cyrillic" => ["Озеро Скарроу", "ltr", "cyrl"],
    "Vietnamese" => ["Hồ Đường Việt", "ltr", "latn"],
    "Arabic" => ["بحيرة سكارو", "rtl", "arab"],
    "Hebrew" => ["אגם סקארו", "rtl", "hebr"],
    "Devanagari" => ["स्कैरो झील", "ltr", "deva"],
    "Thai" => ["ทะเลสาบ สการ์โรว์", "ltr", "thai"]
  }

  sans = described_class.face("sans")

  texts.each do |script, (string, direction, tag)|
    it "shapes #{script} as HarfBuzz does, with nothing missing" do
      runs = sans.runs(string)
      expect([sans.missing(string), runs.map(&:rtl).uniq]).to eq([[], [direction == "rtl"]])
      # Spaces come from the face of what stands before them.
      faces = runs.map(&:face).uniq
      expect(faces.length).to eq(1)
      shaped =
        JSON.parse(
          outside(
            "hb-shape",
            "--output-format=json",
            "--no-glyph-names",
            "--features=-liga,-clig,-calt,-dlig",
            "--direction=#{direction}",
            "--script=#{tag}",
            faces.first.file,
            string
          )
        )
      glyphs = runs.flat_map(&:glyphs)
      expect(glyphs.map { |glyph| [glyph.glyph, glyph.advance, glyph.x_offset, glyph.y_offset] }).to eq(
        shaped.map { |glyph| glyph.values_at("g", "ax", "dx", "dy") }
      )
    end
  end

  # poppler reads the page back; the marks of direction that it puts round texts from right to left are no part of them.
  define_method(:read_back) do |strings|
    nodes =
      strings.each_with_index.map do |string, index|
        TileLoom::Scene::Text.new(x: 20, y: 20 + index * 12, string: string, face: sans, size_pt: 16)
      end
    drawing = TileLoom::Scene::Drawing.new(width_mm: 200, height_mm: 150, nodes: nodes)
    Dir.mktmpdir do |folder|
      file = File.join(folder, "scripts.pdf")
      File.open(file, "wb") do |io|
        TileLoom::Output::Pdf::Writer
          .new(io, title: "x")
          .tap { |writer| writer.add(TileLoom::Output::Pdf::Page.of(drawing)) }
          .close
      end
      read = outside("pdftotext", file, "-").gsub(/[\u202a-\u202e\u200e\u200f]/, "").tr("\u00a0", " ")
      read.unicode_normalize(:nfc).lines.map(&:strip)
    end
  end

  it "prints them so that they can be searched and copied as they are read, level and along a curve" do
    strings = texts.each_value.map(&:first) + ["Λίμνη 12 km"]
    expect(read_back(strings)).to include(*strings.map { |string| string.unicode_normalize(:nfc) })
  end

  # Most of the page is from left to right, as poppler then takes what has no direction of its own for.
  it "prints brackets and stops of texts from right to left so that they are copied on their own side" do
    strings = ["אגם (סקארו)", "(אגם) סקארו", "Loch (אגם)", "אגם [סקארו]", "אגם!", "بحيرة (سكارو)"]
    read = read_back(strings + ["The moor of Skarrow Moss between two burns", "and a hundred dams of peat"])
    expect(read).to include(*strings)
  end

  it "lets a text from right to left run along a curve as it is shaped, first letter rightmost" do
    rule = TileLoom::Symbology::Labels::Rule.new({"field" => "name", "size_pt" => 12})
    course = TileLoom::Labelling::Course.along((0..200).flat_map { |x| [x, 40 - x / 10.0] })
    texts
      .values_at("Arabic", "Hebrew", "Devanagari", "Thai")
      .each do |string, direction|
        setting = TileLoom::Labelling::CurvedSetting.new(TileLoom::Labelling::SetText.new([string], rule), course, 10.0)
        read = setting.letters.map(&:text)
        read = read.reverse if direction == "rtl"
        expect(read.join).to eq(string)
        # The same glyphs as level, so letters join along the curve too.
        expect(setting.letters.flat_map { |letter| letter.run.glyphs.map(&:glyph) }).to eq(
          sans.runs(string).flat_map(&:glyphs).map(&:glyph)
        )
        drawing = TileLoom::Scene::Drawing.new(width_mm: 200, height_mm: 60, nodes: setting.nodes)
        svg = Nokogiri.XML(TileLoom::Output::Svg.new(drawing).to_s).remove_namespaces!
        expect(svg.at_css("g[aria-label]")["aria-label"]).to eq(string)
      end
  end

  it "draws a character that none has as a box, the same on the screen and in print" do
    text = TileLoom::Scene::Text.new(x: 10, y: 20, string: "a 𓀀", face: sans, size_pt: 12)
    drawing = TileLoom::Scene::Drawing.new(width_mm: 60, height_mm: 30, nodes: [text])
    svg = Nokogiri.XML(TileLoom::Output::Svg.new(drawing).to_s).remove_namespaces!
    expect([svg.css("text").length, svg.at_css("path")["aria-label"]]).to eq([0, "a 𓀀"])
    expect(sans.runs("𓀀").first.glyphs.map(&:glyph)).to eq([0])
    expect(sans.missing("a 𓀀")).to eq(["𓀀"])
  end

  # Where the machine has Debian's fonts-noto-cjk; without it they are boxes, and told.
  it "has Chinese, Japanese and Korean of the machine, and embeds no more of them than is used" do
    string = "湿原 しつげん 습지"
    present = described_class::COLLECTED.any?
    expect(sans.missing(string).empty?).to eq(present)
    next unless present
    text = TileLoom::Scene::Text.new(x: 10, y: 20, string: string, face: sans, size_pt: 12)
    drawing = TileLoom::Scene::Drawing.new(width_mm: 90, height_mm: 30, nodes: [text])
    io = StringIO.new("".b)
    TileLoom::Output::Pdf::Writer
      .new(io, title: "x")
      .tap { |writer| writer.add(TileLoom::Output::Pdf::Page.of(drawing)) }
      .close
    expect(io.string.bytesize).to be < 200_000
    Tempfile.create(%w[cjk .pdf], binmode: true) do |file|
      file.write(io.string)
      file.flush
      expect(outside("pdftotext", file.path, "-")).to include(string)
    end
  end

  it "does not offer the faces that stand behind all others by name, and serves their files" do
    expect(described_class.keys.grep(/fallback/)).to be_empty
    expect(described_class.files.map { |face| File.file?(face.file) }.uniq).to eq([true])
    expect { described_class.face("fallback-thai") }.to invalid(/use one of/)
  end
end
