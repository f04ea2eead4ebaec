# frozen_string_literal: true

require "browser_helper"

# What the browser shows and what the PDF holds, measured by two programs that know nothing of one
# another: Chromium's text metrics, and poppler's boxes of words.
RSpec.describe "Proof and print", type: :feature do
  before(:all) { @book = demo_book }

  # [words, left, right] of each upright text on the page, in mm, as Chromium sets it.
  def shown
    page.evaluate_script(<<~JS)
      Array.from(document.querySelectorAll("[data-sheet] svg text")).filter(text => !text.getAttribute("transform")).map(text => {
        const svg = text.ownerSVGElement;
        return [text.textContent, text.x.baseVal[0].value / 100, (text.x.baseVal[0].value + text.getComputedTextLength()) / 100];
      })
    JS
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
          document, source = book.document, book.source
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
              ends = [[list.first, 1, left], [list.last, 2, right]]
              ends.filter_map do |word, side, mm|
                nearest = words.select { |found| found[0] == word }.map { |found| (found[side] - mm).abs }.min
                [string, side, nearest] unless nearest && nearest < 0.1
              end
            end
          expect(apart).to eq([])
        end
      end
    end
end
