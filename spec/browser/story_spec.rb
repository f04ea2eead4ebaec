# frozen_string_literal: true

require "browser_helper"

# The way of a newcomer: see the demo, change the scale, leaf through, print.
RSpec.describe "A newcomer", small_pictures: true, type: :feature do
  before(:all) { @book = demo_book }

  # The strip says how many sheets it holds; it draws those in view.
  def strip_of(count) = "footer ol[aria-label='#{count} #{(count == 1) ? "sheet" : "sheets"}']"

  it "sees the demo book, and what a scale would come to before it is kept" do
    visit "/"
    expect(page).to have_css("h1", text: "Skarrow Moss")
    expect(page).to have_css("[data-ground=drawn] svg")
    count = App::Cell.count
    expect(page).to have_text("#{count} sheets, each 785.2 × 652.7 m of ground. Nothing left out.")
    expect(page).to have_css(strip_of(count))
    expect_accessible
    type_value("Scale", "5000")
    expect(page).to have_css(
      "[role=dialog] [role=status]",
      text: /\d+ sheets of 1,570.5 × 1,305.4 m\. Nothing left out\./
    )
    expect(page).to have_text("It would be")
    expect(App::GridIndex.first.settings["scale"]).to eq(2500)
    click_button("Cancel")
    expect(page).to have_no_text("It would be")
    expect(App::Cell.count).to eq(count)
  end

  it "changes the scale and sees the cells change; undo puts it back; a reload shows the same" do
    visit "/books/#{@book.id}/weave"
    before = App::Cell.count
    type_value("Scale", "1:5,000")
    keep
    expect(page).to have_no_css(strip_of(before))
    after = App::Cell.count
    expect(after).to be < before
    visit current_path
    expect(page).to have_css(strip_of(after))
    expect(value("Scale")["aria-label"]).to eq("Scale: 1:5,000")
    click_button("Undo")
    expect(page).to have_css(strip_of(before))
    find("body").send_keys([:control, :shift, "z"])
    expect(page).to have_css(strip_of(after))
    find("body").send_keys([:control, "z"])
    expect(page).to have_css(strip_of(before))
  end

  it "is told in words what cannot be done, beside the field" do
    before = App::Edit.count
    visit "/books/#{@book.id}/weave"
    {
      "0" => /at least 1/,
      "-5" => /at least 1/,
      "house" => /Enter a scale/,
      "10" => /would make up to [\d,]+ cells/
    }.each do |text, sentence|
      type_value("Scale", text)
      click_button("Apply")
      expect(page).to have_css("[role=dialog] [role=alert]", text: sentence)
      find("[role=dialog] input").send_keys(:escape)
      expect(page).to have_no_css("[role=dialog]")
    end
    type_value("Overlap of neighbours", "400")
    expect(page).to have_css("[role=dialog] [role=alert]", text: /leaves nothing of a frame/)
    find("[role=dialog] input").send_keys(:escape)
    expect(App::Edit.count).to eq(before)
  end

  it "takes a neighbouring scale with one click" do
    visit "/books/#{@book.id}/weave"
    find("section[aria-label='Neighbouring scales'] button", text: "1:4,000").click
    expect(page).to have_css("button[aria-label='Scale: 1:4,000']")
    click_button("Undo")
    expect(page).to have_css("button[aria-label='Scale: 1:2,500']")
  end

  it "leafs through the sheets, jumps by name, and looks closer" do
    visit "/books/#{@book.id}/proof"
    expect(page).to have_css("[data-sheet='1'] svg", visible: :all)
    expect(page).to have_css("[data-sheet='1'] svg text", text: "Skarrow Moss")
    find("body").send_keys(:page_down)
    expect(page).to have_css("[data-sheet='2'] svg text", text: "1:2,500")
    expect(page).to have_current_path(/sheet=2/)
    expect_accessible
    click_button("Last sheet")
    expect(page).to have_css("[data-sheet='#{App::Cell.count}']")
    find("body").send_keys("/")
    find("input[aria-label='Go to a sheet by name']").send_keys("C3", :enter)
    number = App::Cell.find_by!(name: "C3").number
    expect(page).to have_css("[data-sheet='#{number}'] svg text", text: /\AC3\z/)
    width = find("[data-sheet='#{number}']").native.size.width
    find("button", text: /\d+ %/).click
    # 420 mm at 96 pixels an inch.
    expect(find("[data-sheet='#{number}']").native.size.width).to be_within(2).of(420 * 96 / 25.4)
    expect(width).to be < 1000
    visit current_url
    expect(page).to have_css("[data-sheet='#{number}']")
  end

  # What the statement says.
  def export = within("section[aria-label='What this step does']") { click_button("Export") }

  it "exports some sheets, sees progress, and gets the PDF; the run is still there after a reload" do
    worker do
      visit "/books/#{@book.id}/press"
      expect(page).to have_text("Nothing has been exported yet.")
      type_value("Which sheets", "1-3, 7")
      click_button("Apply")
      expect(page).to have_text("“7” is number 7, sheet B2.")
      export
      expect(page).to have_css("[data-run]", text: "sheets 1-3, 7 as one PDF")
      expect(page).to have_text("Done", wait: 40)
      expect_accessible
      link = find("a", text: /Download/)
      file = Net::HTTP.get(URI(link[:href]))
      expect(file).to start_with("%PDF-1.7")
      Dir.mktmpdir do |folder|
        File.binwrite("#{folder}/got.pdf", file)
        expect(outside("pdfinfo", "#{folder}/got.pdf")).to match(/Pages:\s+4/)
      end
      visit current_path
      expect(page).to have_css("[data-run]", text: "Done")
    end
  end

  it "exports images of the map frames under a saved order, and downloads all of them at once" do
    worker do
      visit "/books/#{@book.id}/press?sheet=2&also=3"
      find("button[aria-label^='Which sheets']").click
      click_button("2 sheets selected in Weave")
      choose("Format", "one image per sheet")
      type_value("Resolution", "72")
      click_button("Apply")
      expect(page).to have_text("2 files of up to 1,191 × 842 px")
      pick("Shows", "the map frame only")
      find("label", text: "World file and .aux.xml beside each").click
      fill_in("Name of the export settings", with: "web")
      click_button("Save these settings")
      click_button("Export web")
      expect(page).to have_css("article[data-run]", text: "web")
      expect(page).to have_link(text: /Download 6 files/, wait: 40)
      first("button[aria-label^='Details of run']").click
      expect(page).to have_link("Skarrow Moss_B1.png")
      expect_accessible
      expect(Net::HTTP.get(URI(find("a", text: /Download 6/)[:href]))).to start_with("PK")
    end
  end

  it "stops a run" do
    visit "/books/#{@book.id}/press"
    export
    expect(page).to have_text("Waiting for a worker")
    find("button", text: "Stop").click
    expect(page).to have_text("Stopped")
    expect(App::PressRun.last.state).to eq("cancelled")
  end

  it "is told which sheet does not exist" do
    visit "/books/#{@book.id}/press"
    type_value("Which sheets", "900")
    click_button("Apply")
    expect(page).to have_css("[role=alert]", text: /There is no sheet “900”/)
  end
end
