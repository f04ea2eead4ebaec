# frozen_string_literal: true

require "browser_helper"

# Coordinate grids on Sheet, set with the map in view.
RSpec.describe "Coordinate grids", type: :feature do
  before(:all) { @book = demo_book }

  before do
    visit "/books/#{@book.id}/sheet?sheet=14&selected=main"
    expect(page).to have_css(
      "[aria-label='Grids of this frame'] li",
      text: "Lines 100 m apart, 40 mm on paper; labels bottom and left."
    )
    expect(page).to have_css("[data-sheet='14'] svg", visible: :all)
  end

  def frame(layout = "layout") =
    App::Book.find(@book.id).document[layout]["elements"].find do |element|
      %w[map_frame index_frame].include?(element["kind"])
    end

  def grid(id = "metric") = frame["grids"].find { |known| known["id"] == id }

  it "shows ghost lines while an interval is set, refuses what does not count, and asks when degrees come" do
    click_button("Metric grid")
    expect_accessible
    slider = find("aside .MuiSlider-root").native
    page.driver.browser.action.move_to(slider, -12, 0).click_and_hold.move_by(3, 0).perform
    expect(page).to have_css("[data-ghost] svg", visible: :all)
    page.driver.browser.action.release.perform
    expect { grid["target_mm"] }.to become(60..120)
    wished = grid["target_mm"]
    expect(page).to have_css("aside [role=status]", text: "Lines 200 m apart, 80 mm on paper")
    find("aside input[type=range]", visible: :all).send_keys(*([:arrow_right] * 3))
    expect { grid["target_mm"] }.to become(wished + 3)
    expect(page).to have_no_css("[data-ghost]", visible: :all)
    pick("Interval", "fixed")
    expect(page).to have_field("East", with: "200 m")
    fill_in("East", with: "100 m")
    expect(page).to have_css("aside [role=status]", text: "Lines 100 m apart east–west, 200 m apart north–south")
    find_field("East").send_keys(:enter)
    expect { grid["interval"]["x"] }.to become("100 m")
    fill_in("East", with: "30 sec")
    find_field("East").send_keys(:enter)
    expect(page).to have_css("aside [role=alert]", text: "is in metres; enter a length such as 100 m")
    find_field("East").send_keys(:escape)
    pick("CRS", "longitude and latitude")
    within("[role=alertdialog]") { expect(page).to have_text("100 m does not fit this CRS.") }
    expect_accessible
    within("[role=alertdialog]") { find("button", text: /sec, about as far apart/, match: :first).click }
    expect { grid["crs"] }.to become("geographic")
    expect(page).to have_css("aside [role=status]", text: /\ALines every \d+″/)
    undo(5)
    expect(grid).to include("crs" => "book", "target_mm" => 40)
  end

  it "adds references with letters, puts steps into the border, and copies a grid to the index sheet" do
    click_button("Add a grid")
    expect_accessible
    find("[role=menuitem]", text: "MGRS and USNG references").click
    expect(page).to have_css("aside h2", text: "MGRS and USNG references")
    expect(page).to have_css("aside [role=status]", text: "in UTM zone 29 north; labels on all sides")
    expect(page).to have_css("[data-sheet='14'] svg text", text: "MF", visible: :all)
    click_button("The frame")
    pick("Rows", "two")
    expect { frame["border"]["rows"] }.to become(2)
    undo
    choose("Which page", "the index sheet")
    expect(page).to have_css("[data-sheet='0'] svg", visible: :all)
    visit "/books/#{@book.id}/sheet?sheet=14&selected=main"
    click_button("Graticule")
    click_button("Copy to the index sheet")
    expect { frame("index_layout")["grids"]&.map { |known| known["id"] } }.to become(["graticule"])
    undo(3)
  end
end
