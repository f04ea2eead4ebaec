# frozen_string_literal: true

# Text of several scripts and directions: Unicode Standard Annex 9 and HarfBuzz's own shaping.
RSpec.describe TileLoom::Type do
  dejavu = "/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf"
  own = TileLoom::Type::FontFile.new(File.binread(dejavu), name: "DejaVu").face("own")
  sans = TileLoom::Type::Library.face("sans")

  let(:stack) { TileLoom::Type::FaceStack.new(own) { TileLoom::Type::Library::FACES.values } }

  # The characters of a line from left to right, those that run to the left turned round.
  def seen(string, face = stack) =
    face.runs(string).map { |run| run.rtl ? run.string.grapheme_clusters.reverse.join : run.string }.join

  # UAX 9, section 3: examples of the rules, capitals standing for right-to-left letters; here real ones.
  describe "directions" do
    it "go by the text's first letter, numbers from left to right wherever they stand" do
      expect(seen("ورقة 1:25000")).to eq("1:25000 ةقرو")
      expect(seen("Sheet ورقة 12 of 30")).to eq("Sheet 12 ةقرو of 30")
      expect(seen("car is קר")).to eq("car is רק")
      expect(seen("קר means car.")).to eq("means car. רק").or eq(".means car רק")
      expect(seen("A4 (קר) 7")).to eq("A4 (רק) 7")
    end

    it "follow the levels that the annex works out by hand" do
      levels = TileLoom::Type::Bidi.method(:levels)
      # W2 and W7: a European number after an Arabic letter is an Arabic one (level 2), after a Latin one left to right.
      expect(levels.call("ع 12")).to eq([1, 1, 2, 2])
      expect(levels.call("a 12")).to eq([0, 0, 0, 0])
      # N0: brackets go with what they hold. L1: spaces at the end go with the paragraph.
      expect(levels.call("a (ע) ")).to eq([0, 0, 0, 1, 0, 0])
      expect(levels.call("ע a ")).to eq([1, 1, 2, 1])
    end
  end

  # hb-shape is HarfBuzz's own command.
  describe "glyphs" do
    def outside_glyphs(string, direction, script)
      outside(
        "hb-shape",
        "--no-glyph-names",
        "--direction=#{direction}",
        "--script=#{script}",
        "--cluster-level=1",
        "--features=-liga,-clig,-calt,-dlig",
        "--output-format=json",
        "/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf",
        string
      ).then { |text| JSON.parse(text).map { |glyph| glyph.values_at("g", "ax", "dx", "dy") } }
    end

    {
      "letters that join" => %w[سلام rtl arab],
      "marks on letters" => %w[مُحَمَّد rtl arab],
      "Hebrew with points" => %w[שָׁלוֹם rtl hebr],
      "marks that have no letter of their own" => ["n̈ x̂", "ltr", "latn"]
    }.each do |name, (string, direction, script)|
      it "are those of HarfBuzz, with their places, for #{name}" do
        found = stack.runs(string).flat_map(&:glyphs)
        expect(found.map { |glyph| [glyph.glyph, glyph.advance, glyph.x_offset, glyph.y_offset] }).to eq(
          outside_glyphs(string, direction, script)
        )
        expect(found.any? { |glyph| glyph.x_offset != 0 || glyph.y_offset != 0 }).to be(true) if name.match?(/mark/)
      end
    end
  end

  it "takes what a face has not from others, as whole letters with their marks, and names what none has" do
    expect(sans.runs("Moor").map(&:face)).to eq([sans.first])
    mixed = TileLoom::Type::FaceStack.new(sans.first) { [own] }
    expect(mixed.runs("Moor ورقة 7").map { |run| [run.string, run.face.key] }).to include(
      ["Moor ", "sans"],
      ["ورقة ", "own"]
    )
    expect([mixed.missing("Moor ورقة"), mixed.missing("a\u200fb\u00ad"), mixed.missing("x 𓀀𓀁")]).to eq(
      [[], [], %w[𓀀 𓀁]]
    )
  end

  it "measures a line as the sum of what is set" do
    runs = stack.runs("Sheet ورقة 12")
    expect(stack.width_mm("Sheet ورقة 12", 10)).to be_within(1e-9).of(runs.sum { |run| run.width_mm(10) })
    # A mark takes no spacing of its own.
    expect(stack.width_mm("n̈n", 10, tracking_pt: 72) - stack.width_mm("n̈n", 10)).to be_within(1e-9).of(2 * 25.4)
  end

  # poppler reads the page: the text can be searched, in the order in which it is read.
  it "prints text that reads as it was written" do
    texts = ["ورقة 1:25000", "שלום Moor 12", "Ā̈ n̈", "Moor\u00a0End Ωμ"]
    nodes =
      texts.each_with_index.map do |text, index|
        TileLoom::Scene::Text.new(x: 20, y: 20 + index * 12, string: text, face: stack, size_pt: 14)
      end
    drawing = TileLoom::Scene::Drawing.new(width_mm: 120, height_mm: 80, nodes: nodes)
    own_faces =
      Struct
        .new(:stack) { def embedded(key) = (key == "own") ? stack : TileLoom::Type::Library.embedded(key) }
        .new(stack)
    Dir.mktmpdir do |folder|
      file = File.join(folder, "text.pdf")
      File.open(file, "wb") do |io|
        TileLoom::Output::Pdf::Writer
          .new(io, title: "x", faces: own_faces)
          .tap { |writer| writer.add(TileLoom::Output::Pdf::Page.of(drawing)) }
          .close
      end
      expect(outside("qpdf", "--check", file)).to include("No syntax")
      read = outside("pdftotext", "-layout", file, "-").gsub(/[\u202a-\u202e\u200e\u200f]/, "")
      expect(read).to include("ورقة", "1:25000", "שלום", "Moor 12", "Ā̈", "n̈").and match(/Moor[ \u00a0]End Ωμ/)
    end
    # The browser gets each run where it was set.
    svg = Nokogiri.XML(TileLoom::Output::Svg.new(drawing).to_s).remove_namespaces!.css("text").first(2)
    expect(svg.map { |text| [text.text, text["direction"], text["x"].to_i] }).to eq(
      [["1:25000", "ltr", 2000], ["ورقة ", "rtl", ((20 + stack.width_mm(texts[0], 14)) * 100).round]]
    )
  end

  # OpenType, OS/2 table: the height of capitals came with version 2.
  it "sets faces whose OS/2 table is of before 2000" do
    bytes = File.binread(dejavu)
    entry = (0...bytes[4, 2].unpack1("n")).map { |index| 12 + index * 16 }.find { |at| bytes[at, 4] == "OS/2" }
    bytes[bytes[entry + 8, 4].unpack1("N"), 2] = [0].pack("n")
    bytes[entry + 12, 4] = [78].pack("N")
    old = TileLoom::Type::FontFile.new(bytes, name: "old").face("old")
    # 729 of 1,000 (DejaVu's own capitals, measured in its H; from memory).
    expect([old.cap_height, own.cap_height]).to all(be_within(3).of(0.729 * 2048))
    expect(TileLoom::Type::FaceStack.new(old) { [] }.width_mm("Moor", 10)).to be_within(1e-9).of(
      stack.width_mm("Moor", 10)
    )
  end
end
