# frozen_string_literal: true

require "spec_helper"

# Texts that cost far more to read than to send. Growth is counted in steps, not in seconds: twice the text may take
# at most about twice the steps.
RSpec.describe "Hostile texts" do
  def grows(one, two) = two / one.to_f

  it "reads the numbers of a path once each" do
    steps =
      [5_000, 10_000].map do |length|
        scanner = TileLoom::Artwork::PathScanner.new("M0 0L" + "1 " * length)
        scanner.each { |token| token }
        scanner.steps
      end
    expect(grows(*steps)).to be_between(1.8, 2.2)
    digits = TileLoom::Artwork::PathScanner.new("M" + "1" * 5_000)
    expect { digits.each { |token| token } }.to invalid(/cannot be read/)
    expect(digits.steps).to be < 20_000
  end

  # SVG 1.1, 8.3.9: numbers and flags may stand without blanks.
  it "reads path data as the standard's grammar has it" do
    runs = ->(text) do
      TileLoom::Artwork::PathData.runs(text).map { |run| run.coordinates.map { |number| number.round(6) } }
    end
    expect(runs["M.5.5-3-3 1e1 1.e1"]).to eq([[0.5, 0.5, -3, -3, 10, 10]])
    expect(runs["M0 0a1 1 0 0110 0"].first.last(2)).to eq([10, 0])
    expect(runs["M1,2 3,4"]).to eq([[1, 2, 3, 4]])
    ["M1e", "Mx", "M1 2L", "1 2", "M1e999 0 1 1", "M0 0A1 1 0 2 1 5 5"].each { |text| expect { runs[text] }.to invalid }
  end

  # CQL2 (OGC 21-065r2), "like": % any number of characters, _ one, \ the next as it is.
  it "matches patterns without going back and forth" do
    steps =
      [1_000, 2_000].map do |length|
        TileLoom::Conditions::TextPattern.new("%a%a%a%b").tap { |pattern| pattern.match?("a" * length) }.steps
      end
    expect(grows(*steps)).to be_between(1.8, 2.2)
    match = ->(pattern, text) { TileLoom::Conditions::TextPattern.new(pattern).match?(text) }
    expect(
      [
        match["%a%b", "xaxb"],
        match["a_c", "abc"],
        match["a_c", "ac"],
        match["100\\%", "100%"],
        match["100\\%", "1000"],
        match["%", ""],
        match["", ""],
        match["%%x%", "axb"],
        match["a", "a\n"]
      ]
    ).to eq([true, true, false, true, false, true, true, true, false])
  end

  it "works out powers without their digits, and is false where a number overflows" do
    power = {"op" => ">", "args" => [{"op" => "^", "args" => [{"op" => "^", "args" => [10, 10]}, 10]}, 1]}
    expect(TileLoom::Conditions::Condition.new(power).match?({})).to be(true)
    {"^" => [10, 400], "div" => [1, 0], "%" => [1, 0.0], "*" => [1e308, 10]}.each do |op, args|
      expect(
        TileLoom::Conditions::Condition.new({"op" => "=", "args" => [{"op" => op, "args" => args}, 1]}).match?({})
      ).to be(false)
    end
  end

  it "takes conditions of so many parts and no more, with names that are texts" do
    wide = {"op" => "or", "args" => Array.new(3_000) { {"op" => "=", "args" => [{"property" => "a"}, 1]} }}
    expect { TileLoom::Conditions::Condition.new(wide) }.to invalid(/has more than 2000 parts/)
    expect { TileLoom::Conditions::Condition.new({"op" => "=", "args" => [{"property" => ["a"]}, 1]}) }.to invalid(
      /cannot be read/
    )
  end

  describe "definitions of references" do
    # With k = 1e-300 PROJ's series do not end; files are not for a definition to name.
    {
      "+proj=tmerc +lon_0=9 +k=1e-300 +ellps=GRS80" => /k=1e-300; give a number from/,
      "+proj=tmerc +lon_0=9 +k=nan +ellps=GRS80" => /k=nan/,
      "+proj=tmerc +lat_0=1e9 +ellps=GRS80" => /lat_0=1e9; give a number from -90 to 90/,
      "+proj=merc +a=1e-9 +b=1e-9" => /a=1e-9/,
      "+proj=merc +nadgrids=/etc/passwd" => /names a file/,
      "+init=/etc/passwd:x" => /names a file/,
      "+proj=pipeline +step +proj=merc" => /key “step”/,
      "+proj=merc +ellps=GRS80\n+x=1" => /control character|key “x”/
    }.each do |definition, sentence|
      it("refuses #{definition.inspect}") { expect { TileLoom::Crs::System.find(definition) }.to invalid(sentence) }
    end

    it "refuses the same in well-known text, and takes what registers hold" do
      wkt = TileLoom::Crs::System.find("EPSG:25829").wkt(:PJ_WKT2_2019)
      expect { TileLoom::Crs::System.find(wkt.sub("0.9996", "1e-300")) }.to invalid(
        /“Scale factor at natural origin” of/
      )
      expect { TileLoom::Crs::System.find(wkt.sub("6378137", "1e-3")) }.to invalid(/semi major axis/)
      %w[EPSG:3857 EPSG:27700 EPSG:2277 EPSG:5514 EPSG:3031 EPSG:31467].each do |code|
        crs = TileLoom::Crs::System.find(code)
        expect(TileLoom::Crs::System.find(crs.wkt(:PJ_WKT2_2019)).name).to eq(crs.name)
      end
      expect(TileLoom::Crs::System.find(TileLoom::Crs::System.find("EPSG:3857").wkt).projected?).to be(true)
    end
  end

  it "refuses dates that would fill the memory" do
    fill = ->(text) { TileLoom::Compose::LiveText.new(text).fill({"book" => {"date" => "2026-04-01"}}) }
    expect(fill["{{ book.date | date: '%e %B %Y' }}"]).to eq(" 1 April 2026")
    expect { fill["{{ book.date | date: '%999999999d' }}"] }.to invalid(/widths of at most two digits/)
  end

  # JSON Schema 2020-12, 6.3.3: patterns are ECMA-262, in which ^ and $ are the ends of the text.
  it "holds every pattern of the schemas against the whole text, not a line of it" do
    patterns = ->(part) do
      if part.is_a?(Hash)
        [*(part["pattern"].is_a?(String) ? [part["pattern"]] : []), *part.values.flat_map(&patterns)]
      else
        (part.is_a?(Array) ? part.flat_map(&patterns) : [])
      end
    end
    all = patterns[JSON.parse(TileLoom::Document::Schema.text)]
    expect(all.length).to be > 5
    all.each do |pattern|
      expect(pattern).to match(/\A\^.*\$\z/)
      schema = TileLoom::Document::Schema.compiled({"type" => "string", "pattern" => pattern})
      ["\n\"><img src=x>", "\n", "x\n"].each do |tail|
        ["a", "#123456", "8 mm", "2026-04-01", "0" * 64, "AAAA"].each do |head|
          expect(schema.valid?("#{head}#{tail}") && head + tail != "8 mm\n").to be(false)
        end
      end
    end
    expect { TileLoom::Document::Book.parse(JSON.generate(small_settings.merge("title" => "a\u0000b"))) }.to invalid(
      /control character \(U\+0000\)/
    )
  end
end
