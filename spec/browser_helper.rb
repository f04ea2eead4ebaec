# frozen_string_literal: true

# For specs that drive the real interface in headless Chromium: `bin/test browser`.
require_relative "app_helper"
require "capybara/rspec"
require "selenium-webdriver"
require "vips"
require_relative "support/broken_answers"

Capybara.register_driver(:chromium) do |app|
  profile = Dir.mktmpdir("chromium")
  at_exit { FileUtils.rm_rf(profile) }
  options =
    Selenium::WebDriver::Options.chrome(
      binary: "/usr/bin/chromium",
      args: %W[
        --headless
        --no-sandbox
        --disable-gpu
        --disable-quic
        --no-first-run
        --disable-background-networking
        --disable-component-update
        --disable-sync
        --window-size=1280,900
        --user-data-dir=#{profile}
      ]
    )
  # On a busy machine a page may be without a processor for longer than the 30 s that a script is given otherwise.
  options.timeouts = {script: 120_000}
  Capybara::Selenium::Driver.new(
    app,
    browser: :chrome,
    options: options,
    service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
  )
end

PICTURES = SmallPictures.new(SERVER)
BROKEN = BrokenAnswers.new(PICTURES)
Capybara.app = BROKEN
Capybara.server = :puma, {Silent: true, Threads: "1:4"}
Capybara.server_host = "127.0.0.1"
Capybara.default_driver = :chromium
# Two browsers share a slow machine’s processors; what comes at once is waited for no longer.
Capybara.default_max_wait_time = 60
Capybara.save_path = Dir.tmpdir
Capybara.enable_aria_label = true

module BrowserSpecs
  # The demo book, freshly in the database.
  def demo_book
    empty_database
    first = !BrowserSpecs.demo_taken
    BrowserSpecs.demo_taken = true
    return import_demo unless first
    DemoCopy
      .new(ActiveRecord::Base.connection, store: App::Store.folder, set_aside: "tile_loom_demo_copy") { import_demo }
      .take
    App::Book.last
  end

  class << self
    # Has this process taken the copy?
    attr_accessor :demo_taken
  end

  def import_demo = App::NewBook.from_folio(TileLoom::Document::Folio.read(SmallBooks::DEMO))

  # A value of the statement, by the label that a screen reader says.
  def value(label) = find(:css, "button[aria-haspopup=dialog][aria-label^='#{label}: ']")

  def type_value(label, text)
    value(label).click
    within("[role=dialog]") { find("input").set(text) }
  end

  def keep
    click_button("Apply")
    expect(page).to have_no_css("[role=dialog]")
    expect(page).to have_text("All changes saved")
  end

  def choose(label, title)
    value(label).click
    within("[role=dialog]") { find("[role=menuitem]", text: title, match: :prefer_exact).click }
    expect(page).to have_no_css("[role=dialog]")
  end

  # A value of the statement that opens a card.
  def card_value(label) = find("button[aria-pressed][aria-label^='#{label}: ']")

  # An option of a list in a card, by what the list is called.
  def pick(field, option)
    find("[role=combobox]", match: :first) { |box| box.native.accessible_name.start_with?(field) }.click
    find("li[role=option]", text: option, match: :prefer_exact).click
  end

  def undo(times = 1) = times.times { click_button("Undo") && expect(page).to(have_text("All changes saved")) }

  # What the block gives, asked again for a while: what a worker or a request is about to write.
  RSpec::Matchers.define :become do |wanted|
    supports_block_expectations
    match do |block|
      deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + 30
      until wanted === (@found = block.call) || Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline
        sleep 0.1
      end
      wanted === @found
    end
    failure_message { "expected it to become #{wanted.inspect}, but it stayed #{@found.inspect}" }
  end

  # What fades in or out has colours of neither state meanwhile, as a button that can be used again. (What turns for as
  # long as work goes on never ends.)
  RESTING = <<~JS
    const done = arguments[0];
    const rest = () => {
      const moving = document.getAnimations().filter((animation) => animation.playState === "running" && animation.effect.getComputedTiming().endTime !== Infinity);
      moving.length ? Promise.allSettled(moving.map((animation) => animation.finished)).then(rest) : done();
    };
    rest();
  JS

  # axe-core finds nothing on this page at WCAG 2.2 AA, once it has come to rest.
  def expect_accessible
    unless page.evaluate_script("!!window.axe")
      page.execute_script(File.read(File.join(TileLoom::ROOT, "web/node_modules/axe-core/axe.min.js")))
    end
    page.evaluate_async_script(RESTING)
    found =
      page.evaluate_async_script(
        "axe.run(document, {runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', " \
          "'best-practice']}).then(arguments[0])"
      )
    problems =
      found["violations"].map do |violation|
        "#{violation["id"]}: #{violation["help"]} #{violation["nodes"].first(3).map { |node| node["html"][0, 160] }}"
      end
    expect(problems).to eq([])
  end

  def worker
    pid =
      Process.spawn(
        {"DELAYED_SILENT" => "1"},
        File.join(TileLoom::ROOT, "bin/worker"),
        out: File::NULL,
        err: File::NULL
      )
    yield
  ensure
    Process.kill("TERM", pid)
    Process.wait(pid)
  end
end

RSpec.configure do |config|
  config.include BrowserSpecs, type: :feature
  # A file tells how somebody works on one book, from one example to the next.
  config.define_derived_metadata(type: :feature) { |metadata| metadata[:order] = :defined }
  config.before(type: :feature) { |example| PICTURES.drawn = example.metadata[:small_pictures] }
  # What the interface passes over is a failure all the same.
  config.before(type: :feature) { BROKEN.take }
  config.after(type: :feature) { expect(BROKEN.take).to be_empty }
end
