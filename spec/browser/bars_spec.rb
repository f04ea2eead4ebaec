# frozen_string_literal: true

require "browser_helper"

# Scale bars and north arrows on Sheet.
RSpec.describe "Scale bars and north arrows", type: :feature do
  before(:all) { @book = demo_book }

  def element(id) = App::Book.find(@book.id).document["layout"]["elements"].find { |known| known["id"] == id }

  it "count, look and are kept as styles; what does not fit is told beside the field" do
    visit "/books/#{@book.id}/sheet?sheet=14&selected=scale"
    expect(page).to have_css(
      "aside [role=status]",
      text: /100 m in 5 divisions, 39\.99 mm on this sheet; off by at most 0\.001 %/
    )
    pick("Style", "two units")
    pick("Second units", "ft, miles")
    expect(page).to have_css("[data-sheet='14'] svg text", text: "200 ft", visible: :all)
    expect_accessible
    fill_in("Divisions", with: "0")
    find_field("Divisions").send_keys(:enter)
    expect(page).to have_css("aside [role=alert]", text: "Enter a whole number")
    find_field("Divisions").send_keys(:escape)
    fill_in("Division length", with: "100 m")
    find_field("Division length").send_keys(:enter)
    expect(page).to have_css(
      "aside [role=alert]",
      text: /4 divisions of 100 m need 160 mm at 1:2,500, but only 52 mm is free/
    )
    find_field("Division length").send_keys(:escape)
    fill_in("Save this style as", with: "Field pair")
    find_field("Save this style as").send_keys(:enter)
    expect { App::KeptBarStyle.pluck(:name) }.to become(["Field pair"])
    pick("Style", "outline")
    expect { element("scale")["style"] }.to become("outline")
    click_button("Saved styles")
    find("[role=menuitem]", text: "Field pair", match: :prefer_exact).click
    expect { element("scale")["style"] }.to become("two_units")
    undo(4)
    expect(element("scale")).not_to have_key("style")
  end

  it "point to the north that is wanted, in a drawing of one's choice" do
    visit "/books/#{@book.id}/sheet?sheet=14&selected=north"
    expect(page).to have_css("aside [role=status]", text: "Grid north, 0° right of upright on this sheet.")
    find("[aria-label='Drawings'] button[aria-label='Rose of eight']").click
    expect { element("north")["form"] }.to become("rose-eight")
    pick("Points to", "magnetic")
    expect(page).to have_css("aside [role=status]", text: /Magnetic north, \d\.\d+° left of upright/)
    expect_accessible
    undo(2)
  end
end
