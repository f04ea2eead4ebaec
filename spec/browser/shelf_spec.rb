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
        expect(page).to have_css("[role=option]", text: "the UTM zone that the ground lies in")
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
      App::BookChanges.new(made).of_cells("Rename a sheet") do
        made.index.keep([cells.first.with(name: "Landing"), *cells.drop(1)])
      end
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
  end

  it "says so when there is no such book" do
    visit "/books/999999/weave"
    expect(page).to have_css("[role=alert]", text: "No longer exists; reload the page")
  end
end
