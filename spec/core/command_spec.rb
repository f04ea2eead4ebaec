# frozen_string_literal: true

require "digest"

RSpec.describe "bin/loom" do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  # The program itself.
  def program(*arguments)
    out, err, status = Open3.capture3(File.join(TileLoom::ROOT, "bin/loom"), *arguments)
    [status.success?, out, err]
  end

  # What it does once it has started, in a process of its own that need not read all code anew.
  def loom(*arguments)
    Dir.mktmpdir("said") do |folder|
      files = %w[out err].map { |name| File.join(folder, name) }
      TileLoom::Artwork::IdleThreads.gone
      child = fork { exit!(started(arguments, files)) }
      [Process.wait2(child).last.success?, *files.map { |file| File.read(file) }]
    end
  end

  # Returns the exit status.
  def started(arguments, files)
    [$stdout, $stderr].zip(files) { |stream, file| stream.reopen(file, "w").sync = true }
    TileLoom::Command::CommandLine.start(arguments)
    0
  rescue SystemExit => left
    left.status
  end

  demo = SmallBooks::DEMO

  it "makes a PDF of the sheets asked for, twice the same" do
    digests =
      %w[one two].map do |name|
        done, out, err = program("make", demo, "--out", "#{@folder}/#{name}.pdf", "--sheets", "1-2,C2")
        expect(err).to eq("")
        expect(done).to be(true)
        expect(out).to include("Sheet A1, 1 of 3", "3 sheets in")
        Digest::SHA256.file("#{@folder}/#{name}.pdf").hexdigest
      end
    expect(digests.uniq.length).to eq(1)
    expect(outside("pdfinfo", "#{@folder}/one.pdf")).to match(/Pages:\s+3/)
  end

  it "says what cannot be done and leaves nothing behind" do
    expect(loom("make", demo, "--out", "#{@folder}/none/x.pdf")[2]).to match(/cannot be written/)
    expect(loom("make", demo, "--out", "#{@folder}/x.pdf", "--sheets", "99")[2]).to match(
      /There is no sheet “99”; the book has \d+ sheets/
    )
    expect(loom("make", "#{@folder}/none.json", "--out", "#{@folder}/x.pdf")[2]).to match(/does not exist/)
    expect(Dir.children(@folder)).to be_empty
  end

  describe "export" do
    it "hands on an order of the book, by two processes what one makes" do
      made =
        %w[1 2].map do |processes|
          folder = "#{@folder}/#{processes}"
          done, out, =
            loom(
              "export",
              demo,
              "--saved",
              "map frames",
              "--sheets",
              "1-3",
              "--ppi",
              "50",
              "--out",
              folder,
              "--processes",
              processes,
              "--json"
            )
          told = JSON.parse(out)
          expect([done, told["files"], told["missing"]]).to eq([true, %w[A1.tif B1.tif C1.tif], {}])
          told["files"].to_h { |name| [name, Digest::SHA256.file("#{folder}/#{name}").hexdigest] }
        end
      expect(made.uniq.length).to eq(1)
    end

    it "hands on a form with its parts, as one zip, with a password out of a file" do
      # As an option of a program would begin.
      File.write("#{@folder}/password", "--moss\n")
      done, out, err =
        loom(
          "export",
          demo,
          "--as",
          "pdf_sheets",
          "--set",
          "pdf.protected=true",
          "pdf.printing=none",
          "--sheets",
          "1-2",
          "--name",
          "{{ sheet.name }}",
          "--password-file",
          "#{@folder}/password",
          "--out",
          "#{@folder}/sheets.zip"
        )
      expect([done, err]).to eq([true, ""])
      expect(out).to include("2 files in")
      outside("unzip", "-q", "#{@folder}/sheets.zip", "-d", @folder)
      expect(outside("qpdf", "--password=--moss", "--show-encryption", "#{@folder}/B1.pdf")).to match(
        /print low resolution: not allowed/
      )
    end

    it "names the sheets that it cannot make, makes the others, and fails" do
      settings = demo_settings
      settings["layout"]["elements"] << {
        "kind" => "text",
        "id" => "fault",
        "place" => {
          "left_mm" => 0,
          "top_mm" => 0,
          "width_mm" => 20,
          "height_mm" => 5
        },
        "text" => "{% if sheet.name == 'B1' %}{{ sheet.fraction | decimals: 2 }}{% endif %}"
      }
      settings["layers"].each do |layer|
        next unless layer["data"]
        layer["data"]["file"] = File.join(TileLoom::ROOT, "demo", layer["data"]["file"])
      end
      File.write("#{@folder}/book.json", JSON.generate(settings))
      sheets =
        loom("export", "#{@folder}/book.json", "--as", "svg_sheets", "--sheets", "1-3", "--out", "#{@folder}/svg")
      expect([sheets[0], sheets[1]]).to match([false, /2 files in .*\. Missing: B1 \(.*decimals.*needs a number/])
      book = loom("export", "#{@folder}/book.json", "--sheets", "1-3", "--out", "#{@folder}/pdf")
      expect([book[0], book[1]]).to match([false, /0 files in .* Missing: B1/])
      expect(Dir.children("#{@folder}/pdf")).to be_empty
    end

    it "says what it does not know" do
      expect(loom("export", demo, "--as", "fax", "--out", @folder)[2]).to match(
        /“fax” is not an export format; use one of pdf_book, pdf_sheets/
      )
      expect(loom("export", demo, "--saved", "moon", "--out", @folder)[2]).to match(
        /no saved export settings “moon”; it has: tablet, map frames/
      )
      expect(loom("export", demo, "--as", "images", "--set", "format=gif", "--out", @folder)[2]).to match(
        %r{/form/format.*png}
      )
      expect(loom("export", demo, "--as", "images", "--set", "format", "--out", @folder)[2]).to match(/says no value/)
    end
  end

  it "checks a book and lists what is wrong, each with its path" do
    expect(loom("check", demo)).to match([true, /Nothing is wrong/, ""])
    settings = demo_settings.merge("crs" => "EPSG:0", "colour" => 1)
    settings["index"]["scale"] = 0
    File.write("#{@folder}/bad.json", JSON.generate(settings))
    done, _, err = loom("check", "#{@folder}/bad.json")
    expect(done).to be(false)
    expect(err).to match(%r{^/colour: }).and match(%r{^/index/scale: })
  end

  it "finds by check that the data is missing, or the sheets too many" do
    settings = demo_settings
    settings["layers"].select! { |layer| layer["rules"] }
    settings.delete("looks")
    settings["layers"].each { |layer| layer["data"]["file"] = File.join(File.dirname(demo), layer["data"]["file"]) }
    File.write(
      "#{@folder}/many.json",
      JSON.generate(settings.merge("index" => settings["index"].merge("scale" => 4, "overlap_mm" => 0)))
    )
    expect(loom("check", "#{@folder}/many.json")[2]).to match(
      %r{/index/scale: At 1:4 this would make up to [\d,]+ cells .*the limit is 1,000,000}
    )
    settings["layers"][0]["data"]["file"] = "gone.geojson"
    File.write("#{@folder}/gone.json", JSON.generate(settings))
    expect(loom("check", "#{@folder}/gone.json")[2]).to match(
      %r{/layers/0/data: Layer “Restoration area”: The data file .*gone.geojson does not exist}
    )
  end

  # Natural Earth (public domain) from the npm package world-atlas: a book at a small scale in an
  # equal-area conic, started and printed from its TopoJSON through GDAL.
  it "starts and prints a book of the countries of the world-atlas package" do
    atlas = File.join(TileLoom::ROOT, "web/node_modules/world-atlas/countries-50m.json")
    counts = outside("ogrinfo", "-ro", "-so", atlas, "countries")[/Feature Count: (\d+)/, 1].to_i
    only = "#{@folder}/europe.gpkg"
    outside(
      "ogr2ogr",
      "-f",
      "GPKG",
      "-nln",
      "europe",
      "-spat",
      "-25",
      "30",
      "45",
      "72",
      "-clipsrc",
      "-25",
      "30",
      "45",
      "72",
      only,
      atlas,
      "countries"
    )
    conic = "+proj=aea +lat_1=40.5 +lat_2=61.5 +lat_0=51 +lon_0=10 +datum=WGS84 +units=m"
    done, out, err =
      loom(
        "new",
        "--data",
        only,
        "--area",
        "europe",
        "--scale",
        "1:10,000,000",
        "--page",
        "A3",
        "--landscape",
        "--crs",
        conic,
        "--title",
        "Countries",
        "--out",
        "#{@folder}/countries.json"
      )
    expect([done, err]).to eq([true, ""])
    expect(out).to include("A book of 1 layer in")
    done, _, err = loom("make", "#{@folder}/countries.json", "--out", "#{@folder}/countries.pdf")
    expect([done, err]).to eq([true, ""])
    folio = TileLoom::Document::Folio.read("#{@folder}/countries.json")
    expect(folio.source.features("europe", nil).length).to be_between(40, counts)
    # Areas survive an equal-area projection: Iceland, about 103,000 km² (from memory, a handbook fact);
    # the outline at 1:50 million is coarse.
    iceland = folio.source.features("europe", nil).find { |feature| feature.attributes["name"] == "Iceland" }
    expect(TileLoom::Geometry::Geos.read(iceland.wkb).area / 1e6).to be_within(3000).of(103_000)
    expect(outside("qpdf", "--check", "#{@folder}/countries.pdf")).to include("No syntax")
    expect(gdal_page("#{@folder}/countries.pdf", 1)["coordinateSystem"]["wkt"]).to match(/Albers Equal Area/)
  end

  it "says which option of a new book is wrong" do
    data = File.join(TileLoom::ROOT, "demo/skarrow-moss/huts.geojson")
    expect(
      loom(
        "new",
        "--data",
        data,
        "--area",
        "huts",
        "--scale",
        "2500",
        "--crs",
        "EPSG:4258",
        "--out",
        "#{@folder}/x.json"
      )[
        2
      ]
    ).to match(/degrees/)
    expect(
      loom(
        "new",
        "--data",
        data,
        "--area",
        "moon",
        "--scale",
        "2500",
        "--crs",
        "EPSG:25829",
        "--out",
        "#{@folder}/x.json"
      )[
        2
      ]
    ).to match(/no layer “moon” in the data; it has huts/)
    expect(
      loom(
        "new",
        "--data",
        data,
        "--area",
        "huts",
        "--scale",
        "0",
        "--crs",
        "EPSG:25829",
        "--out",
        "#{@folder}/x.json"
      )[
        2
      ]
    ).to match(/“0” is not a scale; enter 1:5,000/)
    expect(Dir.children(@folder)).to be_empty
  end
end
