# frozen_string_literal: true

# Which sheets, under which names, and what that comes to.
RSpec.describe TileLoom::Output::Order do
  def press(**order) = press_of(order.transform_keys(&:to_s))

  def names(pattern, **order) = press(form: {"kind" => "pdf_sheets"}, file_name: pattern, **order).names.values

  describe "names of files" do
    it "are live text of the book, the page and the sheet" do
      expect(names("{{ book.title }}_{{ page.size }}_{{ sheet.scale }}_{{ sheet.name }}", sheets: "1-2")).to eq(
        ["Skarrow Moss_A3_2500_A1.pdf", "Skarrow Moss_A3_2500_B1.pdf"]
      )
      expect(names("{{ book.date }} {{ file.counter | padded: 3 }}", sheets: "C2, D2")).to eq(
        ["2026-04-01 001.pdf", "2026-04-01 002.pdf"]
      )
    end

    it "are live text of what only the drawn sheet knows, too" do
      expect(names("{{ sheet.name }} {{ sheet.zone }}", sheets: "B2")).to eq(["B2 29V.pdf"])
    end

    it "say of one file what its sheets have in common" do
      expect(press(file_name: "{{ book.title }}_{{ sheet.scale }}_{{ sheet.name }}").names.values).to eq(
        ["Skarrow Moss_2500_A1-E5.pdf"]
      )
    end

    # Names that Windows reserves and signs that it, macOS or Linux refuse (common practice).
    it "are legal on all systems" do
      legal = TileLoom::Output::FileNames.method(:legal)
      expect(legal.call("a/b\\c:d*e?f\"g<h>i|j")).to eq("a-b-c-d-e-f-g-h-i-j")
      expect(["CON", "lpt1", "  x. ", "..", "", "é" * 200].map(&legal)).to match(
        ["CON_", "lpt1_", "x", "file", "file", satisfy { |name| name.bytesize <= 120 && name.valid_encoding? }]
      )
    end

    it "are each there once, and what was changed of them is told before" do
      found = press(form: {"kind" => "pdf_sheets"}, file_name: "{{ book.title }}", sheets: "1-3")
      expect(found.names.values).to eq(["Skarrow Moss.pdf", "Skarrow Moss-2.pdf", "Skarrow Moss-3.pdf"])
      expect(TileLoom::Output::Plan.new(found).notices.join).to match(
        /3 files would be called “Skarrow Moss\.pdf” \(A1, B1, C1\)/
      )
      slashed = press(form: {"kind" => "pdf_sheets"}, file_name: "{{ sheet.fraction }}/{{ sheet.name }}", sheets: "1")
      expect([slashed.names.values, TileLoom::Output::Plan.new(slashed).notices.join]).to match(
        [["1-2,500-A1.pdf"], /signs that a name cannot have/]
      )
    end

    it("refuse values that nothing has") do
      expect { names("{{ sheet.moon }}", sheets: "1") }.to invalid(/moon/, path: "/file_name")
    end
  end

  describe "ranges" do
    it "take those that meet a condition on the sheet, or on its feature" do
      row = press(where: {"op" => "=", "args" => [{"property" => "sheet.row"}, 2]})
      expect(row.picked.map(&:name)).to all(end_with("2"))
      expect { press(where: {"op" => ">", "args" => [{"property" => "sheet.number"}, 900]}) }.to invalid(
        /No sheet of the range meets/
      )
    end

    # A book whose third sheet is named 1, and whose first is named 3.
    it "say for what a number was taken, and ask where it could be two sheets" do
      cells = press.cells.first(3)
      named = cells.zip(%w[3 2x 1]).map { |cell, name| cell.with(name: name) }
      expect { TileLoom::Index::SheetRange.new("1").pick(named) }.to raise_error(
        TileLoom::Index::SheetRange::Ambiguous,
        "“1”: sheet 3 is named 1, and number 1 is named 3. Which one? Enter #1 for the number or \"1\" for the name."
      )
      expect(TileLoom::Index::SheetRange.new("2").readings(named)).to eq(["“2” is number 2, sheet 2x."])
    end
  end

  describe "a plan" do
    it "tells files, pixels, size and time" do
      plan = TileLoom::Output::Plan.new(press(form: {"kind" => "images"}, sheets: "1-2"))
      expect(plan.to_h).to include(
        "sheets" => 2,
        "files" => 2,
        "pixels" => [4961, 3508],
        "names" => ["Skarrow Moss_A1.png", "Skarrow Moss_B1.png"]
      )
      expect(plan.in_words).to match(/\A2 files, up to 4,961 × 3,508 px, about [\d.]+ MB, about \d+ s\.\z/)
    end

    # Within a factor of three of what comes of it: an estimate.
    it "guesses sizes of the right order" do
      Dir.mktmpdir do |folder|
        [
          {"kind" => "pdf_book"},
          {"kind" => "pdf_sheets"},
          {"kind" => "images"},
          {"kind" => "svg_sheets"}
        ].each do |form|
          found = press(form: form, sheets: "5-8", ppi: 150)
          guessed = TileLoom::Output::Plan.new(found).to_h["bytes"]
          made = hand_on(found, folder).sum { |file| File.size(file) }
          expect([form["kind"], guessed.fdiv(made)]).to match([form["kind"], be_between(1 / 3.0, 3)])
        end
      end
    end
  end

  it "is kept in the book by its schema, with the forms that are there" do
    good = {"name" => "web", "form" => {"kind" => "images", "format" => "webp"}, "ppi" => 96}
    findings = ->(order) do
      TileLoom::Document::Schema.findings(demo_settings.merge("orders" => [order])).map(&:pointer)
    end
    expect(findings[good]).to be_empty
    expect(findings[good.merge("ppi" => 20)]).to eq(["/orders/0/ppi"])
    expect(findings[good.merge("form" => {"kind" => "fax"})]).to eq(["/orders/0/form/kind"])
  end
end
