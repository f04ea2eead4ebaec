# frozen_string_literal: true

require "browser_helper"

RSpec.describe "A book of villages", type: :feature do
  # Three villages of 900 m by 700 m, the last two side by side, a sheet each at 1:10,000.
  before do
    empty_database
    collection =
      collection_in("EPSG:25829").merge(
        "features" => [village("Ardroy", 0), village("Balmore", 1200), village("Cairnie", 2100)]
      )
    settings =
      TileLoom::Document::Starter.document(
        title: "Villages",
        reference: "EPSG:25829",
        area: "villages",
        scale: 10_000,
        layers: [{id: "villages", title: "Villages", kind: "area", data: {"collection" => collection}}]
      )
    settings["index"] = settings["index"].merge(
      "kind" => "features",
      "scale_rule" => {
        "kind" => "fixed"
      },
      "naming" => {
        "kind" => "field",
        "field" => "name"
      }
    )
    @book = App::NewBook.from_folio(TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.new(settings)))
    @main = @book.document["layout"]["elements"].find { |element| element["kind"] == "map_frame" }["id"]
  end

  def village(name, east)
    ring = [[0, 0], [900, 0], [900, 700], [0, 700], [0, 0]].map { |x, y| [402_000 + east + x, 6_528_000 + y] }
    {
      "type" => "Feature",
      "properties" => {
        "name" => name
      },
      "geometry" => {
        "type" => "Polygon",
        "coordinates" => [ring]
      }
    }
  end

  def saved = expect(page).to have_text("All changes saved")

  def add(title)
    click_button("The page") if page.has_button?("The page", wait: 0)
    click_button("New element")
    # What is clicked while the menu unfolds may be its neighbour.
    page.evaluate_async_script(BrowserSpecs::RESTING)
    find("[role=menuitem]", text: title, match: :prefer_exact).click
    # The menu covers the page until it has faded.
    expect(page).to have_no_css("[role=menu]")
  end

  it "shows each village clear and the rest under white at 50 %, under its name, with a detail, its neighbours and a " \
       "globe" do
    visit "/books/#{@book.id}/sheet?sheet=2&selected=#{@main}"
    expect(page).to have_css("[data-sheet='2'] svg")
    expect(page).to have_field("Centre easting")
    click_button("Veil")
    find("label", text: "Veil what is outside").click
    expect(page).to have_field("Opacity, %", with: "50")
    expect(page).to have_css("[data-sheet='2'] [data-part='veil'] path[fill='#ffffff']", visible: :all)
    add("Text")
    text = find("textarea", match: :first)
    text.set("{{ feature.name }} village")
    text.send_keys(:tab)
    expect(page).to have_css("[data-sheet='2'] svg text", text: "Balmore village")
    saved

    add("Detail of the map")
    map = find("[data-draw-detail]")
    page.driver.browser.action.move_to(map.native, 30, 30).pointer_down(:left).move_by(40, 30).pointer_up.perform
    expect(page).to have_css("aside h2", text: "Detail A")
    expect(page).to have_css("[data-sheet='2'] [data-part='inset inset-1'] text", text: "A", visible: :all)
    expect(page).to have_css("[data-sheet='2'] [data-part='outlines'] text", text: "A", visible: :all)
    # The box is dragged in the map, and detail and outline go along.
    expect(page).to have_field("Centre from left, mm")
    across = find_field("Centre from left, mm").value.to_f
    box = find("[data-detail='inset-1']")
    page.driver.browser.action.move_to(box.native).pointer_down(:left).move_by(-40, 0).move_by(-4, 0).pointer_up.perform
    expect { find_field("Centre from left, mm").value.to_f < across - 10 }.to become(true)
    saved
    add("Inset")
    pick("Extent", "this sheet and its neighbours")
    saved
    click_button("Cells of the index")
    find("label", text: "Show the cells").click
    expect(page).to have_css("[data-sheet='2'] [data-part='inset inset-2'] text", text: "Cairnie", visible: :all)
    add("Globe")
    expect(page).to have_css("[data-sheet='2'] [data-part='inset inset-3'] path[fill='#c9c4ae']", visible: :all)
    expect_accessible

    click_button("On all sheets")
    fill_in("Names, numbers or ranges of sheets", with: "Cairnie")
    find_field("Names, numbers or ranges of sheets").send_keys(:enter)
    expect(page).to have_no_css("[data-sheet='2'] [data-part='inset inset-3']", visible: :all)
    click_link("Proof")
    expect(page).to have_css("dd, span, div", text: "Balmore")
    page.driver.browser.action.send_keys(:page_down).perform
    expect(page).to have_css("[data-sheet='3'] svg text", text: "Cairnie")
    expect(page).to have_css("[data-sheet='3'] [data-part='veil'] path[fill='#ffffff']", visible: :all)
    expect(page).to have_css("[data-sheet='3'] [data-part='inset inset-3']", visible: :all)
    undo(2)
    expect(page).to have_no_css("[data-sheet='3'] [data-part='inset inset-3']", visible: :all)
  end

  it "has a cover and contents beside the sheets, and its ground is moved in its frame by hand" do
    visit "/books/#{@book.id}/sheet?sheet=1"
    value("Which page").click
    within("[role=dialog]") { find("[role=menuitem]", text: "a new page").click }
    pick("Starts as", "Contents")
    click_button("Add the page")
    expect(page).to have_css("[data-sheet='-100'] svg text", text: "Cairnie")
    expect(page).to have_text("Page 1 of 4")
    expect_accessible
    click_link("Proof")
    expect(page).to have_text("Page Contents, page 1 of 4")
    page.driver.browser.action.send_keys(:page_down).perform
    expect(page).to have_text("Sheet Ardroy, 1 of 3")
    before = App::Cell.order(:number).first.centre_x

    visit "/books/#{@book.id}/sheet?sheet=1&selected=#{@main}"
    expect(page).to have_css("[data-sheet='1'] svg")
    frame = find("[data-element='#{@main}']")
    expect(page).to have_field("Centre easting")
    page.driver.browser.action.move_to(frame.native, -120, 60).double_click.perform
    ground = find("[data-ground='#{@main}']")
    page
      .driver
      .browser
      .action
      .move_to(ground.native)
      .pointer_down(:left)
      .move_by(40, 0)
      .move_by(4, 0)
      .pointer_up
      .perform
    expect { App::Cell.order(:number).first.centre_x < before - 20 }.to become(true)
    saved
    undo
    expect { (App::Cell.order(:number).first.centre_x - before).abs < 1e-6 }.to become(true)
  end
end
