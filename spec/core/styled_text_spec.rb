# frozen_string_literal: true

require "tmpdir"

# Styled texts and their paragraphs, measured in the printed file by poppler.
RSpec.describe "Styled texts" do
  def text(**settings, &block) = printed_elements([{"kind" => "text", **settings.transform_keys(&:to_s)}], &block)

  def word(words, name) = words.find { |known| known[0] == name } || raise("no #{name} in #{words.map(&:first)}")

  it "sets parts of one text bold, italic, larger, in colour, in one line of words" do
    tagged = "Skarrow <b>Moss</b> and <i>its moor</i>, <span style=\"font-size: 20pt; color: #a3211b\">large</span>"
    text(text: tagged, markup: true, size_pt: 10) do |words, file|
      expect(words.map(&:first)).to eq(%w[Skarrow Moss and its moor, large])
      # One baseline: poppler's boxes of one size lie level.
      expect(words.first(3).map { |known| known[4] }).to all(be_within(0.05).of(words[0][4]))
      fonts = outside("pdffonts", file)
      expect(fonts).to match(/Sans3-Regular/).and match(/Sans3-Bold/).and match(/Sans3-It/)
      large, small = word(words, "large"), word(words, "Skarrow")
      expect((large[4] - large[2]) / (small[4] - small[2])).to be_within(0.02).of(2)
      # 72 ppi: a pixel is a point.
      png = "#{file}.png"
      outside("pdftocairo", "-png", "-r", "288", "-singlefile", file, file)
      pixels = Vips::Image.new_from_file(png, access: :random)
      area = ->(box) do
        pixels.crop(*[box[1], box[2], box[3] - box[1], box[4] - box[2]].map { |mm| (mm / 25.4 * 288).round })
      end
      expect(area[large].extract_band(0).min).to be > area[small].extract_band(0).min + 50
    end
  end

  # OpenType's OS/2 table of the face, read by fontTools' sister in Ruby (ttfunk), says how large and how high.
  it "raises superscripts and lowers subscripts as the face's maker has it" do
    os2 = TTFunk::File.open(TileLoom::Type::Library.face("sans").file).os2
    nodes =
      lambda do |string|
        style = TileLoom::Type::TextStyle.new(face: TileLoom::Type::Library.face("sans"), size_pt: 10)
        paragraphs =
          TileLoom::Type::Markup.new(
            string,
            base: style,
            faces: TileLoom::Type::FaceSet.new.method(:variant)
          ).paragraphs
        TileLoom::Type::TextBlock.new(paragraphs, base: style).set(TileLoom::Geometry::Box.at(0, 0, 100, 20))
      end
    base, raised = nodes.call("m<sup>2</sup>")
    expect(raised.size_pt).to be_within(1e-9).of(10 * os2.y_superscript_y_size / 1000.0)
    expect(base.y - raised.y).to be_within(1e-9).of(10 * os2.y_superscript_y_offset / 1000.0 * 25.4 / 72)
    expect(raised.x).to be_within(1e-9).of(base.x + base.face.width_mm("m", 10))
    base, lowered = nodes.call("CO<sub>2</sub>")
    expect(lowered.y - base.y).to be_within(1e-9).of(10 * os2.y_subscript_y_offset / 1000.0 * 25.4 / 72)
  end

  it "draws lines under and through words as wide as the words" do
    style = TileLoom::Type::TextStyle.new(face: TileLoom::Type::Library.face("sans"), size_pt: 20)
    paragraphs =
      TileLoom::Type::Markup.new(
        "a <u>line</u> <s>gone</s>",
        base: style,
        faces: TileLoom::Type::FaceSet.new.method(:variant)
      ).paragraphs
    nodes = TileLoom::Type::TextBlock.new(paragraphs, base: style).set(TileLoom::Geometry::Box.at(0, 0, 100, 20))
    under, through = nodes.grep(TileLoom::Scene::Path).map { |path| path.runs.first }
    texts = nodes.grep(TileLoom::Scene::Text)
    line = texts.find { |known| known.string.strip == "line" }
    expect(under[2] - under[0]).to be_within(0.01).of(style.width_mm(line.string))
    expect(under[1]).to be > line.y
    expect(through[1]).to be_between(line.y - style.face.cap_height_mm(20), line.y)
  end

  it "puts values in as they are, whatever signs they hold" do
    book, source =
      book_with_elements([{"kind" => "text", "text" => "<b>{{ book.title }}</b> & more", "markup" => false}])
    settings = book.settings.merge("title" => "<i>Moss & Moor</i>")
    element = settings["layout"]["elements"][1]
    element["markup"] = true
    element["text"] = "<b>{{ book.title }}</b> &amp; more"
    Dir.mktmpdir do |folder|
      file = press(TileLoom::Document::Book.new(settings), source, folder)
      expect(outside("pdftotext", file, "-")).to include("<i>Moss & Moor</i> & more")
    end
  end

  {
    "<b>open" => /do not go together/,
    "<script>x</script>" => /the tag <script>, which is not one of b, i, u/,
    "<a href=\"x\">y</a>" => /the tag <a>/,
    "<b onclick=\"x\">y</b>" => /cannot have “onclick”/,
    "<span style=\"background: url(http://x)\">y</span>" => /cannot have “background: url/,
    "<span style=\"font-size: 9999999pt\">y</span>" => /cannot have “font-size/,
    "<ul>text</ul>" => /<li> belongs in <ul>/,
    "<!DOCTYPE x [<!ENTITY a \"b\">]>" => /cannot have <! or <\?/,
    "#{"<b>" * 40}x#{"</b>" * 40}" => /more than 20 deep/
  }.each do |string, sentence|
    it "refuses #{string[0, 30]} with a sentence that says where it stands" do
      book, = book_with_elements([{"kind" => "text", "text" => string, "markup" => true}])
      expect { TileLoom::Document::Check.demand(book.settings) }.to invalid(sentence, path: "/layout/elements/1/text")
    end
  end

  it "says of a typeface that it has not the looks which are asked for" do
    told = ->(**settings) do
      book, source =
        book_with_elements(
          [{"kind" => "text", "title" => "Note", "markup" => true, **settings.transform_keys(&:to_s)}]
        )
      cell = book.cells(source).first
      TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 1).left_out
    end
    expect(told.call(text: "<b>x</b> <i>y</i>", face: "sans-light")).to eq([])
    expect(told.call(text: "<i>x <b>y</b></i>", face: "condensed")).to eq(
      ["The text “Note” asks for bold type, which the family Loom Condensed has not."]
    )
  end

  it "follows a change of the palette within its tags" do
    book, =
      book_with_elements(
        [{"kind" => "text", "markup" => true, "text" => "#A3211B <span style=\"color: #A3211B\">x</span>"}]
      )
    change = TileLoom::Document::PaletteChange.new("#a3211b")
    fresh = change.patch(book.settings)
    ink = fresh["palette"].first["colour"]
    expect(ink).not_to eq("#a3211b")
    expect(fresh["layout"]["elements"][1]["text"]).to include("color: #{ink}\">x")
  end

  it "sets lists with signs or numbers before paragraphs that hang behind them" do
    list =
      "<ul>\n<li>one that is so long that it must go on below itself</li>\n<li>two</li>\n</ul>\n<ol><li>first</li><li>second</li></ol>"
    text(text: list, markup: true, size_pt: 10) do |words, _|
      expect(words.map(&:first)).to include("•", "1.", "2.")
      starts = %w[one two first second].map { |name| word(words, name)[1] }
      expect(starts).to all(be_within(0.05).of(30 + 1.5 * 10 * 25.4 / 72))
      lines = words.group_by { |known| known[2].round(1) }.values.map(&:first)
      # The second line of the first item begins where its first one does.
      expect(lines[1][1]).to be_within(0.05).of(starts.first)
      # Marks end at the same place.
      expect(word(words, "1.")[3]).to be_within(0.05).of(word(words, "2.")[3])
    end
  end

  describe "paragraphs" do
    it "are set in, apart, their first lines further in" do
      text(
        text: "one one one one one one one one one one one one one one one\nnext",
        size_pt: 10,
        first_indent_mm: 5,
        indent_mm: 3,
        paragraph_gap_mm: 4
      ) do |words, _|
        lines = words.group_by { |known| known[2].round(1) }.values
        expect(lines.map { |line| line.first[1] }).to match([38, 33, 38].map { |mm| be_within(0.05).of(mm) })
        pitch = 10 * 1.2 * 25.4 / 72
        expect(lines[2].first[2] - lines[1].first[2]).to be_within(0.05).of(pitch + 4)
      end
    end

    # By hand: right sides at 30 + 40 mm, decimal points at 30 + 50 mm, middles at 30 + 20 mm.
    it "go on at tabs: left, right, centred, by decimal signs, led by dots" do
      tabs = [
        {"at_mm" => 20, "align" => "centre"},
        {"at_mm" => 40, "align" => "right", "leader" => "."},
        {"at_mm" => 50, "align" => "decimal"}
      ]
      text(text: "a\tmid\t7\t1.5\nb\tmiddle\t123\t22.75", size_pt: 9, tabs: tabs) do |words, _|
        expect([word(words, "mid"), word(words, "middle")].map { |known| (known[1] + known[3]) / 2 }).to all(
          be_within(0.1).of(50)
        )
        expect([word(words, "7"), word(words, "123")].map { |known| known[3] }).to all(be_within(0.1).of(70))
        face = TileLoom::Type::Library.face("sans")
        expect(word(words, "1.5")[1] + face.width_mm("1", 9)).to be_within(0.1).of(80)
        expect(word(words, "22.75")[1] + face.width_mm("22", 9)).to be_within(0.1).of(80)
        leaders = words.select { |known| known[0].match?(/\A\.{3,}\z/) }
        expect(leaders.length).to eq(2)
        # Their dots lie below one another.
        step = face.width_mm(".", 9)
        off = (leaders[0][1] - leaders[1][1]) / step
        expect(off).to be_within(0.05).of(off.round)
      end
    end

    it "fill columns one after another" do
      text(
        text: (1..9).map { |n| "line#{n}" }.join("\n"),
        size_pt: 10,
        columns: 2,
        column_gap_mm: 6,
        line_height: 1.6
      ) do |words, _|
        # 30 mm hold five lines of 5.64 mm.
        expect((1..9).map { |n| word(words, "line#{n}")[1].round(1) }).to eq([30.0] * 5 + [63.0] * 4)
        expect(word(words, "line6")[2]).to be_within(0.05).of(word(words, "line1")[2])
      end
    end

    # TeX's own example of Liang's patterns: hy-phen-ation (The TeXbook, appendix H), and British usage.
    it "break words by the patterns of the book's language, if they are asked to" do
      expect(TileLoom::Type::Hyphenation.of("en-US").places("hyphenation")).to include(2, 6)
      expect(TileLoom::Type::Hyphenation.of("tlh")).to be_nil
      long = "Extraordinarily considerable representative acknowledgements"
      text(text: long, size_pt: 18) { |words, _| expect(words.map(&:first)).not_to include(match(/-\z/)) }
      text(text: long, size_pt: 18, hyphenate: true) do |words, _|
        expect(words.map(&:first)).to include(match(/-\z/))
        expect(words.map(&:first).join(" ").gsub("- ", "")).to eq(long)
        expect(words.map { |known| known[3] }).to all(be <= 90.05)
      end
    end

    it "break at soft hyphens whatever the language, and show none that is not used" do
      text(text: "Donau\u00ADdampf\u00ADschiff\u00ADfahrts\u00ADgesell\u00ADschaft", size_pt: 24) do |words, _|
        expect(words.length).to be > 1
        expect(words[0...-1].map(&:first)).to all(end_with("-"))
        expect(words.map(&:first).join.delete("-")).to eq("Donaudampfschifffahrtsgesellschaft")
      end
    end
  end

  it "says where there are no patterns for the book's language" do
    book, source =
      book_with_elements([{"kind" => "text", "text" => "x", "hyphenate" => true, "title" => "Note"}], language: "ja")
    composer =
      TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
    expect(composer.left_out).to include(
      "The text “Note” is not hyphenated, as there are no patterns for the book's language (ja)."
    )
  end

  it "has the book's description and its own fields, in names of files too" do
    fields = [{"name" => "client", "value" => "Moor & Moss"}]
    book, source =
      book_with_elements(
        [{"kind" => "text", "text" => "{{ fields.client }}: {{ book.description }}"}],
        fields: fields,
        description: "All dams."
      )
    Dir.mktmpdir do |folder|
      expect(outside("pdftotext", press(book, source, folder), "-")).to include("Moor & Moss: All dams.")
    end
    order =
      TileLoom::Output::Order.new(
        {"form" => {"kind" => "pdf_sheets"}, "file_name" => "{{ fields.client }} {{ sheet.name }}"}
      )
    names = TileLoom::Output::Press.new(book: book, source: source, order: order).names.values
    expect(names).to eq(["Moor & Moss A1.pdf"])
    twice = book.settings.merge("fields" => fields * 2)
    expect { TileLoom::Document::Check.demand(twice) }.to invalid(/Two fields of the book are called “client”/)
    gone = book.settings.except("fields")
    expect { TileLoom::Document::Check.demand(gone) }.to invalid(/asks for “client”/, path: "/layout/elements/1/text")
  end
end
