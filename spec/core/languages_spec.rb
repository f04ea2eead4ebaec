# frozen_string_literal: true

require "json"
require "open3"

RSpec.describe TileLoom::Languages::Language do
  def in_language(tag) = described_class.of(tag)

  codes = TileLoom::Languages::Known::DATA.keys

  # Checked against the Unicode's ICU, which Node.js carries with CLDR data of its own.
  describe "numbers and dates" do
    let(:icu) do
      program = <<~JS
        const found = {};
        for (const code of #{JSON.generate(codes)}) {
          const number = (value, decimals) => new Intl.NumberFormat(code, {minimumFractionDigits: decimals}).format(value);
          const month = (n) => new Intl.DateTimeFormat(code, {year: "numeric", month: "long", timeZone: "UTC"})
            .format(new Date(Date.UTC(2026, n, 2)));
          const day = new Intl.DateTimeFormat(code, {dateStyle: "long", timeZone: "UTC"})
            .format(new Date(Date.UTC(2026, 3, 2)));
          found[code] = {
            numbers: [number(1234.5, 1), number(12500, 0), number(1234567.25, 2)],
            months: [...Array(12).keys()].map(month),
            day,
          };
        }
        console.log(JSON.stringify(found));
      JS
      out, problem, status = Open3.capture3("node", "-e", program)
      raise problem unless status.success?
      JSON.parse(out)
    end

    it "are as ICU writes them, in each of the languages" do
      ours =
        codes.to_h do |code|
          language = in_language(code)
          [
            code,
            {
              "numbers" => [
                language.number(1234.5, decimals: 1),
                language.number(12_500),
                language.number(1_234_567.25, decimals: 2)
              ],
              "months" => (1..12).map { |month| language.month_and_year(Date.new(2026, month, 2)) },
              "day" => language.long_date(Date.new(2026, 4, 2))
            }
          ]
        end
      expect(ours).to eq(icu)
    end
  end

  # CLDR 48, numbers of de and es: a decimal comma, and groups from five digits on in Spanish.
  it "has a minus sign, the decimal sign and the groups of a language" do
    german, spanish = in_language("de"), in_language("es")
    expect(
      [
        german.number(-12_500.25, decimals: 2),
        german.plain(-0.5),
        german.ratio(2500),
        german.ratio(2500.5),
        spanish.ratio(2500),
        spanish.ratio(25_000),
        german.number(-0.001, decimals: 1)
      ]
    ).to eq(%w[−12.500,25 −0,5 1:2.500 1:2.500,5 1:2500 1:25.000 0,0])
  end

  it "leaves a decimal sign that differs from what stands between the groups" do
    expect(
      [
        in_language("de").number(1250.5, decimals: 1, separator: ","),
        in_language("en").number(1250.5, decimals: 1, separator: "."),
        in_language("en").number(1250.5, decimals: 1, separator: "\u2009")
      ]
    ).to eq(["1,250.5", "1.250,5", "1\u2009250.5"])
  end

  # CLDR 48, coordinateUnit and units; plurals of Polish miles by its rules of cardinal numbers (1, 2–4, 5, 1.5).
  it "has the letters of its cardinal directions, and its symbols of units" do
    expect(%w[de es pt fi el].map { |code| in_language(code).letter("east") }).to eq(%w[O E L I Α])
    expect(%w[de es fr sv el].map { |code| in_language(code).letter("west") }).to eq(%w[W O O V Δ])
    expect([in_language("nl").hemisphere("east"), in_language("nl").letter("east")]).to eq(%w[OL O])
    expect([1, 3, 5, 1.5, 22, 12].map { |miles| in_language("pl").unit("mi", miles) }).to eq(
      %w[mila mile mil mili mile mil]
    )
    expect(%w[en fr el].map { |code| in_language(code).unit("us-ft", 2) }).to eq(%w[ft pi πδ])
  end

  # RFC 5646, 2.1 and RFC 4647, 3.4: a tag is looked up by its parts from the left; case does not count.
  it "is found by the tag of the book" do
    found = %w[de-AT DE pt-PT pt-BR no sk x-own].map { |tag| in_language(tag) }
    expect(found.map(&:code)).to eq(%w[de de pt-PT pt nb en en])
    expect(found.map(&:known?)).to eq([true] * 5 + [false] * 2)
    expect(found.first.tag).to eq("de-AT")
  end

  it "has every word in every language, with the same values in it" do
    values = ->(text) { text.scan(/%\{(\w+)\}/).flatten.sort }
    english = TileLoom::Languages::Known.words("en")
    codes.each do |code|
      words = TileLoom::Languages::Known.words(code)
      expect([code, words.transform_values(&values)]).to eq([code, english.transform_values(&values)])
      expect(words.values.map(&:strip)).not_to include("")
    end
  end

  describe "on the pages of a book" do
    def sheet_in(language, elements = [])
      settings = small_settings(scale: 2500, language: language, date: "2026-04-01")
      settings["layout"]["elements"] += elements
      book = TileLoom::Document::Book.new(settings)
      source = TileLoom::Data::MemorySource.new("area" => [rectangle(403_000, 6_528_000, 405_500, 6_529_000)])
      cells = book.cells(source)
      TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cells.first, count: cells.length)
    end

    def text(id, words) = {"kind" => "text", "id" => id, "place" => {}, "text" => words}

    it "are live texts, filters, bars, norths and labels of grids" do
      sheet =
        sheet_in(
          "de",
          [
            text(
              "said",
              [
                "{{ words.sheet_of }}",
                "{{ sheet.fraction }}",
                "{{ 12500.5 | decimals: 1 }}",
                "{{ sheet.width_m | times: 0 | plus: 0.5 }}",
                "{{ book.date | date: \"%-d. %B\" }}",
                "{{ book.date | long_date }}",
                "{{ sheet.verbal }}"
              ].join("|")
            )
          ]
        )
      said = sheet.live_text(sheet.elements.last.text).split("|")
      expect(said).to eq(
        [
          "Blatt 1 von #{sheet.count}",
          "1:2.500",
          "12.500,5",
          "0,5",
          "1. April",
          "1. April 2026",
          "1 cm entspricht 25 m"
        ]
      )
      expect(sheet.values["sheet"]["declination"].call).to match(/\A\d+°\d\d′ [OW]\z/)
    end

    it "is told where pages cannot be written in it" do
      expect(sheet_in("sk").left_out).to include(
        "Numbers and words of the pages are in English, as they cannot be written in the book's language (sk); " \
          "choose one of #{codes.join(", ")}."
      )
      expect(sheet_in("pt-BR").left_out).to be_empty
    end
  end
end
