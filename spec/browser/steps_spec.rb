# frozen_string_literal: true

require "browser_helper"

RSpec.describe "The steps", type: :feature do
  before(:all) { @book = demo_book }

  def titles = all("aside li").map { |row| row.text.lines.first.strip }

  describe "Ground" do
    before { visit "/books/#{@book.id}/ground" }

    it "shows layers, hides and orders them, and is accessible" do
      expect(page).to have_css("[data-ground=drawn] [data-part=dams]", visible: :all)
      expect(page).to have_text("A kilometre on the ground prints 0.3 m too short everywhere here.")
      expect_accessible
      find("li", text: "Peat dams").find(".MuiCheckbox-root").click
      expect(page).to have_no_css("[data-part=dams]", visible: :all)
      expect(App::Layer.find_by!(key: "dams").visible).to be(false)
      click_button("Undo")
      expect(page).to have_css("[data-part=dams]", visible: :all)
      expect(titles.first(2)).to eq(%w[Huts Hazards])
      click_button("Move Hazards up")
      expect(page).to have_css("aside li:first-child", text: "Hazards")
      expect(App::Book.find(@book.id).settings["layers"].last["id"]).to eq("hazards")
      click_button("Undo")
      expect(page).to have_css("aside li:first-child", text: "Huts")
    end

    it "reports what is in a file, brings it in, and says what is wrong with one that is none" do
      worker do
        Dir.mktmpdir do |folder|
          File.write("#{folder}/stiles.geojson", JSON.generate({"type" => "FeatureCollection", "features" => [{"type" => "Feature", "properties" => {"code" => "S1", "steps" => 3}, "geometry" => {"type" => "Point", "coordinates" => [-10.68, 58.88]}}]}))
          File.write("#{folder}/broken.geojson", "<html>")
          attach_file("Data files", "#{folder}/stiles.geojson", visible: :all)
          expect(page).to have_css("aside", text: "A file has arrived", wait: 30)
          expect(page).to have_css("aside", text: "1 feature, point", wait: 30)
          expect(page).to have_css("aside", text: "code (text), steps (integer)")
          expect(page).to have_css("aside", text: "WGS 84")
          expect_accessible
          fill_in("Title of stiles", with: "Stiles")
          click_button("Bring it in")
          expect(page).to have_css("aside li:first-child", text: "Stiles", wait: 30)
          attach_file("Data files", "#{folder}/broken.geojson", visible: :all)
          expect(page).to have_css("[role=alert]", text: /broken\.geojson was not brought in\. The file is not JSON/, wait: 30)
          click_button("Close this message")
          click_button("Undo")
          expect(page).to have_css("aside li:first-child", text: "Huts")
        end
      end
    end

    it "takes a file that is dropped on the map, and drops it when it is not wanted" do
      drop = <<~JS
        const data = new DataTransfer();
        data.items.add(new File(["name,x,y\\nA,403000,6528000\\n"], "posts.csv", {type: "text/csv"}));
        const target = document.querySelector("[data-ground]");
        for (const kind of ["dragover", "drop"]) target.dispatchEvent(new DragEvent(kind, {bubbles: true, cancelable: true, dataTransfer: data}));
      JS
      expect(page).to have_css("[data-ground=drawn]")
      worker do
        page.execute_script(drop)
        expect(page).to have_css("aside", text: "The file does not say", wait: 30)
        click_button("Drop it")
        expect(page).to have_css("aside h2", text: "Layers")
      end
    end

    it "styles a layer for paper, and the map shows it as it prints" do
      expect(page).to have_css("[data-ground=drawn] [data-part=tracks] path", visible: :all)
      click_button("Lochans")
      expect(page).to have_css("aside h2", text: "Lochans")
      expect_accessible
      fill_in("Width, mm", with: "0.8")
      find_field("Width, mm").send_keys(:enter)
      expect(page).to have_css("[data-part=lochans] path[stroke-width='80']", visible: :all)
      expect(App::Layer.find_by!(key: "lochans").style["rules"][0]["symbol"]["strokes"][0]["width_mm"]).to eq(0.8)
      fill_in("Width, mm", with: "-3")
      find_field("Width, mm").send_keys(:enter)
      expect(page).to have_css("aside [role=alert]", text: "0.01 to 100")
      fill_in("Title", with: "Standing water")
      find_field("Title").send_keys(:enter)
      expect(page).to have_css("aside h2", text: "Standing water")
      2.times { click_button("Undo") && expect(page).to(have_text("All changes kept")) }
      expect(page).to have_css("[data-part=lochans] path[stroke-width='25']", visible: :all)
    end

    it "shows a layer's attributes in natural order, and a row leads to its place on the map" do
      expect(page).to have_css("[data-ground=drawn]")
      click_button("Huts")
      click_button("Attributes")
      expect(page).to have_css("[role=row]", text: "Skarrow Hut")
      expect_accessible
      find("[role=columnheader]", text: "name").click
      expect(page).to have_css("[role=row][data-rowindex='0']", text: "Gate Bothy")
      fill_in("Search the table", with: "skarrow")
      expect(page).to have_css("[role=row][data-rowindex]", count: 1)
      before = find("[data-ground] svg")["viewBox"]
      find("[role=row]", text: "Skarrow Hut").click
      expect(page).to have_css("[data-ground] svg text", text: "Skarrow Hut")
      expect(find("[data-ground] svg")["viewBox"]).not_to eq(before)
      click_button("Close the table")
      expect(page).to have_no_css("[role=grid]")
    end

    it "gives each value of an attribute its symbol, removes a layer, and undoes both" do
      click_button("Fences")
      find("div[role=combobox]", text: "no attribute: one symbol for all").click
      find("li[role=option]", text: "kind").click
      expect(page).to have_field("Called", with: "stock fence")
      expect(page).to have_field("Called", with: "others")
      rules = App::Layer.find_by!(key: "fences").style["rules"]
      expect(rules.map { |rule| rule["title"] }).to contain_exactly("march fence", "stock fence", "others")
      expect(rules.first["when"]).to eq({"op" => "=", "args" => [{"property" => "kind"}, rules.first["title"]]})
      click_button("Undo")
      expect(page).to have_field("Called", with: "Fence")
      click_button("Remove from the book")
      expect(page).to have_css("aside h2", text: "Layers")
      expect(page).to have_no_css("aside li", text: "Fences")
      click_button("Undo")
      expect(page).to have_css("aside li", text: "Fences")
      click_button("Restoration area")
      expect(page).to have_button("Remove from the book", disabled: true)
    end

    it "shows in a second tab what was changed in the first" do
      expect(page).to have_css("h1", text: "Skarrow Moss")
      second = open_new_window
      within_window(second) { visit "/books/#{@book.id}/ground" }
      type_value("Title of the book", "Skarrow Moss, revised")
      keep
      within_window(second) { expect(page).to have_css("h1", text: "Skarrow Moss, revised") }
      second.close
      click_button("Undo")
      expect(page).to have_css("h1", text: /\ASkarrow Moss\z/)
    end
  end

  describe "Sheet" do
    before { visit "/books/#{@book.id}/sheet" }

    it "changes the page with live content; the scale is held" do
      expect(page).to have_text("The frame is 314 mm × 261 mm and shows 785 × 652.5 m at 1:2,500")
      expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
      expect_accessible
      choose("Page size", "A4")
      expect(page).to have_text("and shows 477.5 × 435 m at 1:2,500")
      choose("Design", "Foot panel")
      choose("Orientation", "portrait")
      choose("Binding edge", "no side")
      expect(page).to have_text(/The frame is 174 mm × 231 mm/)
      expect(page).to have_css("[data-sheet='1'] svg text", text: /Sheet 1 of/)
      4.times { click_button("Undo") && expect(page).to(have_text("All changes kept")) }
      expect(page).to have_text("The frame is 314 mm × 261 mm")
    end

    it "refuses margins larger than the page, and a gutter that leaves nothing" do
      type_value("Margins, all four", "150")
      click_button("Keep")
      expect(page).to have_css("[role=dialog] [role=alert]", text: /margins leave .* make them smaller/i)
      find("[role=dialog] input").send_keys(:escape)
      expect(page).to have_no_css("[role=dialog]")
      type_value("Gutter, the extra room on the bound edge", "20")
      keep
      expect(page).to have_text("The frame is 306 mm × 261 mm")
      click_button("Undo")
      expect(page).to have_text("The frame is 314 mm × 261 mm")
    end

    it "says beside the text which value it does not know" do
      field = find_field("Sheet name")
      field.set("{{ sheet.nane }}")
      field.send_keys(:tab)
      expect(page).to have_css("aside [role=alert]", text: /asks for “nane”, which this sheet does not know; use one of/)
      field.set("Blatt {{ sheet.name }}")
      field.send_keys(:enter)
      expect(page).to have_css("svg text", text: "Blatt A1")
      click_button("Undo")
      expect(page).to have_css("svg text", text: /\AA1\z/)
    end
  end

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

  it "starts a book from data, and opens one that was taken as a file" do
    visit "/books/#{@book.id}/weave"
    click_link("All books")
    expect(page).to have_css("main a", text: "Skarrow Moss")
    expect_accessible
    click_button("Start")
    expect(page).to have_css("[role=alert]", text: "Choose the GeoJSON file that the new book is about.")
    Dir.mktmpdir do |folder|
      File.write("#{folder}/islet.geojson", JSON.generate({"type" => "Polygon", "coordinates" => [[[-10.70, 58.86], [-10.68, 58.86], [-10.68, 58.87], [-10.70, 58.86]]]}))
      attach_file("GeoJSON file of the new book", "#{folder}/islet.geojson", visible: :all)
      expect(page).to have_text(/1 feature; \d+ references? for its ground/)
      find_field("Coordinate reference").click
      expect(page).to have_css("[role=option]", text: "the UTM zone that the ground lies in")
      fill_in("Coordinate reference", with: "25829")
      find("[role=option]", text: "ETRS89 / UTM zone 29N", match: :first).click
      expect(page).to have_field("Coordinate reference", with: "EPSG:25829")
      fill_in("Title", with: "The islet")
      click_button("Start")
      expect(page).to have_css("h1", text: "The islet")
      expect(page).to have_css("footer button", minimum: 2)
      made = App::Book.order(:id).last
      File.write("#{folder}/islet.json", App::BookExport.new(made).to_a.join)
      click_link("All books")
      attach_file("Book file", "#{folder}/islet.json", visible: :all)
      expect(page).to have_css("h1", text: "The islet")
      expect(App::Book.count).to eq(3)
      click_link("All books")
      expect(page).to have_css("main a", text: "The islet", count: 2)
      File.write("#{folder}/broken.json", "{}")
      attach_file("Book file", "#{folder}/broken.json", visible: :all)
      expect(page).to have_css("[role=alert]", text: /broken\.json was not opened\. “document” lacks/)
    end
  end

  it "says so when there is no such book" do
    visit "/books/999999/weave"
    expect(page).to have_css("[role=alert]", text: "That is not here")
  end
end
