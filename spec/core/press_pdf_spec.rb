# frozen_string_literal: true

# What a PDF carries beside its pages, read back with qpdf, poppler and GDAL.
RSpec.describe TileLoom::Output::PdfFile do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  def pdf(manner = {}, settings: demo_settings, secrets: nil, **order)
    press =
      press_of(
        {"form" => {"kind" => "pdf_book", "pdf" => manner}, **order.transform_keys(&:to_s)},
        settings: settings
      )
    hand_on(press, @folder, secrets: secrets).first
  end

  describe "a book that leads from sheet to sheet" do
    before(:all) do
      @made = Dir.mktmpdir
      press = press_of({"form" => {"kind" => "pdf_book"}}, settings: linked_settings)
      @cells, @neighbours = press.cells, press.book.neighbours(press.source)
      @path = hand_on(press, @made).first
      @pdf = PdfObjects.new(@path)
    end

    after(:all) { FileUtils.rm_rf(@made) }

    # [[rectangle, name of the page that it leads to or address], …] of a page.
    def links(page)
      (page["/Annots"] || []).map do |reference|
        entry = @pdf.get(reference)
        action = @pdf.get(entry["/A"])
        target =
          if action["/S"] == "/URI"
            @pdf.text(action["/URI"])
          else
            place = @pdf.destinations.fetch(@pdf.text(action["/D"]))
            @labels.fetch(@pdf.page_references.index(place.first))
          end
        [entry["/Rect"], target]
      end
    end

    before do
      @labels =
        @pdf.get(@pdf.catalogue["/PageLabels"])["/Nums"]
          .each_slice(2)
          .map { |_, label| @pdf.text(@pdf.get(label)["/P"]) }
    end

    it "is sound, and its pages are labelled with the names of the sheets" do
      expect(outside("qpdf", "--check", @path)).to include("No syntax")
      expect(@labels).to eq(["Index", *@cells.map(&:name)])
    end

    # The eight neighbours are found afresh here: cells of a grid whose rows and columns are next to one another.
    it "leads from each of its 27 sheets to all of its neighbours, and to no other from the diagram" do
      mm = 72 / 25.4
      wrong =
        @cells
          .zip(@pdf.pages.drop(1))
          .reject do |cell, page|
            around =
              @cells.select do |other|
                other != cell && (other.row - cell.row).abs <= 1 && (other.column - cell.column).abs <= 1
              end
            diagram =
              links(page).select do |(left, bottom, right, _top), _|
                right <= (420 - 15) * mm && left >= (420 - 52) * mm && bottom.between?(99 * mm, 127 * mm)
              end
            diagram.map(&:last).sort == around.map(&:name).sort
          end
      expect(@cells.length).to eq(27)
      expect(wrong.map { |cell, _| cell.name }).to be_empty
    end

    it "puts each neighbour's link of the diagram on the side where that sheet lies" do
      cell = @cells.find { |known| @neighbours.of(known).length == 8 }
      found = links(@pdf.pages[cell.number]).each_with_object({}) { |(rect, name), all| (all[name] ||= []) << rect }
      north, south = @neighbours.of(cell).values_at("north", "south")
      diagram = ->(name) { found[name].select { |rect| rect[0] > 1000 }.min_by { |rect| rect[2] - rect[0] } }
      expect(found[north.name].map { |rect| rect[1] }.max).to be > found[south.name].map { |rect| rect[1] }.min
      expect(diagram[north.name]).not_to be_nil
    end

    it "leads from each cell of the index sheet and of the locators to its sheet" do
      expect(links(@pdf.pages.first).map(&:last)).to match_array(@cells.map(&:name))
      locator = links(@pdf.pages[1]).map(&:last).tally
      expect(@cells.drop(1).map(&:name) - locator.keys).to be_empty
    end

    it "leads from the names along match lines to the sheets that take over, and from addresses to the web" do
      cell = @cells.find { |known| @neighbours.of(known).length == 8 }
      tally = links(@pdf.pages[cell.number]).map(&:last).tally
      east = @neighbours.of(cell)["east"].name
      # Diagram, locator, match line.
      expect(tally[east]).to eq(3)
      expect(tally["https://moss.example/dams"]).to eq(1)
    end

    it "names its pages: index, sheet-A1, …, each leading to its own" do
      expect(@pdf.destinations.keys).to match_array(["index", *@cells.map { |cell| "sheet-#{cell.name}" }])
      places = @pdf.destinations.transform_values { |place| @pdf.page_references.index(place.first) }
      expect(places["sheet-B2"]).to eq(@cells.find { |cell| cell.name == "B2" }.number)
      expect(outside("pdfinfo", "-dests", @path)).to include("sheet-B2")
    end

    it "has every frame of a page on the ground: the map and the locator" do
      viewports = @pdf.pages[3]["/VP"]
      expect(viewports.length).to eq(2)
      expect(@pdf.pages.first["/VP"].length).to eq(1)
    end
  end

  it "puts sheets of a large book under bookmarks of their rows, closed at first" do
    settings = demo_settings
    settings["index"]["scale"] = 1000
    press = press_of({"form" => {"kind" => "pdf_book"}, "sheets" => "1-45"}, settings: settings)
    found = PdfObjects.new(hand_on(press, @folder).first)
    rows = press.picked.map(&:row).uniq.length
    expect(found.bookmarks.length).to eq(rows)
    expect(found.bookmarks.first[0]).to match(/\ARow 1: /)
    expect(found.bookmarks.sum { |_, kids| [kids.length, 1].max }).to eq(45)
  end

  it "lists layers under their groups, the topmost first, as they are to be found and to print" do
    path =
      pdf(
        {"layers" => [{"id" => "contours", "shown" => false}, {"id" => "dams", "printed" => "never"}]},
        sheets: "B2"
      )
    found = PdfObjects.new(path)
    layers = found.get(found.catalogue["/OCProperties"])
    order = found.get(layers["/D"])["/Order"]
    titles = ->(list) do
      list.map do |item|
        if item.is_a?(Array)
          titles[item]
        else
          (item.start_with?("u:") ? found.text(item) : found.text(found.get(item)["/Name"]))
        end
      end
    end
    expect(titles[order]).to include("Peat dams", ["Water", "Lochans", "Burns and gullies"])
    off = found.get(layers["/D"])["/OFF"].map { |item| found.text(found.get(item)["/Name"]) }
    expect(off).to eq(["Contours"])
    dams = found.of_type("/OCG").find { |group| found.text(group["/Name"]) == "Peat dams" }
    expect(dams.dig("/Usage", "/Print", "/PrintState")).to eq("/OFF")
    expect(found.get(layers["/D"])["/AS"].first["/Event"]).to eq("/Print")
  end

  # What poppler draws of a file whose layer is off, with and without: the contours are gone.
  it "draws a layer that is off only when it is switched on" do
    shown, hidden =
      [{}, {"layers" => [{"id" => "contours", "shown" => false}]}].map do |manner|
        pdf(manner, sheets: "B2").then { |path| outside("pdftocairo", "-r", "40", "-png", "-singlefile", path, "-") }
      end
    expect(shown).not_to eq(hidden)
  end

  it "carries attributes of the chosen layers and fields, one element for each feature of the sheet" do
    path = pdf({"object_data" => [{"layer" => "dams", "fields" => %w[code condition]}]}, sheets: "B2")
    found = PdfObjects.new(path)
    expect(found.get(found.catalogue["/MarkInfo"])["/UserProperties"]).to be(true)
    features =
      found.of_type("/StructElem").filter_map { |element| element["/A"] && [element, found.get(element["/A"])] }
    expect(features.map { |_, attributes| attributes["/O"] }.uniq).to eq(["/UserProperties"])
    names =
      features.map do |_, attributes|
        attributes["/P"].to_h { |entry| [found.text(entry["/N"]), found.text(entry["/V"])] }
      end
    expect(names).to all(include("code", "condition"))
    # Dams in the ground of B2, by OGR on the file itself.
    press = press_of({})
    box = press.cells.find { |cell| cell.name == "B2" }.ground.box
    dams =
      JSON.parse(
        outside(
          "ogr2ogr",
          "-f",
          "GeoJSON",
          "/vsistdout/",
          "demo/skarrow-moss/dams.geojson",
          "-t_srs",
          "EPSG:25829",
          "-lco",
          "RFC7946=NO",
          "-clipdst",
          *box.to_a.map(&:to_s),
          chdir: TileLoom::ROOT
        )
      )
    expect(names.map { |entry| entry["code"] }).to match_array(dams["features"].map { |dam| dam["properties"]["code"] })
  end

  it "attaches the book and its data, which taken out make the same book again" do
    path = pdf({"attach_book" => true, "attach_data" => true}, sheets: "B2")
    outside("pdfdetach", "-saveall", "-o", @folder, path)
    again = File.join(@folder, "again.pdf")
    outside(
      "bin/loom",
      "make",
      File.join(@folder, "Skarrow Moss.json"),
      "--sheets",
      "B2",
      "--out",
      again,
      chdir: TileLoom::ROOT
    )
    words = [path, again].map { |file| outside("pdftotext", "-layout", file, "-") }
    expect(words.uniq.length).to eq(1)
    layers = outside("ogrinfo", "-q", File.join(@folder, "Skarrow Moss-data.gpkg"))
    expect(layers.lines.length).to eq(demo_settings["layers"].count { |layer| layer["rules"] })
  end

  it "says in its metadata what its information dictionary says" do
    found = PdfObjects.new(pdf({}, sheets: "B2"))
    info = found.get(found.trailer["/Info"])
    xmp = Nokogiri.XML(outside("pdfinfo", "-meta", Dir[File.join(@folder, "*.pdf")].first))
    names = [xmp.collect_namespaces.transform_keys { |name| name.delete_prefix("xmlns:") }]
    {"dc:title" => "/Title", "dc:creator" => "/Author", "dc:description" => "/Subject"}.each do |element, key|
      expect(xmp.at_xpath("//#{element}//rdf:li", *names).text).to eq(found.text(info[key]))
    end
    expect(xmp.at_xpath("//xmp:CreateDate", *names).text).to eq("2026-04-01T00:00:00Z")
    expect(found.text(info["/CreationDate"])).to start_with("D:20260401")
  end

  it "opens as wanted, is of the wanted version, and linearized on wish" do
    path = pdf({"version" => "2.0", "opens_at" => "width", "panel" => "layers", "linearized" => true}, sheets: "B2")
    found = PdfObjects.new(path)
    expect([found.version, found.catalogue["/PageMode"], found.catalogue["/OpenAction"][1]]).to eq(%w[2.0 /UseOC /FitH])
    expect(outside("qpdf", "--check-linearization", path)).to include("no linearization errors")
  end

  # ISO 32000-2, 7.6: revision 6 is AES with keys of 256 bits.
  it "is protected by AES with 256 bits, opens with its password and with no other" do
    path =
      pdf(
        {"protected" => true, "printing" => "low"},
        sheets: "B2",
        secrets: TileLoom::Output::Secrets.new(open: "moss")
      )
    _, _, asked = Open3.capture3("qpdf", "--requires-password", path)
    _, _, wrong = Open3.capture3("qpdf", "--password=fen", "--check", path)
    expect([asked.exitstatus, wrong.exitstatus]).to eq([0, 2])
    told = outside("qpdf", "--password=moss", "--show-encryption", path)
    expect(told).to match(/R = 6/).and match(/print high resolution: not allowed/).and match(
                  /modify anything: not allowed/
                )
    expect(told).to match(/stream encryption method: AESv3/)
  end

  it "refuses protection without a password, and passwords that no reader takes" do
    expect { pdf({"protected" => true}, sheets: "B2") }.to invalid(/give a password/, path: "/password")
    expect { TileLoom::Output::Secrets.new(open: "x" * 128) }.to invalid(/up to 127 bytes/)
    expect(Dir.children(@folder).grep(/\.pdf\z/)).to be_empty
  end

  it "refuses what does not go together, and layers that are not there" do
    expect { pdf({"standard" => "pdf_a_2u", "attach_book" => true}) }.to invalid(%r{PDF/A-2u cannot have attachments})
    expect { pdf({"standard" => "pdf_x_4", "protected" => true}) }.to invalid(%r{PDF/X-4 cannot have a password})
    expect { pdf({"layers" => [{"id" => "moon"}]}) }.to invalid(/no layer “moon”/)
  end
end
