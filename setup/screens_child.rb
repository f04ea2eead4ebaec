# frozen_string_literal: true

# Walks through the demo as a reader of docs/screenshots/ would find it and takes a picture of each main view; the
# printed sheet is made by bin/loom and drawn by poppler.

require "bundler/setup"
require "rspec"
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__), File.expand_path("../spec", __dir__))
require "spec_helper"
require "browser_helper"

# The strip's small pictures too, which examples do without.
PICTURES.drawn = true

# Each view has a method of its own name.
class ScreensChild
  include Capybara::DSL
  include RSpec::Matchers
  include Capybara::RSpecMatchers
  include AppSpecs
  include BrowserSpecs

  FOLDER = File.join(TileLoom::ROOT, "docs/screenshots")
  DEMO = File.join(TileLoom::ROOT, "demo/skarrow-moss.json")
  # As it stands in the readme's list.
  NAMES = %w[
    books
    ground
    layer
    pixels
    reference
    arrival
    sheet
    legend
    grids
    scale-bar
    designs
    frames
    index-sheet
    weave
    strip
    proof
    history
    press
    printed-sheet
  ].freeze
  WIDTH, HEIGHT, SHEET = 1280, 800, 9

  def run(names)
    unknown = names - NAMES
    abort "There is no picture #{unknown.join(", ")}; there are #{NAMES.join(", ")}." if unknown.any?
    (names.empty? ? NAMES : names).each do |name|
      @book = demo_book
      send(:"show_#{name.tr("-", "_")}")
      next if name == "printed-sheet"
      take(name)
    end
  end

  private

  def take(name)
    resize
    settled
    page.save_screenshot(File.join(FOLDER, "#{name}.png")) # standard:disable Lint/Debugger
    puts "docs/screenshots/#{name}.png"
  end

  # The window's frame is not the page's.
  def resize
    window = page.current_window
    inner = page.evaluate_script("[window.innerWidth, window.innerHeight]")
    return if inner == [WIDTH, HEIGHT]
    outer = window.size
    window.resize_to(outer[0] + WIDTH - inner[0], outer[1] + HEIGHT - inner[1])
  end

  # Calls back once all pictures in the window have come.
  PICTURES = <<~JS
    const done = arguments[0];
    const here = (image) => image.getBoundingClientRect().left < window.innerWidth;
    const look = () => [...document.images].filter(here).every((image) => image.complete) ? done() : setTimeout(look, 100);
    look();
  JS

  # Until nothing is on its way and nothing moves.
  def settled
    ["[aria-busy=true]", "[data-ground=waiting]", "[role=progressbar]"].each { |css| has_no_css?(css, wait: 6) }
    sleep 1.5
    page.evaluate_async_script(PICTURES)
    page.evaluate_async_script(RESTING)
  end

  def go(path) = visit("/books/#{@book.id}/#{path}").then { resize }

  def show_books
    go("weave")
    click_link("All books")
    has_css?("main a", text: @book.title)
  end

  def show_ground = go("ground")

  def show_layer
    go("ground")
    within("aside") { click_button("Peat dams") }
  end

  def show_pixels
    go("ground")
    ["Land cover", "Shaded relief"].each do |title|
      find("[aria-label='Show #{title}']", visible: :all).find(:xpath, "./..").click
      has_text?("All changes saved")
    end
    within("aside") { click_button("Shaded relief") }
  end

  def show_reference
    go("ground")
    card_value("CRS").click
  end

  def show_arrival
    Dir.mktmpdir do |folder|
      FileUtils.cp(File.join(TileLoom::ROOT, "demo/skarrow-moss/fences.geojson"), "#{folder}/new fences.geojson")
      worker do
        go("ground")
        attach_file("Data files", "#{folder}/new fences.geojson", visible: :all)
        has_button?("Discard")
        settled
      end
    end
  end

  def show_sheet = go("sheet?sheet=#{SHEET}")

  def show_legend = go("sheet?sheet=#{SHEET}&selected=legend")

  def show_grids
    go("sheet?sheet=#{SHEET}&selected=main")
    click_button("Metric grid")
  end

  def show_scale_bar = go("sheet?sheet=#{SHEET}&selected=scale")

  def show_designs
    go("sheet?sheet=#{SHEET}")
    card_value("Design").click
  end

  def show_frames
    go("sheet?sheet=#{SHEET}")
    click_button("New element")
    sleep 0.5
    find("[role=menuitem]", text: "Locator", match: :prefer_exact).click
    has_field?("Width, mm")
  end

  def show_index_sheet
    go("sheet?sheet=#{SHEET}")
    choose("Which page", "the index sheet")
    has_css?("footer button", text: "Index")
    go("proof?sheet=0")
  end

  def show_weave = go("weave")

  def show_strip
    App::BookChanges.new(@book).apply({"index" => {"kind" => "strip", "area" => "boardwalk"}}, label: "Strip")
    go("weave")
  end

  def show_proof = go("proof?sheet=#{SHEET}")

  # A morning's work, looked back at.
  def show_history
    changes = -> { App::BookChanges.new(App::Book.find(@book.id)) }
    changes.call.apply({"subtitle" => "Dam inspection, autumn"}, label: "Subtitle")
    index = App::Book.find(@book.id).index
    App::BookChanges
      .new(index.book)
      .of_cells("Rename a sheet: C3") do
        index.keep(index.core_cells.map { |cell| (cell.name == "C3") ? cell.with(name: "Dam store") : cell })
      end
    App::NamedVersion.create!(book_id: @book.id, position: 2, name: "As surveyed", created_at: Time.now.utc)
    changes.call.apply({"layout" => {"page" => {"size" => "A4"}}}, label: "Page")
    changes.call.undo
    go("proof?sheet=#{SHEET}&history=1&at=1")
    click_button("What differs")
    expect(page).to have_css("aside li", text: "renamed")
  end

  def show_press
    run = App::PressOrder.new(@book, {"sheets" => "1-4"}).place
    worker { go("press").then { sleep 0.2 until run.reload.state == "done" } }
    visit(page.current_path)
  end

  def show_printed_sheet
    Dir.mktmpdir do |folder|
      book, picture = "#{folder}/book.pdf", File.join(FOLDER, "printed-sheet")
      made = system("bin/loom", "make", DEMO, "--out", book, "--sheets", SHEET.to_s, out: File::NULL)
      abort "bin/loom did not make the sheet." unless made
      abort "pdftocairo failed." unless system("pdftocairo", "-png", "-singlefile", "-r", "72", book, picture)
    end
    puts "docs/screenshots/printed-sheet.png"
  end
end

ScreensChild.new.run(ARGV)
