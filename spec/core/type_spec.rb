# frozen_string_literal: true

RSpec.describe TileLoom::Type do
  # HarfBuzz by its own program, kerning on and ligatures off, as on our sheets.
  it "measures text as HarfBuzz does" do
    [
      "Skarrow Moss",
      "AVATAR Tо Wa, Yр.",
      "Łódź To. Αύρα ГДТА",
      "404 500 · 1:2,500",
      "58°53′30″N",
      "Loch Skarrow, Àird nan Eòin",
      "Grid north"
    ].each do |string|
      described_class::Library::STACKS.each_value do |face|
        shaped =
          JSON.parse(
            outside("hb-shape", "--output-format=json", "--features=-liga,-clig,-calt,-dlig", face.file, string)
          )
        expect(shaped.map { |glyph| glyph["g"] }).not_to include(0, ".notdef")
        units = shaped.sum { |glyph| glyph["ax"] }
        expect(face.width_mm(string, 10)).to be_within(1e-9).of(units * 10 / face.units_per_em * 25.4 / 72),
          "#{string} in #{face.key}"
      end
    end
  end

  # In an upright sans serif an l is its stem alone, whose box HarfBuzz's own program draws; table `post` of OpenType
  # says -12° of the italic.
  it "says how thick the stems of a face are, and how it leans" do
    %w[400Regular 700Bold].each do |weight|
      file = File.join(TileLoom::ROOT, "fonts/RobotoCondensed_#{weight}.ttf")
      drawn = outside("hb-view", "--output-format=svg", "--font-size=2048", "--margin=0", file, "l")
      across = drawn[/<path[^>]* d="([^"]+)"/, 1].scan(/[ML] ?(-?[\d.]+)/).flatten.map(&:to_f).minmax
      face = described_class::Face.new("own", "Own", 400, "normal", file)
      expect([face.stem_width, face.italic_angle]).to match([be_within(1).of(across[1] - across[0]), 0])
    end
    italic = File.join(TileLoom::ROOT, "fonts/RobotoCondensed_400Regular_Italic.ttf")
    expect(described_class::Face.new("own", "Own", 400, "italic", italic).italic_angle).to eq(-12)
  end

  # TTFunk's tables share one place in the bytes; read side by side, one took what the other had left.
  it "reads a typeface from many threads as from one" do
    shipped = described_class::Library.face("sans")
    # Bytes that hand on to another thread after each reading.
    passing = Class.new(StringIO) { def read(*) = super.tap { Thread.pass } }
    fresh = -> do
      face = described_class::Face.new("sans", shipped.family, 400, "normal", shipped.file)
      face.font.instance_variable_set(:@contents, passing.new(face.bytes))
      face
    end
    asked = [
      ->(face) { (32..0x4ff).map { |codepoint| face.glyph(codepoint) } },
      ->(face) { face.font.horizontal_metrics.for(40).advance_width },
      ->(face) { [face.font.os2.cap_height, face.font.postscript.italic_angle] },
      ->(face) { face.font.name.postscript_name },
      ->(face) { face.font.glyph_outlines.for(40).y_max }
    ]
    alone = asked.map { |ask| ask.call(fresh.call) }
    5.times do
      face = fresh.call
      gate = Queue.new
      threads = asked.map { |ask| Thread.new { gate.pop && ask.call(face) } }
      asked.length.times { gate << true }
      expect(threads.map(&:value)).to eq(alone)
    end
  end

  it "ships Latin, Greek and Cyrillic in its sans" do
    sans = described_class::Library.face("sans")
    expect(sans.shows?("Åßç Ωμέγα Жизнь “–” ′″°×½")).to be(true)
    expect(sans.shows?("漢")).to be(false)
  end

  it("names the faces there are") do
    expect { described_class::Library.face("comic") }.to invalid(/use one of sans-light, sans, sans-semibold/)
  end

  it "sets lines at each side and height of a box" do
    box = TileLoom::Geometry::Box.at(10, 20, 50, 30)
    face = described_class::Library.face("sans")
    set = ->(**options) { described_class::Setting.new(face: face, size_pt: 10, **options).set("Moss", box).first }
    width = face.width_mm("Moss", 10)
    expect(set.call.x).to eq(10)
    expect(set.call(align: "right").x + width).to be_within(1e-9).of(60)
    expect(set.call(align: "centre").x + width / 2).to be_within(1e-9).of(35)
    top, middle, bottom = %w[top middle bottom].map { |anchor| set.call(anchor: anchor).y }
    expect(middle - top).to be_within(1e-9).of(bottom - middle)
    expect(top).to be_between(20, 20 + 12 * 25.4 / 72)
  end

  it "keeps a word that is wider than its box on a line of its own" do
    setting = described_class::Setting.new(face: described_class::Library.face("sans"), size_pt: 10)
    expect(setting.lines("a Restoration b", 8)).to eq(%w[a Restoration b])
  end
end
