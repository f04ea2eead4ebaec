# frozen_string_literal: true

require "browser_helper"

RSpec.describe "Ground", type: :feature do
  before(:all) { @book = demo_book }

  def titles = all("aside li").map { |row| row.text.lines.first.strip }

  before { visit "/books/#{@book.id}/ground" }

  it "shows layers, hides and orders them, and is accessible" do
    expect(page).to have_css("[data-ground=drawn] [data-part=dams]", visible: :all)
    expect(page).to have_text("Grid distances are 0.3 m per km short (scale factor 0.9997) everywhere here.")
    expect_accessible
    find("li", text: "Peat dams").find(".MuiCheckbox-root").click
    expect(page).to have_no_css("[data-part=dams]", visible: :all)
    expect(App::Layer.find_by!(key: "dams").entry["visible"]).to be(false)
    click_button("Undo")
    expect(page).to have_css("[data-part=dams]", visible: :all)
    expect(titles.first(2)).to eq(%w[Huts Hazards])
    click_button("Move Hazards up")
    expect(page).to have_css("aside li:first-child", text: "Hazards")
    expect(App::Book.find(@book.id).document["layers"].last["id"]).to eq("hazards")
    click_button("Undo")
    expect(page).to have_css("aside li:first-child", text: "Huts")
  end

  it "shows what is in a picture, brings it in below the others, and changes its look" do
    worker do
      Dir.mktmpdir do |folder|
        plain, path = "#{folder}/plain.png", "#{folder}/scan.tif"
        Vips::Image.perlin(300, 200, cell_size: 60, seed: 2).linear(60, 120).cast(:uchar).pngsave(plain)
        place = %w[-a_srs EPSG:25829 -a_ullr 403000 6529000 403900 6528400]
        expect(system("gdal_translate", "-q", *place, plain, path)).to be(true)
        attach_file("Data files", path, visible: :all)
        expect(page).to have_css("aside img[alt='Preview of scan']", wait: 30)
        expect(page).to have_css("aside", text: "300 × 200 px of 3 m")
        expect_accessible
        find("aside [role=combobox]", text: "an image").click
        find("li[role=option]", text: "heights or other values").click
        click_button("Import")
        expect(page).to have_css("[data-part=scan] image", visible: :all, wait: 60)
        expect(App::Book.find(@book.id).document["layers"].first["id"]).to eq("scan")
        click_button("scan")
        expect(page).to have_css("aside", text: "Effective 21 ppi at 1:2,500")
        find("aside [role=combobox]", text: "colour ramp").click
        find("li[role=option]", text: "shading").click
        fill_in("Exaggeration", with: "3").send_keys(:enter)
        expect(page).to have_text("All changes saved")
        expect_accessible
        expect(App::Layer.find_by!(key: "scan").entry["raster"]).to eq({"kind" => "shading", "exaggeration" => 3})
        click_button("Remove from the book")
        expect(page).to have_no_css("[data-part=scan]", visible: :all)
      end
    end
  end

  it "reports what is in a file, brings it in, and says what is wrong with one that is none" do
    worker do
      Dir.mktmpdir do |folder|
        File.write(
          "#{folder}/stiles.geojson",
          JSON.generate(
            {
              "type" => "FeatureCollection",
              "features" => [
                {
                  "type" => "Feature",
                  "properties" => {
                    "code" => "S1",
                    "steps" => 3
                  },
                  "geometry" => {
                    "type" => "Point",
                    "coordinates" => [-10.68, 58.88]
                  }
                }
              ]
            }
          )
        )
        File.write("#{folder}/broken.geojson", "<html>")
        attach_file("Data files", "#{folder}/stiles.geojson", visible: :all)
        expect(page).to have_css("aside", text: "Import a file", wait: 30)
        expect(page).to have_css("aside", text: "1 feature, point", wait: 30)
        expect(page).to have_css("aside", text: "code (text), steps (integer)")
        expect(page).to have_css("aside", text: "WGS 84")
        expect_accessible
        fill_in("Title of stiles", with: "Stiles")
        click_button("Import")
        expect(page).to have_css("aside li:first-child", text: "Stiles", wait: 30)
        attach_file("Data files", "#{folder}/broken.geojson", visible: :all)
        expect(page).to have_css(
          "[role=alert]",
          text: /broken\.geojson was not imported\. The file is not JSON/,
          wait: 30
        )
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
      expect(page).to have_css("aside", text: "The file does not state its CRS", wait: 30)
      click_button("Discard")
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
    expect(App::Layer.find_by!(key: "lochans").entry["rules"][0]["symbol"]["strokes"][0]["width_mm"]).to eq(0.8)
    fill_in("Width, mm", with: "-3")
    find_field("Width, mm").send_keys(:enter)
    expect(page).to have_css("aside [role=alert]", text: "greater than 0, up to 100 mm")
    fill_in("Title", with: "Standing water")
    find_field("Title").send_keys(:enter)
    expect(page).to have_css("aside h2", text: "Standing water")
    undo(2)
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
    pick("Drawn with", "a symbol for each value")
    click_button("Make")
    expect(page).to have_css("ol li", text: "stock fence")
    expect(page).to have_css("ol li", text: "others")
    rules = App::Layer.find_by!(key: "fences").entry["rules"]
    expect(rules.map { |rule| rule["title"] }).to contain_exactly("march fence", "stock fence", "others")
    expect(rules.first["when"]).to eq({"op" => "=", "args" => [{"property" => "kind"}, rules.first["title"]]})
    click_button("Undo")
    expect(page).to have_no_css("ol li", text: "stock fence")
    click_button("Remove from the book")
    expect(page).to have_css("aside h2", text: "Layers")
    expect(page).to have_no_css("aside li", text: "Fences")
    click_button("Undo")
    expect(page).to have_css("aside li", text: "Fences")
    within("aside") { click_button("Restoration area") }
    expect(page).to have_button("Remove from the book", disabled: true)
  end

  it "makes classes of a number in a palette, and a rule of one’s own by a condition" do
    click_button("Contours")
    pick("Drawn with", "by classes of a number")
    fill_in("Classes", with: "4")
    pick("Class breaks", "round numbers")
    expect_accessible
    click_button("Make")
    made = -> { App::Layer.find_by!(key: "contours").entry["rules"] }
    expect { made.call.length >= 3 && made.call.all? { |rule| rule.dig("when", "args", 0, "args") } }.to become(true)
    rules = made.call
    expect(rules.map { |rule| rule["when"]["args"][0]["args"][1] % 10 }.uniq).to eq([0])
    expect(rules.map { |rule| rule["symbol"]["strokes"].last["colour"] }.uniq.length).to eq(rules.length)
    click_button("Rule on top")
    pick("Comparison of rule 1, condition 1", "is more than")
    fill_in("Value of rule 1, condition 1", with: "high")
    find_field("Value of rule 1, condition 1").send_keys(:enter)
    expect(page).to have_css("[role=alert]", text: "a number")
    fill_in("Value of rule 1, condition 1", with: "300")
    find_field("Value of rule 1, condition 1").send_keys(:enter)
    expect(page).to have_text("All changes saved")
    expect { App::Layer.find_by!(key: "contours").entry["rules"][0]["when"] }.to become(
      {"op" => ">", "args" => [{"property" => "height_m"}, 300]}
    )
    expect_accessible
    undo(3)
  end

  it "fills an area with a pattern, sets the scales of a layer, groups it, and locks it" do
    click_button("Lochans")
    click_button("Pattern")
    expect(page).to have_css("[data-part=lochans] g[clip-path] path[stroke-width='15']", visible: :all)
    fill_in("Largest scale", with: "1:50,000")
    find_field("Largest scale").send_keys(:enter)
    expect(page).to have_no_css("[data-part=lochans] path", visible: :all)
    find_field("Largest scale").set("", clear: :backspace)
    find_field("Largest scale").send_keys(:enter)
    expect(page).to have_css("[data-part=lochans] path", visible: :all)
    fill_in("Layer opacity, %", with: "40")
    find_field("Layer opacity, %").send_keys(:enter)
    expect(page).to have_css("[data-part=lochans][opacity='0.4']", visible: :all)
    fill_in("Group", with: "Water")
    find_field("Group").send_keys(:enter)
    click_button("Lock")
    expect(page).to have_text("This layer is locked")
    expect(page).to have_no_field("Title")
    click_button("All layers")
    expect(page).to have_field("Show the group Water", visible: :all)
    click_button("Lochans")
    click_button("Unlock")
    expect(page).to have_field("Title")
  end

  it "takes a mark of one’s own, cleaned, and says what was left out" do
    click_button("Huts")
    click_button("Drawing of the marker of Huts: hut")
    expect_accessible
    Dir.mktmpdir do |folder|
      File.write(
        "#{folder}/bothy.svg",
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><script>alert(1)</script><path ' \
          'fill="currentColor" d="M0 10V5L5 0L10 5V10Z"/></svg>'
      )
      attach_file("Your own marker, as SVG", "#{folder}/bothy.svg", visible: :all)
      expect(page).to have_text("Not imported: <script>.")
    end
    click_button("bothy")
    expect(page).to have_button("Drawing of the marker of Huts: bothy")
    expect(page).to have_css("[data-part=huts]", visible: :all)
    undo(2)
  end

  it "picks features in the table and on the map, and takes them as the study area" do
    click_button("Huts")
    click_button("Attributes")
    find("[role=row]", text: "Skarrow Hut").find("input[type=checkbox]", visible: :all).click
    expect(page).to have_button("1 row selected")
    find("[role=row]", text: "Gate Bothy").click
    expect(page).to have_css("[data-ground] svg text", text: "Gate Bothy")
    page.driver.browser.action.move_to(find(".ol-viewport").native, 0, 0).key_down(:shift).click.key_up(:shift).perform
    expect(page).to have_button("2 rows selected")
    click_button("Use as study area")
    expect(page).to have_button("Study area: 2 features of Huts")
    click_button("Filter")
    click_button("Condition")
    pick("Comparison of the filter, condition 1", "begins with")
    fill_in("Value of the filter, condition 1", with: "Gate")
    find_field("Value of the filter, condition 1").send_keys(:enter)
    expect(page).to have_css("[role=row][data-rowindex]", count: 1)
    expect_accessible
    click_button("Undo")
    expect(page).to have_button("Study area: Restoration area")
  end

  it "draws a study area by hand, tells its size, and covers it" do
    click_button("Study area: Restoration area")
    expect(page).to have_css("aside [role=status]", text: /km² on the ground/)
    expect_accessible
    find("aside label", text: "Restoration area").click
    expect(page).to have_css("[role=alert]", text: "needs at least one part")
    click_button("Draw a rectangle")
    map = find(".ol-viewport").native
    page.driver.browser.action.move_to(map, -100, -60).click.perform
    page.driver.browser.action.move_to(map, 0, 40).click.perform
    expect(page).to have_button("Study area: Restoration area and 1 drawn shape")
    find("aside label", text: "Restoration area").click
    expect(page).to have_button("Study area: 1 drawn shape")
    expect(App::Book.find(@book.id).index.cells.count).to be < 10
    undo(2)
    expect(page).to have_button("Study area: Restoration area")
  end

  it "looks at another reference, tunes it, draws the book in it, and undoes that" do
    expect(page).to have_css("[data-ground=drawn]")
    click_button("CRS: ETRS89 / UTM zone 29N")
    expect(page).to have_css("aside [role=status]", text: "Grid north lies 1°26′ west of true north")
    expect_accessible
    click_button("Edit parameters")
    fill_in("Longitude of natural origin, °", with: "-10.67")
    find_field("Longitude of natural origin, °").send_keys(:enter)
    expect(page).to have_css("aside [role=status]", text: "Grid north is true north in the middle")
    fill_in("Name", with: "Moss grid")
    find_field("Name").send_keys(:enter)
    expect(page).to have_css("aside h3", text: "Moss grid")
    expect_accessible
    click_button("Save for other books")
    expect(page).to have_css("ul[aria-label='Saved CRSs'] li", text: "Moss grid")
    before = App::Book.find(@book.id).index.cells.pluck(:name, :centre_x)
    worker do
      click_button("Use this CRS")
      expect(page).to have_button("CRS: Moss grid", wait: 40)
      expect(page).to have_css("[data-ground=drawn] [data-part=dams]", visible: :all)
      expect(App::Book.find(@book.id).index.cells.pluck(:rotation_deg).map { |angle| angle.round(1) }.uniq).to eq(
        [-1.4]
      )
      click_button("Undo")
      expect(page).to have_button("CRS: ETRS89 / UTM zone 29N", wait: 40)
    end
    expect(App::Book.find(@book.id).index.cells.pluck(:name, :centre_x)).to eq(before)
  end

  it "updates a layer from a file and says what differs" do
    worker do
      Dir.mktmpdir do |folder|
        huts = JSON.parse(File.read(File.join(TileLoom::ROOT, "demo/skarrow-moss/huts.geojson")))
        huts["features"].reject! { |hut| hut["properties"]["name"] == "Gate Bothy" }
        File.write("#{folder}/huts.geojson", JSON.generate(huts))
        click_button("Huts")
        attach_file("File with newer data for Huts", "#{folder}/huts.geojson", visible: :all)
        expect(page).to have_css("aside h2", text: "New data for Huts", wait: 30)
        expect_accessible
        click_button("Update the layer")
        expect(page).to have_css(
          "[role=alert]",
          text: /0 added, 1 removed, 0 changed, 4 unchanged \(matched by name\)\. Removed: Gate Bothy\./,
          wait: 30
        )
        click_button("Undo")
        expect(page).to have_text("5 features")
      end
    end
  end

  it "asks for the columns and the reference of a table, and shows where it would lie" do
    worker do
      Dir.mktmpdir do |folder|
        File.write("#{folder}/wells.csv", "name;ost;nord\nA;402000,5;6528000,25\nB;403100,5;6529100,25\n")
        attach_file("Data files", "#{folder}/wells.csv", visible: :all)
        expect(page).to have_css("aside", text: "Which columns hold its places?", wait: 30)
        expect_accessible
        pick("East or lon", "ost")
        pick("North or lat", "nord")
        click_button("Look again")
        expect(page).to have_css(
          "aside label",
          text: "on the ground of the book with ETRS89 / UTM zone 29N, the book’s own",
          wait: 30
        )
        expect_accessible
        click_button("Import")
        expect(page).to have_css("aside li:first-child", text: "wells", wait: 30)
        click_button("Undo")
      end
    end
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
