# frozen_string_literal: true

require "browser_helper"

# All books, and what every step has.
RSpec.describe "The books", type: :feature do
  before(:all) { @book = demo_book }

  it "shows its keys, dark colours, and each step is accessible in them" do
    visit "/books/#{@book.id}/weave"
    expect(page).to have_css("[data-ground=drawn]")
    find("body").send_keys("?")
    expect(page).to have_css("[role=dialog]", text: "Page Down")
    find("[role=dialog]").send_keys(:escape)
    click_button("Dark colours")
    %w[ground sheet weave proof press].each do |step|
      visit "/books/#{@book.id}/#{step}"
      expect(page).to have_css("footer button")
      expect_accessible
    end
    click_button("Light colours")
  end

  it "starts a book from data, and opens one that was exported with everything, or as one file" do
    visit "/books/#{@book.id}/weave"
    click_link("All books")
    expect(page).to have_css("main a", text: "Skarrow Moss")
    expect_accessible
    Dir.mktmpdir do |folder|
      File.write(
        "#{folder}/islet.geojson",
        JSON.generate(
          {
            "type" => "Polygon",
            "coordinates" => [[[-10.70, 58.86], [-10.68, 58.86], [-10.68, 58.87], [-10.70, 58.86]]]
          }
        )
      )
      worker do
        attach_file("Data file of the new book", "#{folder}/islet.geojson", visible: :all)
        # The proposed scale is chosen already; its neighbours stand beside it with their counts.
        expect(page).to have_css("[role=radiogroup] label", count: 3)
        expect(page).to have_css("[role=radiogroup] label", text: /\A1:[\d,]+\s*\d+ sheets?, proposed\z/)
        find_field("Coordinate reference system (CRS)").click
        expect(page).to have_css("[role=option]", text: "the UTM zone of your data")
        fill_in("Coordinate reference system (CRS)", with: "25829")
        find("[role=option]", text: "ETRS89 / UTM zone 29N", match: :first).click
        expect(page).to have_field("Coordinate reference system (CRS)", with: "EPSG:25829")
        fill_in("Title", with: "The islet")
        expect_accessible
        click_button("Start the book")
        expect(page).to have_css("h1", text: "The islet")
      end
      expect(page).to have_css("h1", text: "The islet")
      expect(page).to have_css("footer button", minimum: 2)
      made = App::Book.order(:id).last
      cells = made.index.core_cells
      App::BookChanges
        .new(made)
        .of_cells("Rename a sheet") { made.index.keep([cells.first.with(name: "Landing"), *cells.drop(1)]) }
      App::BookArchive.new(made).make { |path, _| FileUtils.cp(path, "#{folder}/islet.tileloom.zip") }
      click_link("All books")
      worker do
        attach_file("Book file", "#{folder}/islet.tileloom.zip", visible: :all)
        expect(page).to have_css("h1", text: "The islet")
        expect(page).to have_css("footer button", text: "Landing")
      end
      File.write("#{folder}/islet.json", TileLoom::Document::BookText.new(App::CarriedBook.new(made)).to_a.join)
      click_link("All books")
      attach_file("Book file", "#{folder}/islet.json", visible: :all)
      expect(page).to have_css("h1", text: "The islet")
      expect(App::Book.count).to eq(4)
      click_link("All books")
      expect(page).to have_css("main a", text: "The islet", count: 3)
      File.write("#{folder}/broken.json", "{}")
      attach_file("Book file", "#{folder}/broken.json", visible: :all)
      expect(page).to have_css("[role=alert]", text: /broken\.json was not opened\. “document” lacks/)
    end
    fill_in("Search", with: "islet")
    expect(page).to have_no_css("main a", text: "Skarrow Moss")
    click_button("What can be done with The islet", match: :first)
    find("[role=menuitem]", text: "Rename").click
    fill_in("Title of The islet", with: "The islet, by hand").send_keys(:enter)
    click_button("What can be done with The islet, by hand")
    find("[role=menuitem]", text: "Move to the bin").click
    expect(page).to have_css("section[aria-labelledby=bin-title] li", text: "The islet, by hand")
    expect(page).to have_css("main a", text: "The islet", count: 2)
    expect_accessible
    click_button("Restore The islet, by hand")
    expect(page).to have_css("main a", text: "The islet, by hand")
    expect(page).to have_no_css("section[aria-labelledby=bin-title]")
  end

  it "looks back in its history, takes a part from there, and goes back to a state that was named" do
    book = App::Book.find(@book.id)
    cell = book.index.rows.first
    App::BookChanges
      .new(book)
      .of_cells("Rename a sheet") do
        first, *others = book.index.core_cells
        book.index.keep([first.with(name: "Gatepost"), *others])
      end
    App::BookChanges.new(book.reload).apply({"title" => "Wet moss"}, label: "Title")
    visit "/books/#{@book.id}/weave"
    expect(page).to have_css("footer button", text: "Gatepost")
    click_button("History")
    find("li button", text: "Rename a sheet").click
    fill_in("Name this version", with: "As surveyed").send_keys(:enter)
    expect(page).to have_css("aside li", text: "As surveyed")
    expect_accessible
    find("li button", text: "The book as it began").click
    click_link("See it on Proof")
    expect(page).to have_css("[aria-label='Looking back']", text: "as it was when it began")
    expect(page).to have_css("footer button", text: cell["name"])
    expect(page).to have_css("[role=img][data-sheet='1'] svg text", text: "Skarrow Moss", match: :first)
    expect_accessible
    click_button("What differs")
    expect(page).to have_css("aside li", text: "1 sheet renamed: #{cell["name"]} → Gatepost")
    expect(page).to have_css("aside li", text: "Title: “Skarrow Moss” → “Wet moss”")
    click_button("What differs")
    click_button("Restore a part")
    click_button("Restore it in today’s book")
    # The name is back, the title is today's.
    expect(page).to have_css("footer button", text: cell["name"])
    expect(page).to have_css("h1", text: "Wet moss")
    expect(page).to have_no_css("[aria-label='Looking back']")
    find("li button", text: "Rename a sheet").click
    click_button("Go back to it")
    expect(page).to have_css("h1", text: "Skarrow Moss")
    expect(page).to have_css("footer button", text: "Gatepost")
    expect(page).to have_css("li button", text: "Go back to “As surveyed”")
    click_button("Undo")
    expect(page).to have_css("h1", text: "Wet moss")
  end

  it "says so when there is no such book" do
    visit "/books/999999/weave"
    expect(page).to have_css("[role=alert]", text: "No longer exists; reload the page")
  end
end
