# frozen_string_literal: true

require "browser_helper"

RSpec.describe "Sheet", type: :feature do
  before(:all) { @book = demo_book }

  before { visit "/books/#{@book.id}/sheet" }

  it "changes the page with live content; the scale is held" do
    expect(page).to have_text("The frame is 314 × 261 mm and shows 785.2 × 652.7 m of ground at 1:2,500")
    expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
    expect_accessible
    choose("Page size", "A4")
    expect(page).to have_text("and shows 477.6 × 435.1 m of ground at 1:2,500")
    card_value("Design").click
    within("aside") { click_button(text: /\AFoot panel/) }
    choose("Orientation", "portrait")
    choose("Binding edge", "unbound")
    expect(page).to have_text(/The frame is 174 × 231 mm/)
    expect(page).to have_css("[data-sheet='1'] svg text", text: /Sheet 1 of/)
    undo(4)
    expect(page).to have_text("The frame is 314 × 261 mm")
  end

  it "refuses margins larger than the page, and a gutter that leaves nothing" do
    type_value("Margins, all four", "150")
    click_button("Apply")
    expect(page).to have_css("[role=dialog] [role=alert]", text: /margins leave .* make them smaller/i)
    find("[role=dialog] input").send_keys(:escape)
    expect(page).to have_no_css("[role=dialog]")
    type_value("Gutter, extra space on the bound edge", "20")
    keep
    expect(page).to have_text("The frame is 306 × 261 mm")
    click_button("Undo")
    expect(page).to have_text("The frame is 314 × 261 mm")
  end

  it "says what follows for the index when the frame changes; rebuilds it, or keeps the cells and marks them" do
    choose("Page size", "A4")
    expect(page).to have_css(
      "[aria-label='The index is out of date']",
      text: /the frame has changed .*\(the frame was 314 × 261 mm\)\. Rebuilding gives \d+ sheets \(now 27\), /
    )
    expect_accessible
    click_button("Keep the cells")
    expect(page).to have_no_css("[aria-label='The index is out of date']")
    expect(page).to have_css("footer", text: "◆ unchanged · 1")
    click_button("Undo")
    click_button("Rebuild the index")
    expect(page).to have_no_css("[aria-label='The index is out of date']")
    expect(page).to have_no_css("footer", text: "◆ unchanged")
    expect { App::Book.find(@book.id).index.cells.count }.to become(
      App::Book.find(@book.id).tap(&:generate).index.cells.count
    )
    undo(2)
    expect(page).to have_text("27 sheets in all")
  end

  it "brings in a typeface and a picture of one’s own, and shows them as they print" do
    Dir.mktmpdir do |folder|
      logo = File.join(folder, "club logo.png")
      (Vips::Image.black(300, 150) + [40, 90, 60]).cast(:uchar).copy(interpretation: :srgb).write_to_file(logo)
      within("aside") { click_button("Title") }
      attach_file(
        "Your own typeface",
        File.join(TileLoom::ROOT, "web/node_modules/source-sans/OTF/SourceSans3-Medium.otf"),
        make_visible: true
      )
      expect(page).to have_css("svg text[font-family^='Loom own']", text: "Skarrow Moss")
      family = find("svg text[font-family^='Loom own']", text: "Skarrow Moss")["font-family"]
      expect { page.evaluate_script("document.fonts.check('12px \"#{family}\"')") }.to become(true)
      attach_file("Your own typeface", logo, make_visible: true)
      expect(page).to have_css("aside [role=alert]", text: "club logo.png is not a font file")
      click_button("The page")
      click_button("New element")
      find("[role=menuitem]", text: "Picture").click
      attach_file("Your own picture", logo, make_visible: true)
      expect { page.evaluate_script("document.querySelector('[data-sheet] svg image')?.href.baseVal") }.to become(
        %r{\A/api/enclosures/[0-9a-f]{64}\z}
      )
      expect_accessible
      undo(4)
      expect(page).to have_no_css("svg text[font-family^='Loom own']")
    end
  end

  it "adds an index sheet, designs it, shows it in the proof and the strip, and does without it",
    small_pictures: true do
    choose("Which page", "the index sheet")
    expect(page).to have_css("[data-sheet='0'] svg text", text: "F3")
    expect(page).to have_text("with the names of 27 sheets")
    expect_accessible
    within("aside") { click_button("Count") }
    fill_in("Size, pt", with: "14")
    find_field("Size, pt").send_keys(:enter)
    expect(page).to have_css("[data-sheet='0'] svg text", text: "Index to 27 sheets")
    click_link("Proof")
    expect(page).to have_text("The index sheet, before 27 sheets")
    page.driver.browser.action.send_keys(:page_down).perform
    expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
    find("footer button", text: "Index").click
    expect(page).to have_css("[data-sheet='0']")
    click_link("Sheet")
    click_button("Remove the index sheet")
    expect(page).to have_css("[data-sheet='1']")
    undo(3)
  end

  it "pulls guides out of the rulers and takes them away again, turns an element, and looks at it closely" do
    expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
    paper = find("[data-sheet='1']").native.rect
    ruler = find("[data-ruler=down]").native
    page
      .driver
      .browser
      .action
      .move_to(ruler)
      .click_and_hold
      .move_to_location((paper.x + 100 * per_mm).round, (paper.y + 60).round)
      .perform
    expect(page).to have_css("[role=status]", text: %r{ mm})
    page.driver.browser.action.release.perform
    expect {
      App::Book.find(@book.id).document.dig("layout", "guides", "x")&.map { |mm| (mm - 100).abs < 1 }
    }.to become([true])
    fill_in("Horizontal, mm from the top", with: "50; 297/2")
    find_field("Horizontal, mm from the top").send_keys(:enter)
    expect(page).to have_css("[data-guide='y 148.5']")
    page.driver.browser.action.click_and_hold(find("[data-guide^='x']").native).move_to(ruler).release.perform
    expect(page).to have_no_css("[data-guide^='x']")
    within("aside") { click_button("Sheet name") }
    handle = find("[data-handle=turn]").native.rect
    box = find("[data-element='sheet-name']").native.rect
    # From above the middle to the right of it: a quarter turn.
    page
      .driver
      .browser
      .action
      .move_to_location((handle.x + 6).round, (handle.y + 6).round)
      .click_and_hold
      .move_to_location((box.x + box.width / 2 + 200).round, (box.y + box.height / 2).round)
      .release
      .perform
    expect(page).to have_css("svg text[transform^='rotate(90']", text: "A1")
    click_button("Selection")
    expect(page).to have_css("[aria-label=Zoom]", text: /[2-9]\d\d %/)
    undo(4)
  end

  it "marks an element off the page, which is found from the strip and brought back", small_pictures: true do
    within("aside") { click_button("Ratio") }
    fill_in("From left, mm", with: "-200")
    find_field("From left, mm").send_keys(:enter)
    find("footer a", text: "1 element off the page").click
    expect(page).to have_css("aside h2", text: "Ratio")
    click_button("Align: Left")
    expect(page).to have_no_css("footer a", text: "off the page")
    undo(2)
  end

  it "says beside the text which value it does not know" do
    within("aside") { click_button("Sheet name") }
    field = find_field("Text")
    field.set("{{ sheet.nane }}")
    field.send_keys(:tab)
    expect(page).to have_css("aside [role=alert]", text: /asks for “nane”, which this sheet does not know; use one of/)
    field.set("Blatt {{ sheet.name }}")
    field.send_keys(:enter)
    expect(page).to have_css("svg text", text: "Blatt A1")
    click_button("Undo")
    expect(page).to have_css("svg text", text: /\AA1\z/)
    click_button("Insert a value")
    expect(page).to have_css("[role=menuitem]", text: /sheet\.row\s*1/)
    expect_accessible
    find("[role=menuitem]", text: "sheet.count").click
    expect(page).to have_css("svg text", text: "A1 27")
    click_button("Undo")
  end

  # Where an element lies by the server: [left, top, width, height] in mm.
  def place(id) = App::Presenter.book(App::Book.find(@book.id))["frame"]["elements"][id]

  def drag(css, dx, dy, keys: nil)
    action = page.driver.browser.action
    action.key_down(keys) if keys
    action.move_to(find(css).native).click_and_hold.move_by(dx, dy).perform
    yield if block_given?
    action = page.driver.browser.action
    action.release
    action.key_up(keys) if keys
    action.perform
  end

  def per_mm = find("[data-sheet='1']").native.rect.width / 420.0

  it "moves an element with the pointer and with the keys, sizes it by a handle, and undoes each" do
    expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
    before = place("north")
    drag("[data-element=north]", -100, -20, keys: :alt) do
      expect(page).to have_css("[role=status]", text: /from the margins/)
    end
    moved = [before[0] - 100 / per_mm, before[1] - 20 / per_mm]
    expect { place("north").first(2).zip(moved).all? { |one, other| (one - other).abs < 0.3 } }.to become(true)
    expect(page).to have_css("aside h2", text: "North")
    at = place("north")
    page.driver.browser.action.send_keys(:arrow_right).key_down(:shift).send_keys(:arrow_down).key_up(:shift).perform
    expect { place("north").first(2).map { |mm| mm.round(2) } }.to become(
      [at[0] + 1, at[1] + 10].map { |mm| mm.round(2) }
    )
    width = place("north")[2]
    drag("[data-handle='1,0']", 40, 0, keys: :alt)
    expect { (place("north")[2] - width - 40 / per_mm).abs < 0.3 }.to become(true)
    undo(4)
    expect(place("north")).to eq(before)
  end

  it "snaps to the margins, keeps a locked element where it is, and picks several with a frame" do
    expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
    # The title ends 5 mm from the right margin; drawn a little more than that, it comes to it.
    drag("[data-element=title]", (5 * per_mm + 1).round, 0)
    expect { (place("title")[0] + place("title")[2]).round(3) }.to become(410.0)
    click_button("Lock")
    expect(page).to have_text("Locked. Unlock it to move or edit it.")
    at = place("title")
    drag("[data-element=title]", -60, 40)
    expect(place("title")).to eq(at)
    click_button("Unlock")
    undo(3)
    canvas = find("[data-canvas]").native
    corner = [canvas.rect.width / 2, canvas.rect.height / 2]
    page
      .driver
      .browser
      .action
      .move_to(canvas, (corner[0] - 4).round, (corner[1] * 0.62).round)
      .click_and_hold
      .move_by(-(66 * per_mm).round, (60 * per_mm).round)
      .release
      .perform
    expect(page).to have_css("aside h2", text: /\d elements/)
    expect_accessible
  end

  it "places exactly from one of nine points, and lines up" do
    within("aside") { click_button("Legend") }
    click_button("right middle")
    fill_in("From left, mm", with: "420-15.5")
    find_field("From left, mm").send_keys(:enter)
    expect { (place("legend")[0] + place("legend")[2]).round(3) }.to become(404.5)
    click_button("Align: Right")
    expect { (place("legend")[0] + place("legend")[2]).round(3) }.to become(410.0)
    undo(2)
  end

  it "adds an element, styles it, duplicates, hides and removes it" do
    click_button("New element")
    expect_accessible
    find("[role=menuitem]", text: "Text").click
    expect(page).to have_css("aside h2", text: "Text 1")
    field = find_field("Text")
    field.set("Handle with care")
    field.send_keys(:enter)
    expect(page).to have_css("svg text", text: "Handle with care")
    pick("Family", "Condensed")
    expect(page).to have_css("svg text[font-family='Loom Condensed']", text: "Handle with care")
    fill_in("Rotation, ° clockwise", with: "30")
    find_field("Rotation, ° clockwise").send_keys(:enter)
    expect(page).to have_css("svg text[transform^='rotate(30']", text: "Handle with care")
    pick("Area", "one colour")
    expect(page).to have_field("Corners, mm")
    expect_accessible
    click_button("Duplicate")
    expect(page).to have_css("svg text", text: "Handle with care", count: 2)
    click_button("Hide")
    expect(page).to have_css("svg text", text: "Handle with care", count: 1)
    click_button("Show Text 2")
    expect(page).to have_css("svg text", text: "Handle with care", count: 2)
    within("aside") { click_button("Text 2") }
    click_button("Remove")
    expect(page).to have_css("svg text", text: "Handle with care", count: 1)
    click_button("Show the fullest sheet")
    expect(page).to have_css("[data-sheet]")
    undo(8)
    expect(page).to have_no_css("svg text", text: "Handle with care")
  end

  # As many changes as it makes are taken back by the server alone, which is quicker than by the button.
  it "styles words of a text, lists dams in a table, bends a line, gives an area a gradient" do
    before = App::Book.find(@book.id).edit_position
    add = ->(kind) do
      click_button("The page") if page.has_button?("The page", wait: 0)
      click_button("New element")
      find("[role=menuitem]", text: kind).click
    end
    add["Text"]
    find("label", text: "Styles within the text").click
    expect(page).to have_css("[role=toolbar][aria-label='Styles of the selected words']")
    field = find_field("Text", type: "textarea")
    field.set("Skarrow Moss")
    field.native.send_keys(%i[control enter])
    # The title says the same.
    expect(page).to have_css("svg text", text: /\ASkarrow Moss\z/, count: 2)
    page.execute_script("arguments[0].focus(); arguments[0].setSelectionRange(8, 12)", field)
    click_button("Bold")
    expect(page).to have_css("svg text[font-weight='700']", text: /\AMoss\z/)
    expect_accessible
    field = find_field("Text", with: "Skarrow <b>Moss</b>")
    field.set("Skarrow <b>Moss")
    field.native.send_keys(%i[control enter])
    expect(page).to have_css("aside [role=alert]", text: "The tags of the text do not go together")
    field.native.send_keys(:escape)
    add["Table"]
    pick("Lists", "Peat dams")
    expect(page).to have_css("[data-part='table table-1'] text", text: /\AD\d+\z/)
    expect_accessible
    add["Line"]
    fill_in("Height, mm", with: "20")
    find_field("Height, mm").send_keys(:enter)
    # The next change is made on what this one comes to.
    height = -> { page.evaluate_script("document.querySelector('[data-element=line-1]').offsetHeight") }
    expect(&height).to become(->(pixels) { pixels > 20 })
    click_button("Add a bend")
    expect(page).to have_text("Through 3 places")
    find("[aria-label='Place 2 of the line']").send_keys(%i[shift arrow_up])
    expect { App::Book.find(@book.id).document["layout"]["elements"].last["points"][1] }.to become([0.5, 0])
    add["Box"]
    pick("Area", "gradient")
    expect(page).to have_css("svg linearGradient", visible: :all)
    expect_accessible
    session = page.evaluate_script("localStorage.getItem('session')")
    (App::Book.find(@book.id).edit_position - before).times do
      App::BookChanges.new(App::Book.find(@book.id), session: session).undo
    end
    visit "/books/#{@book.id}/sheet"
    expect(page).to have_no_css("[data-part='table table-1']")
  end
end
