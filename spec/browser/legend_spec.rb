# frozen_string_literal: true

require "browser_helper"

RSpec.describe "A legend by hand", type: :feature do
  classes = %w[motorway trunk primary secondary track path]

  before do
    empty_database
    @book = App::NewBook.from_folio(TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.new(roads(classes))))
    visit "/books/#{@book.id}/sheet?selected=legend"
  end

  def feature(kind, coordinates, **properties) =
    {
      "type" => "Feature",
      "properties" => properties.transform_keys(&:to_s),
      "geometry" => {
        "type" => kind,
        "coordinates" => coordinates
      }
    }

  def square(x, y, side) = feature("Polygon", [[[x, y], [x + side, y], [x + side, y + side], [x, y + side], [x, y]]])

  def collection(*features) = collection_in("EPSG:25829").merge("features" => features)

  # One sheet with roads of six classes, drawn by rules called after their values, and buildings over them.
  def roads(classes)
    lines =
      classes.each_with_index.map do |name, index|
        feature("LineString", [[402_050 + index * 40, 6_528_050], [402_050 + index * 40, 6_528_400]], class: name)
      end
    settings =
      TileLoom::Document::Starter.document(
        title: "Roads",
        reference: "EPSG:25829",
        area: "area",
        scale: 2500,
        layers: [
          {
            id: "area",
            title: "Moor",
            kind: "area",
            data: {
              "collection" => collection(square(402_000, 6_528_000, 450))
            }
          },
          {id: "roads", title: "value", kind: "line", data: {"collection" => collection(*lines)}},
          {
            id: "buildings",
            title: "Buildings",
            kind: "area",
            data: {
              "collection" => collection(square(402_350, 6_528_350, 30))
            }
          }
        ]
      )
    settings["layers"][1]["rules"] = classes.map do |name|
      {
        "title" => "value #{name}",
        "when" => {
          "op" => "=",
          "args" => [{"property" => "class"}, name]
        },
        "symbol" => {
          "strokes" => [{"width_mm" => 0.4}]
        }
      }
    end
    settings
  end

  def row(name) = find("[data-legend-row='#{name}']")

  # Texts of the legend on the page, from its top; read at once, as the page is drawn anew meanwhile.
  def printed
    texts = "document.querySelectorAll(\"[data-part='legend legend'] text\")"
    page.evaluate_script("[...#{texts}].map((text) => [+text.getAttribute('y'), text.textContent])").sort.map(&:last)
  end

  def rules =
    App::Book.find(@book.id).document["layers"].flat_map { |layer| layer["rules"].map { |rule| rule["title"] } }

  it "is renamed row by row, put in order, rid of headings, and taken back to the map" do
    before = rules
    expect(page).to have_css("aside", text: "8 rows at 8 pt.")
    expect_accessible
    pick("Headings", "layers’ titles")
    expect { printed }.to become(["Buildings", "value", *classes.reverse.map { |name| "value #{name}" }, "Moor"])
    # Names one after another: Tab saves and goes on to the next row.
    row("value path").click
    ["Footpath", "Track", "Road, secondary", "Road, primary", "Trunk road", "Motorway"].each_with_index do |name, index|
      expect(page).to have_field("Title in this legend", with: "value #{classes.reverse[index]}")
      field = find("input:focus")
      field.set(name)
      field.send_keys((index == 5) ? :enter : :tab)
      expect(page).to have_css("[data-part='legend legend'] text", text: name)
      expect(page).to have_css("ol[aria-label='Rows of the legend']", text: name)
    end
    expect(page).to have_no_css("[data-picked]")
    # The heading goes, by the card.
    within("ol[aria-label='Rows of the legend']") { click_button("value") }
    click_button("Remove the row")
    # Buildings are dragged below all others on the page.
    expect(page).to have_no_css("[data-legend-row='value']")
    from, to = row("Buildings"), row("Moor")
    page.driver.browser.action.move_to(from.native).click_and_hold.move_to(to.native, 0, 4).release.perform
    wanted = ["Footpath", "Track", "Road, secondary", "Road, primary", "Trunk road", "Motorway", "Moor", "Buildings"]
    expect { printed }.to become(wanted)
    expect(rules).to eq(before)
    expect(page).to have_css("ol[aria-label='Rows of the legend'] > li:last-child", text: "Buildings")
    # A row is hidden beside the map's own title, and merged with the one above it.
    within("ol[aria-label='Rows of the legend']") { click_button(text: /\ATrack/) }
    expect_accessible
    click_button("Merge with Footpath")
    expect { printed }.to become(["Footpath", *wanted.drop(2)])
    expect(page).to have_no_css("ol[aria-label='Rows of the legend'] button", text: /\ATrack/)
    within("ol[aria-label='Rows of the legend']") { click_button(text: /\AMotorway/) }
    find("label", text: "Hidden in this legend").click
    expect { printed }.to become(["Footpath", *wanted.drop(2) - ["Motorway"]])
    click_button("Reset all rows")
    expect { printed }.to become(["Buildings", "value", *classes.reverse.map { |name| "value #{name}" }, "Moor"])
    click_button("The page")
    click_button("Check the legends of all sheets")
    expect(page).to have_css("[role=status]", text: "The legend fits on the sheet.")
    undo(1)
  end

  it "says on the page's card which sheets have legends without room" do
    click_button("The page")
    App::BookChanges
      .new(@book.reload)
      .apply_to_fresh(label: "Small") do
        elements = @book.reload.document["layout"]["elements"]
        {
          "layout" => {
            "elements" =>
              elements.map do |element|
                if element["id"] == "legend"
                  element.merge("place" => element["place"].except("bottom_mm").merge("height_mm" => 11))
                else
                  element
                end
              end
          }
        }
      end
    visit "/books/#{@book.id}/sheet"
    click_button("Check the legends of all sheets")
    expect(page).to have_css(
      "[aria-label='Legends that do not fit'] li",
      text: "The legend fits 2 of 8 rows; left out:"
    )
    expect(page).to have_css(
      "[role=status]",
      text: /On 1 sheet the legend does not fit\. The fullest has 8 rows:\s+sheet A1/
    )
    expect_accessible
  end
end
