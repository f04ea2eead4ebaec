# frozen_string_literal: true

require "browser_helper"

# IndexRun in the browser, by the demo: what is tried shows before it is kept, cells respond to the hand, and every
# step can be undone.
RSpec.describe "Weave", type: :feature do
  before(:all) { @book = demo_book }

  before do
    visit "/books/#{@book.id}/weave"
    expect(page).to have_text("27 sheets, each 785.2 × 652.7 m")
  end

  def rows = App::Book.find(@book.id).index.rows

  def cell(name) = rows.find { |row| row["name"] == name }

  it "looks for the fewest sheets, shows what would come and go, and keeps it when told to" do
    card_value("Placement").click
    expect_accessible
    pick("Fewest sheets", "move it for the fewest")
    expect(page).to have_css("aside [role=status]", text: "26 sheets of 785.2 × 652.7 m. Nothing left out.")
    expect(page).to have_text(/The fewest sheets found: 26, 1 fewer than the 27 of the plain grid/)
    expect(page).to have_text(/26 names unchanged; [A-F]\d removed/)
    expect_accessible
    expect(rows.length).to eq(27)
    click_button("Apply")
    expect(page).to have_text("26 sheets, each 785.2 × 652.7 m")
    expect(page).to have_css("button[aria-label='Placement: moved for the fewest sheets']")
    undo
    expect(page).to have_text("27 sheets, each 785.2 × 652.7 m")
    pick("Grid origin", "corners on round coordinates")
    expect(page).to have_css("aside [role=status]", text: /\d+ sheets of/)
    fill_in("Corners on multiples of", with: "5 km")
    find_field("Corners on multiples of").send_keys(:enter)
    expect(page).to have_css("aside [role=alert]", text: /leave no step/)
    click_button("Cancel")
    expect(page).to have_no_button("Apply")
  end

  it "names sheets by a pattern, old and new side by side, and takes them in another order" do
    card_value("Names").click
    fill_in("Prefix", with: "SM ")
    find_field("Prefix").send_keys(:enter)
    expect(page).to have_css("[aria-label='Old and new names'] tr", text: /A1\s*SM A1/)
    expect_accessible
    click_button("Apply")
    expect(page).to have_css("footer", text: "SM A1")
    choose("Order", "rows back and forth")
    expect { rows.map { |row| row["name"] }.values_at(5, 6) }.to become(["SM F2", "SM E2"])
    undo(2)
    expect(page).to have_css("footer", text: /\bA1\b/)
  end

  it "moves a cell by hand, which is told in mm on paper and pins it, and by the keys" do
    visit "/books/#{@book.id}/weave?sheet=14"
    expect(page).to have_css("aside h2", text: "C3")
    expect(page).to have_css("aside", text: "C2: 8.0 mm overlap")
    map = find("[role=application]").native.rect
    expect(page).to have_css("[role=application] canvas")
    # The picked cell lies in the middle row, left of the middle of the index.
    x, y = (map.x + 200 + (map.width - 246) / 2 - 20).round, (map.y + map.height / 2).round
    before = cell("C3")
    # A press right after a click: what the click picks comes in the middle of the drag, which goes on.
    page.driver.browser.action.move_to_location(x, y).click.perform
    page.driver.browser.action.move_to_location(x, y).click_and_hold.move_by(30, 0).move_by(9, 14).perform
    expect(page).to have_css("[role=status]", text: /moved by -?\d+\.\d mm east/)
    sleep 0.4
    page.driver.browser.action.release.perform
    expect { cell("C3")["pinned"] }.to become(true)
    expect(cell("C3")["centre_x"]).to be > before["centre_x"]
    expect(page).to have_text("1 cell pinned.")
    visit "/books/#{@book.id}/weave?sheet=14"
    expect(page).to have_css("aside h2", text: "C3")
    moved = cell("C3")
    find("[role=application]").native.send_keys(:arrow_up)
    # One mm at 1:2,500 is 2.5 m.
    expect { (cell("C3")["centre_y"] - moved["centre_y"]).round(6) }.to become(2.5)
    undo(2)
    expect(cell("C3")).to eq(before)
  end

  it "renames, turns, scales, splits and removes a cell, and refuses a name that is taken" do
    fill_in("Name", with: "b1")
    find_field("Name").send_keys(:enter)
    expect(page).to have_css("aside [role=alert]", text: "Sheet 2 is called “B1” already")
    fill_in("Name", with: "Gate")
    find_field("Name").send_keys(:enter)
    expect(page).to have_css("footer", text: "Gate")
    fill_in("Rotation, ° clockwise", with: "15")
    find_field("Rotation, ° clockwise").send_keys(:enter)
    expect { cell("Gate")["rotation_deg"] }.to become(15.0)
    expect_accessible
    fill_in("Split into sheets at 1 : n", with: "1250")
    find_field("Split into sheets at 1 : n").send_keys(:enter)
    expect(page).to have_css("footer", text: "Gate-4")
    find("footer button", text: "Gate-4").click
    expect(page).to have_css("aside h2", text: "Gate-4")
    click_button("Remove")
    expect(page).to have_no_css("footer", text: "Gate-4")
    undo(4)
    expect(page).to have_css("footer", text: /\bA1\b/)
  end

  it "takes sheets in an order by hand, dragged in the strip" do
    find("footer li", text: /\AC1/).drag_to(find("footer li", text: /\AA1/))
    expect { rows.map { |row| row["name"] }.first(3) }.to become(%w[C1 A1 B1])
    expect(page).to have_css("button[aria-label='Order: by hand']")
    undo
    expect { rows.map { |row| row["name"] }.first(3) }.to become(%w[A1 B1 C1])
    expect(page).to have_css("button[aria-label='Order: row by row']")
  end

  it "proves the cover, goes to what is left out, and fills it" do
    find("footer button", text: /\AC3/).click
    expect(page).to have_css("aside h2", text: "C3")
    click_button("Remove")
    expect(page).to have_text(
      /26 sheets, each .* ha left out; 1 polygon of Restoration area is partly outside all sheets\. /
    )
    click_button("Coverage and files")
    expect(page).to have_css("[aria-label='Pieces left out'] li", count: 1)
    pick("Of layer", "Peat dams")
    expect(page).to have_css("aside", text: /\d+ of \d+ on no sheet/)
    expect_accessible
    within("[aria-label='Pieces left out']") { click_button(text: "Go there") && click_button("Add a cell") }
    expect(page).to have_text(/27 sheets, each .* Nothing left out\./)
    undo(2)
    find("aside button", text: "Back to the cell").click
  end

  it "generates a strip along a line and a sheet for each feature, and goes back" do
    choose("Study area", "Tracks")
    choose("Kind of index", "a strip")
    expect(page).to have_text(/Cover Tracks with a strip, 10 mm clear of the sides, free rotation, at 1:2,500/)
    card_value("Placement").click
    fill_in("Maximum rotation, °", with: "0")
    find_field("Maximum rotation, °").send_keys(:enter)
    expect(page).to have_css("aside [role=status]", text: /\d+ sheets of/)
    expect_accessible
    click_button("Apply")
    expect { rows.map { |row| row["rotation_deg"] }.uniq }.to become([0.0])
    choose("Study area", "Lochans")
    choose("Kind of index", "a sheet for each feature")
    expect(page).to have_text(/Cover Lochans with a sheet for each feature, at the same scale/)
    pick("Named by", "name")
    pick("Scale rule", "fit with margin")
    expect(page).to have_button("Apply")
    click_button("Apply")
    expect { rows.map { |row| row["scale"] }.uniq.length }.to become(1..9)
    undo(6)
    expect(page).to have_text("27 sheets, each 785.2 × 652.7 m")
  end

  # Does the page know the job for this scale? (Each key that is typed asks for one, in place of the one before.)
  def asked_for(scale) =
    App::IndexRun.last&.then do |last|
      last.wanted.dig("patch", "index", "scale") == scale && last.asked_at > last.created_at
    end

  it "works an index out in a job where that is long, shows how far it is, and stops it" do
    allow(App::StepBudget).to receive(:hold).and_raise(App::StepBudget::Exceeded)
    visit "/books/#{@book.id}/weave"
    type_value("Scale", "1000")
    expect(page).to have_css("[role=status]", text: "Working out the index")
    expect { asked_for(1000) }.to become(true)
    expect_accessible
    click_button("Cancel")
    expect(page).to have_no_css("[role=status]", text: "Working out the index")
    expect { App::IndexRun.last.state }.to become("cancelled")
    type_value("Scale", "2000")
    within("[role=dialog]") do
      expect(page).to have_css("[role=status]", text: "Working out the index")
      expect { asked_for(2000) }.to become(true)
      click_button("Stop")
    end
    expect(page).to have_css("[role=dialog] [role=alert]", text: "Stopped by hand.")
    click_button("Cancel")
    worker do
      type_value("Scale", "4000")
      expect(page).to have_css("[role=dialog]", text: /12 sheets/)
      keep
      expect(page).to have_text("12 sheets, each")
    end
    expect(rows.length).to eq(12)
    undo
    expect(rows.length).to eq(27)
  end
end
