# frozen_string_literal: true

require "browser_helper"

RSpec.describe "The steps", type: :feature do
  before(:all) { @book = demo_book }

  def titles = all("aside li").map { |row| row.text.lines.first.strip }

  describe "Ground" do
    before { visit "/books/#{@book.id}/ground" }

    it "shows layers, hides and orders them, and is accessible" do
      expect(page).to have_css("[data-ground=drawn] [data-part=dams]", visible: :all)
      expect(page).to have_text("Grid distances are 0.3 m per km short (scale factor 0.9997) everywhere here.")
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
          expect(page).to have_css("aside", text: "A file has arrived", wait: 30)
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
        expect(page).to have_css("aside", text: "The file does not say", wait: 30)
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
      expect(App::Layer.find_by!(key: "lochans").style["rules"][0]["symbol"]["strokes"][0]["width_mm"]).to eq(0.8)
      fill_in("Width, mm", with: "-3")
      find_field("Width, mm").send_keys(:enter)
      expect(page).to have_css("aside [role=alert]", text: "0.01 to 100")
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
      rules = App::Layer.find_by!(key: "fences").style["rules"]
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
      made = -> { App::Layer.find_by!(key: "contours").style["rules"] }
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
      expect { App::Layer.find_by!(key: "contours").style["rules"][0]["when"] }.to become(
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
        attach_file("SVG of a marker of your own", "#{folder}/bothy.svg", visible: :all)
        expect(page).to have_text("Left out of it: <script>.")
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
      page
        .driver
        .browser
        .action
        .move_to(find(".ol-viewport").native, 0, 0)
        .key_down(:shift)
        .click
        .key_up(:shift)
        .perform
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
        click_button("Draw the book in it")
        expect(page).to have_button("CRS: Moss grid", wait: 40)
        expect(page).to have_css("[data-ground=drawn] [data-part=dams]", visible: :all)
        expect(App::Book.find(@book.id).index.cells.pluck(:rotation_deg).map { |angle| angle.round(1) }.uniq).to eq(
          [1.4]
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
          attach_file("File with fresh features for Huts", "#{folder}/huts.geojson", visible: :all)
          expect(page).to have_css("aside h2", text: "Fresh data for Huts", wait: 30)
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
            text: "on the ground of the book by ETRS89 / UTM zone 29N, the book’s own",
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

  describe "Sheet" do
    before { visit "/books/#{@book.id}/sheet" }

    it "changes the page with live content; the scale is held" do
      expect(page).to have_text("The frame is 314 mm × 261 mm and shows 785.2 × 652.7 m of ground at 1:2,500")
      expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
      expect_accessible
      choose("Page size", "A4")
      expect(page).to have_text("and shows 477.6 × 435.1 m of ground at 1:2,500")
      card_value("Design").click
      within("aside") { click_button(text: /\AFoot panel/) }
      choose("Orientation", "portrait")
      choose("Binding edge", "unbound")
      expect(page).to have_text(/The frame is 174 mm × 231 mm/)
      expect(page).to have_css("[data-sheet='1'] svg text", text: /Sheet 1 of/)
      undo(4)
      expect(page).to have_text("The frame is 314 mm × 261 mm")
    end

    it "refuses margins larger than the page, and a gutter that leaves nothing" do
      type_value("Margins, all four", "150")
      click_button("Apply")
      expect(page).to have_css("[role=dialog] [role=alert]", text: /margins leave .* make them smaller/i)
      find("[role=dialog] input").send_keys(:escape)
      expect(page).to have_no_css("[role=dialog]")
      type_value("Gutter, the extra room on the bound edge", "20")
      keep
      expect(page).to have_text("The frame is 306 mm × 261 mm")
      click_button("Undo")
      expect(page).to have_text("The frame is 314 mm × 261 mm")
    end

    it "says what follows for the index when the frame changes; rebuilds it, or keeps the cells and marks them" do
      choose("Page size", "A4")
      expect(page).to have_css(
        "[aria-label='The index is out of step']",
        text: /the frame changed \(it was 314 mm × 261 mm\). Rebuilt, 27 sheets become \d+ sheets of 477.6 × 435.1 m/
      )
      expect_accessible
      click_button("Leave the cells")
      expect(page).to have_no_css("[aria-label='The index is out of step']")
      expect(page).to have_css("footer", text: "◆ unchanged · 1")
      click_button("Undo")
      click_button("Rebuild the index")
      expect(page).to have_no_css("[aria-label='The index is out of step']")
      expect(page).to have_no_css("footer", text: "◆ unchanged")
      expect { App::Book.find(@book.id).index.cells.count }.to become(
        App::Book.find(@book.id).tap(&:weave).index.cells.count
      )
      undo(2)
      expect(page).to have_text("27 sheets in all")
    end

    it "brings in a typeface and a picture of one’s own, and shows them as they print" do
      Dir.mktmpdir do |folder|
        logo = File.join(folder, "club logo.png")
        (Vips::Image.black(300, 150) + [40, 90, 60]).cast(:uchar).copy(interpretation: :srgb).write_to_file(logo)
        within("aside") { click_button("Title") }
        attach_file(
          "Typeface of your own",
          File.join(TileLoom::ROOT, "web/node_modules/source-sans/OTF/SourceSans3-Medium.otf"),
          make_visible: true
        )
        expect(page).to have_css("svg text[font-family^='Loom own']", text: "Skarrow Moss")
        family = find("svg text[font-family^='Loom own']", text: "Skarrow Moss")["font-family"]
        expect { page.evaluate_script("document.fonts.check('12px \"#{family}\"')") }.to become(true)
        attach_file("Typeface of your own", logo, make_visible: true)
        expect(page).to have_css("aside [role=alert]", text: "club logo.png is no font")
        click_button("The page")
        click_button("New element")
        find("[role=menuitem]", text: "Picture").click
        attach_file("Picture of your own", logo, make_visible: true)
        expect { page.evaluate_script("document.querySelector('[data-sheet] svg image')?.href.baseVal") }.to become(
          %r{\A/api/enclosures/[0-9a-f]{64}\z}
        )
        expect_accessible
        undo(4)
        expect(page).to have_no_css("svg text[font-family^='Loom own']")
      end
    end

    it "adds an index sheet, designs it, shows it in the proof and the strip, and does without it" do
      choose("Which page", "the index sheet")
      expect(page).to have_css("[data-sheet='0'] svg text", text: "F3")
      expect(page).to have_text("shows 27 sheets by name")
      expect_accessible
      within("aside") { click_button("Count") }
      fill_in("Size, pt", with: "14")
      find_field("Size, pt").send_keys(:enter)
      expect(page).to have_css("[data-sheet='0'] svg text", text: "Index to 27 sheets")
      click_link("Proof")
      expect(page).to have_text("The index sheet, before 27 sheets")
      page.driver.browser.action.send_keys(:page_down).perform
      expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
      find("footer button", text: "Index").click
      expect(page).to have_css("[data-sheet='0']")
      click_link("Sheet")
      click_button("Remove the index sheet")
      expect(page).to have_css("[data-sheet='1']")
      undo(3)
    end

    it "pulls guides out of the rulers and takes them away again, turns an element, and looks at it closely" do
      expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
      paper = find("[data-sheet='1']").native.rect
      ruler = find("[data-ruler=down]").native
      page
        .driver
        .browser
        .action
        .move_to(ruler)
        .click_and_hold
        .move_to_location((paper.x + 100 * per_mm).round, (paper.y + 60).round)
        .perform
      expect(page).to have_css("[role=status]", text: %r{ mm})
      page.driver.browser.action.release.perform
      expect {
        App::Book.find(@book.id).layout.then { |page| page.guides&.dig("x") }&.map { |mm| (mm - 100).abs < 1 }
      }.to become([true])
      fill_in("Horizontal, mm from the top", with: "50; 297/2")
      find_field("Horizontal, mm from the top").send_keys(:enter)
      expect(page).to have_css("[data-guide='y 148.5']")
      page.driver.browser.action.click_and_hold(find("[data-guide^='x']").native).move_to(ruler).release.perform
      expect(page).to have_no_css("[data-guide^='x']")
      within("aside") { click_button("Sheet name") }
      handle = find("[data-handle=turn]").native.rect
      box = find("[data-element='sheet-name']").native.rect
      # From above the middle to the right of it: a quarter turn.
      page
        .driver
        .browser
        .action
        .move_to_location((handle.x + 6).round, (handle.y + 6).round)
        .click_and_hold
        .move_to_location((box.x + box.width / 2 + 200).round, (box.y + box.height / 2).round)
        .release
        .perform
      expect(page).to have_css("svg text[transform^='rotate(90']", text: "A1")
      click_button("Selection")
      expect(page).to have_css("[aria-label=Zoom]", text: /[2-9]\d\d %/)
      undo(4)
    end

    it "marks an element off the page, which is found from the strip and brought back" do
      within("aside") { click_button("Ratio") }
      fill_in("Across, mm", with: "-200")
      find_field("Across, mm").send_keys(:enter)
      find("footer a", text: "1 element off the page").click
      expect(page).to have_css("aside h2", text: "Ratio")
      click_button("Align: Left")
      expect(page).to have_no_css("footer a", text: "off the page")
      undo(2)
    end

    it "says beside the text which value it does not know" do
      within("aside") { click_button("Sheet name") }
      field = find_field("Text")
      field.set("{{ sheet.nane }}")
      field.send_keys(:tab)
      expect(page).to have_css(
        "aside [role=alert]",
        text: /asks for “nane”, which this sheet does not know; use one of/
      )
      field.set("Blatt {{ sheet.name }}")
      field.send_keys(:enter)
      expect(page).to have_css("svg text", text: "Blatt A1")
      click_button("Undo")
      expect(page).to have_css("svg text", text: /\AA1\z/)
      click_button("Insert a value")
      expect(page).to have_css("[role=menuitem]", text: /sheet\.row\s*1/)
      expect_accessible
      find("[role=menuitem]", text: "sheet.count").click
      expect(page).to have_css("svg text", text: "A1 27")
      click_button("Undo")
    end

    # Where an element lies by the server: [left, top, width, height] in mm.
    def place(id) = App::Presenter.book(App::Book.find(@book.id))["frame"]["elements"][id]

    def drag(css, dx, dy, keys: nil)
      action = page.driver.browser.action
      action.key_down(keys) if keys
      action.move_to(find(css).native).click_and_hold.move_by(dx, dy).perform
      yield if block_given?
      action = page.driver.browser.action
      action.release
      action.key_up(keys) if keys
      action.perform
    end

    def per_mm = find("[data-sheet='1']").native.rect.width / 420.0

    it "moves an element with the pointer and with the keys, sizes it by a handle, and undoes each" do
      expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
      before = place("north")
      drag("[data-element=north]", -100, -20, keys: :alt) do
        expect(page).to have_css("[role=status]", text: /from the margins/)
      end
      moved = [before[0] - 100 / per_mm, before[1] - 20 / per_mm]
      expect { place("north").first(2).zip(moved).all? { |one, other| (one - other).abs < 0.3 } }.to become(true)
      expect(page).to have_css("aside h2", text: "North")
      at = place("north")
      page.driver.browser.action.send_keys(:arrow_right).key_down(:shift).send_keys(:arrow_down).key_up(:shift).perform
      expect { place("north").first(2).map { |mm| mm.round(2) } }.to become(
        [at[0] + 1, at[1] + 10].map { |mm| mm.round(2) }
      )
      width = place("north")[2]
      drag("[data-handle='1,0']", 40, 0, keys: :alt)
      expect { (place("north")[2] - width - 40 / per_mm).abs < 0.3 }.to become(true)
      undo(4)
      expect(place("north")).to eq(before)
    end

    it "snaps to the margins, keeps a locked element where it is, and picks several with a frame" do
      expect(page).to have_css("[data-sheet='1'] svg text", text: "A1")
      # The title ends 5 mm from the right margin; drawn a little more than that, it comes to it.
      drag("[data-element=title]", (5 * per_mm + 1).round, 0)
      expect { (place("title")[0] + place("title")[2]).round(3) }.to become(410.0)
      click_button("Lock")
      expect(page).to have_text("Locked: it does not move")
      at = place("title")
      drag("[data-element=title]", -60, 40)
      expect(place("title")).to eq(at)
      click_button("Unlock")
      undo(3)
      canvas = find("[data-canvas]").native
      corner = [canvas.rect.width / 2, canvas.rect.height / 2]
      page
        .driver
        .browser
        .action
        .move_to(canvas, (corner[0] - 4).round, (corner[1] * 0.62).round)
        .click_and_hold
        .move_by(-(66 * per_mm).round, (60 * per_mm).round)
        .release
        .perform
      expect(page).to have_css("aside h2", text: /\d elements/)
      expect_accessible
    end

    it "places exactly from nine points, in inches and with sums, and lines up" do
      within("aside") { click_button("Legend") }
      click_button("right middle")
      fill_in("Across, mm", with: "420-15.5")
      find_field("Across, mm").send_keys(:enter)
      expect { (place("legend")[0] + place("legend")[2]).round(3) }.to become(404.5)
      pick("Unit", "in")
      fill_in("Width, in", with: "2 in")
      find_field("Width, in").send_keys(:enter)
      expect { place("legend").values_at(0, 2).map { |mm| mm.round(2) } }.to become(
        [404.5 - 50.8, 50.8].map { |mm| mm.round(2) }
      )
      fill_in("Width, in", with: "two")
      find_field("Width, in").send_keys(:enter)
      expect(page).to have_css("aside [role=alert]", text: "Write a length or a sum")
      click_button("Align: Right")
      expect { (place("legend")[0] + place("legend")[2]).round(3) }.to become(410.0)
      undo(3)
    end

    it "adds an element, styles it, duplicates, hides and removes it" do
      click_button("New element")
      expect_accessible
      find("[role=menuitem]", text: "Text").click
      expect(page).to have_css("aside h2", text: "Text 1")
      field = find_field("Text")
      field.set("Handle with care")
      field.send_keys(:enter)
      expect(page).to have_css("svg text", text: "Handle with care")
      pick("Family", "Condensed")
      expect(page).to have_css("svg text[font-family='Loom Condensed']", text: "Handle with care")
      fill_in("Rotation, ° clockwise", with: "30")
      find_field("Rotation, ° clockwise").send_keys(:enter)
      expect(page).to have_css("svg text[transform^='rotate(30']", text: "Handle with care")
      click_button("Area colour")
      expect(page).to have_field("Corner, mm")
      expect_accessible
      click_button("Duplicate")
      expect(page).to have_css("svg text", text: "Handle with care", count: 2)
      click_button("Hide")
      expect(page).to have_css("svg text", text: "Handle with care", count: 1)
      click_button("Show Text 2")
      expect(page).to have_css("svg text", text: "Handle with care", count: 2)
      within("aside") { click_button("Text 2") }
      click_button("Remove")
      expect(page).to have_css("svg text", text: "Handle with care", count: 1)
      click_button("Show the fullest sheet")
      expect(page).to have_css("[data-sheet]")
      undo(8)
      expect(page).to have_no_css("svg text", text: "Handle with care")
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
    expect(page).to have_css("[role=alert]", text: "No longer exists; reload the page")
  end
end
