# frozen_string_literal: true

require "browser_helper"

RSpec.describe "Labels and notes of the demo", type: :feature do
  before do
    empty_database
    demo_book
    @book = App::Book.last
  end

  def saved = expect(page).to have_text("All changes saved")

  it "are written by rules on Ground, moved and renamed by hand on Proof, and reset; notes stand beside them" do
    visit "/books/#{@book.id}/ground"
    within("aside") { find("button", text: "Huts", match: :first).click }
    pick("Label from", "a composed text")
    fill_in("Text of the label", with: "{{ name | upcase }} hut")
    find_field("Text of the label").send_keys(:enter)
    saved
    expect(@book.reload.core.layers.find { |layer| layer.id == "huts" }.labels[0].template).to eq(
      "{{ name | upcase }} hut"
    )
    fill_in("Text of the label", with: "{{ name | nofilter }}")
    find_field("Text of the label").send_keys(:enter)
    expect(page).to have_css("[role=alert]", text: "asks for the filter “nofilter”")
    expect_accessible

    visit "/books/#{@book.id}/proof?sheet=14"
    expect(page).to have_css("[data-sheet='14'] svg text", text: "SKARROW HUT hut")
    expect(page).to have_text(/\d+ labels here/)
    find("label", text: "Edit the labels on the page").click
    hut = find("[data-label='SKARROW HUT hut']", visible: :all)
    before = find("[data-sheet='14'] svg text", text: "SKARROW HUT hut")["y"].to_f
    page.driver.browser.action.move_to(hut.native).click_and_hold.move_by(30, 40).release.perform
    saved
    expect(page).to have_css("[aria-label='Labels by hand']", text: "SKARROW HUT hut moved")
    after = find("[data-sheet='14'] svg text", text: "SKARROW HUT hut")["y"].to_f
    expect(after - before).to be > 1000
    fill_in("Text by hand", with: "Closed hut")
    find_field("Text by hand").send_keys(:enter)
    expect(page).to have_css("[data-sheet='14'] svg text", text: "Closed hut")
    saved
    expect_accessible
    undo
    expect(page).to have_no_css("[data-sheet='14'] svg text", text: "Closed hut")
    within("[aria-label='Labels by hand']") { find("button[aria-label='Reset SKARROW HUT hut']").click }
    expect(page).to have_no_css("[aria-label='Labels by hand']", text: "hut")
    saved

    find("label", text: "Edit the notes on the page").click
    click_button("New text")
    place = find("[aria-label='Place the new text']")
    page.driver.browser.action.move_to(place.native, -60, 40).click.perform
    saved
    fill_in("Text of the note", with: "Repair in spring")
    find_field("Text of the note").send_keys(:enter)
    expect(page).to have_css("[data-sheet='14'] [data-part='notes'] text", text: "Repair in spring")
    saved
    expect(@book.reload.core.contents.notes.list.map(&:text)).to eq(
      ["Boardwalk closed\nApril to June", "Repair in spring"]
    )
    expect_accessible
  end
end
