# frozen_string_literal: true

require "browser_helper"

# What the browser shows and what the PDF holds, measured by two programs that know nothing of one
# another: Chromium's text metrics, and poppler's boxes of words.
RSpec.describe "Proof and print", type: :feature do
  before(:all) { @book = demo_book }

  # [words, left, right] of each upright text on the page, in mm, as Chromium sets it.
  def shown
    page.evaluate_script(<<~JS)
      Array.from(document.querySelectorAll("[data-sheet] svg text")).filter(text => !text.getAttribute("transform") && !text.getAttribute("rotate")).map(text => {
        // Chromium counts the space after the last letter, too.
        const end = text.x.baseVal[0].value + text.getComputedTextLength() - Number(text.getAttribute("letter-spacing") ?? 0);
        return [text.textContent, text.x.baseVal[0].value / 100, end / 100];
      })
    JS
  end

  # [string, [[x, y] of the foot of each letter but spaces]] of each text along a curve, in mm, as Chromium sets it.
  def curved
    page.evaluate_script(<<~JS)
      Array.from(document.querySelectorAll("[data-sheet] svg text[rotate]:not([fill=none])")).map(text => [
        text.textContent,
        Array.from(text.textContent, (letter, index) => [letter, text.getStartPositionOfChar(index)])
          .filter(([letter]) => letter !== " ")
          .map(([, place]) => [place.x / 100, place.y / 100]),
      ])
    JS
  end

  # [x, y] in mm of every glyph that poppler draws. It puts the page in the middle of a paper of whole points.
  def glyphs(file)
    real = outside("pdfinfo", file).match(/Page size: +([\d.]+) x ([\d.]+) pts/).captures.map(&:to_f)
    aside = real.map { |points| (points.round - points) / 2 }
    outside("pdftocairo", "-svg", "-noshrink", file, "-")
      .scan(/<use xlink:href="#glyph[^"]*" x="([\d.-]+)" y="([\d.-]+)"/)
      .map { |place| place.zip(aside).map { |points, more| (points.to_f + more) * 25.4 / 72 } }
  end

  # [word, left, right] in mm by poppler.
  def printed(file)
    outside("pdftotext", "-bbox", file, "-")
      .scan(/<word xMin="([\d.-]+)" yMin="[\d.-]+" xMax="([\d.-]+)" yMax="[\d.-]+">([^<]*)</)
      .map { |left, right, word| [CGI.unescapeHTML(word), left.to_f * 25.4 / 72, right.to_f * 25.4 / 72] }
  end

  # A sheet with a detail, its neighbours by name, and a globe.
  def self.with_frames
    inset = ->(id, place, **more) { JSON.parse(JSON.generate({kind: "inset", id: id, place: place, **more})) }
    main = TileLoom::Layout::Designs.elements("side-panel")
    frame = main.find { |element| element["kind"] == "map_frame" }
    frame["outlines"] = [{"frame" => "detail", "leaders" => true}]
    place = ->(top) { {left_mm: 8, top_mm: top, width_mm: 60, height_mm: 50} }
    [
      *main,
      inset["detail", place[8], letter: "A", extent: {kind: "detail", at_mm: [200, 100], times: 4}],
      inset["around", place[66], extent: {kind: "neighbours"}, layers: "areas", cells: {labels: "both"}],
      inset["globe", place[124], globe: {}, layers: "none", outlines: [{}]]
    ]
  end

  TileLoom::Layout::Designs
    .names
    .to_h { |name| [name, TileLoom::Layout::Designs.elements(name)] }
    .merge("a page with further frames" => with_frames)
    .each do |name, elements|
      it "agree on every text of #{name} to 0.1 mm, word by word" do
        App::DesignChange.new({"layout" => {"name" => name, "elements" => elements}}).apply_to(
          App::Book.find(@book.id),
          label: name,
          page: false
        )
        visit "/books/#{@book.id}/proof?sheet=9"
        expect(page).to have_css("[data-sheet='9'] svg text")
        page.evaluate_async_script("document.fonts.ready.then(() => arguments[0]())")
        book = App::Book.find(@book.id)
        Dir.mktmpdir do |folder|
          document, source = book.core, book.source
          cells = document.cells(source)
          file = File.join(folder, "sheet.pdf")
          press = TileLoom::Output::Press.new(book: document, source: source)
          press.bind([press.page(cells[8], count: cells.length)], file)
          words = printed(file)
          texts = shown
          expect(texts.length).to be > 10
          apart =
            texts.flat_map do |string, left, right|
              list = string.split(/[\s\u2009]+/)
              # One whose letters are spaced is read as one word.
              ends = [[list.first, 1, left], [list.last, 2, right]]
              ends.filter_map do |word, side, mm|
                nearest =
                  words.select { |found| [word, string].include?(found[0]) }.map { |found| (found[side] - mm).abs }.min
                [string, side, nearest] unless nearest && nearest < 0.1
              end
            end
          expect(apart).to eq([])
          drawn = glyphs(file)
          along = curved
          expect(along).not_to be_empty
          off =
            along.flat_map do |string, feet|
              feet.filter_map { |x, y| string if drawn.map { |u, v| Math.hypot(u - x, v - y) }.min > 0.1 }
            end
          expect(off).to eq([])
        end
      end
    end
end
