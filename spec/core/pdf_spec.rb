# frozen_string_literal: true

RSpec.describe TileLoom::Output::Pdf do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  describe "the demo book, printed" do
    before(:all) do
      @made = Dir.mktmpdir
      @pdf = File.join(@made, "demo.pdf")
      folio = TileLoom::Document::Folio.read(SmallBooks::DEMO)
      @book, @source = folio.document, folio.source
      @cells = @book.cells(@source)
      press(@book, @source, @made, cells: @cells.first(4)).then { |file| File.rename(file, @pdf) }
    end

    after(:all) { FileUtils.rm_rf(@made) }

    it("is sound, says qpdf") do
      expect(outside("qpdf", "--check", @pdf)).to include("No syntax or stream encoding errors")
    end

    # ISO 216: A3 is 420 × 297 mm.
    it "has pages of the right size, a title and an author, says poppler" do
      info = outside("pdfinfo", "-f", "1", "-l", "4", @pdf)
      expect(info).to match(/Title:\s+Skarrow Moss/)
      expect(info).to match(/Author:\s+Skarrow Moss peat team/)
      sizes =
        info
          .scan(/Page\s+\d+ size:\s+([\d.]+) x ([\d.]+) pts/)
          .map { |pair| pair.map { |points| points.to_f * 25.4 / 72 } }
      expect(sizes.length).to eq(4)
      expect(sizes.flatten.each_slice(2).to_a).to all(match([be_within(0.01).of(420), be_within(0.01).of(297)]))
    end

    it "embeds subset fonts with text that can be searched, says poppler" do
      fonts = outside("pdffonts", @pdf).lines.drop(2)
      expect(fonts.length).to be >= 4
      expect(fonts).to all(match(/\A[A-Z]{6}\+Source\S+\s+CID TrueType\s+Identity-H\s+yes yes yes/))
      text = outside("pdftotext", "-f", "2", "-l", "2", @pdf, "-")
      expect(text).to include("Skarrow Moss", "1:2,500", "Sheet 2 of 4", "B1")
      expect(text).to match(%r{ETRS89 / UTM zone 29N})
    end

    it "names its pages in an outline and its ground layers in groups, says GDAL and qpdf" do
      layers =
        gdal_page(@pdf, 2)["metadata"]["LAYERS"] ||
        JSON.parse(outside("gdalinfo", "-json", "-mdd", "LAYERS", "PDF:2:#{@pdf}"))["metadata"]["LAYERS"]
      expect(layers.values).to include("Peat_dams", "Contours")
      outline = outside("qpdf", "--json", "--json-key=outlines", @pdf)
      expect(JSON.parse(outline)["outlines"].map { |entry| entry["title"] }).to eq(
        @cells.first(4).map { |cell| "#{cell.number}  #{cell.name}" }
      )
    end

    # A ruler on the sheet: the scale bar as poppler sees it, against GeographicLib's geodesic between
    # the places on the ground that lie under a bar at the sheet's centre.
    it "carries a scale bar of the right length" do
      bar =
        poppler_paths(@pdf, 2).reverse.find do |path|
          path[:style].include?("stroke-width:150;") &&
            TileLoom::Geometry::Box.around(path[:points].flatten).height.between?(1.59, 1.61)
        end
      width = TileLoom::Geometry::Box.around(bar[:points].flatten).width
      ground = @cells[1].ground
      half = width / 2 * 2.5
      ends =
        [-1, 1].flat_map do |side|
          transverse_mercator_place(ground.centre_x + side * half, ground.centre_y, central: -9).values_at(:lon, :lat)
        end
      # 100 m on the bar; poppler's picture is exact to about 0.2 µm.
      expect(geodesic_m(*ends)).to be_within(0.01).of(100)
    end

    it "lies where it should on earth: GDAL reads the reference, and corners within 0.05 mm on paper" do
      @cells
        .first(4)
        .each_with_index do |cell, index|
          info = gdal_page(@pdf, index + 1)
          expect(info["coordinateSystem"]["wkt"]).to include('ID["EPSG",25829]')
          frame = @book.layout.frame_box
          corners = [
            [frame.min_x, frame.max_y],
            [frame.max_x, frame.max_y],
            [frame.max_x, frame.min_y],
            [frame.min_x, frame.min_y]
          ]
          corners
            .zip(cell.ground.corners.each_slice(2))
            .each do |(x, y), (east, north)|
              found = gdal_ground(info, x, y)
              expect(Math.hypot(found[0] - east, found[1] - north) * 1000 / 2500).to be < 0.05
            end
        end
    end

    # Vertices of a peat dam's marker in the PDF, taken back to the ground, must be at the dam.
    it "puts features where they are, to 0.05 mm" do
      cell = @cells[1]
      view = TileLoom::Compose::SheetComposer.new(book: @book, source: @source, cell: cell, count: 1).view
      hut = @source.features("dams", cell.ground.box).find { |feature| feature.attributes["condition"] == "failed" }
      skip "no failed dam on this sheet" unless hut
      place = view.to_page(TileLoom::Geometry::Wkb.each_run(hut.wkb).first[1])
      centres =
        poppler_paths(@pdf, 2)
          .select { |path| path[:style].match?(/fill:rgb\(70\.\d+%,14/) }
          .flat_map do |path|
            path[:points].each_slice(13).map { |ring| TileLoom::Geometry::Box.around(ring.first(12).flatten).centre }
          end
      expect(centres.map { |x, y| Math.hypot(x - place[0], y - place[1]) }.min).to be < 0.05
    end

    it "is the same, byte for byte, when made again, and when two processes share the work" do
      again = press(@book, @source, @folder, cells: @cells.first(4))
      expect(File.binread(again)).to eq(File.binread(@pdf))
      press = TileLoom::Output::Press.new(book: @book, source: @source)
      pages = TileLoom::Output::Parallel.new(processes: 2).map(@cells.first(4)) { |cell| press.page(cell, count: 4) }
      shared = File.join(@folder, "shared.pdf")
      press.bind(pages, shared)
      expect(File.binread(shared)).to eq(File.binread(@pdf))
    end
  end

  # The same check of place for a turned frame, feet, and a conic.
  [
    ["EPSG:25829", [403_000, 6_528_000], 27.0],
    ["EPSG:2277", [3_100_000, 10_100_000], 0.0],
    ["EPSG:3035", [4_500_000, 3_200_000], -12.0],
    ["EPSG:28355", [273_741, 5_796_489], 0.0]
  ].each do |reference, centre, rotation|
    it "is placed on earth in #{reference}, turned by #{rotation}°" do
      area = rectangle(centre[0], centre[1], centre[0] + 10, centre[1] + 10)
      book, source = small_book([area], scale: 5000, reference: reference)
      upright = book.cells(source).first
      cell = upright.with(ground: upright.ground.class.new(*upright.ground.to_a.first(4), rotation))
      pdf = press(book, source, @folder, cells: [cell])
      info = gdal_page(pdf, 1)
      expect(info["coordinateSystem"]["wkt"]).to include(%(ID["EPSG",#{reference[/\d+/]}]))
      frame = book.layout.frame_box
      [
        [frame.min_x, frame.max_y],
        [frame.max_x, frame.max_y],
        [frame.max_x, frame.min_y],
        [frame.min_x, frame.min_y]
      ].zip(cell.ground.corners.each_slice(2))
        .each do |(x, y), (east, north)|
          found = gdal_ground(info, x, y)
          off_mm = Math.hypot(found[0] - east, found[1] - north) * book.crs.metres_per_unit * 1000 / 5000
          expect(off_mm).to be < 0.05
        end
    end
  end

  it "draws the same places in the PDF as in the SVG" do
    book, source = small_book([rectangle(403_000, 6_528_000, 403_300, 6_528_200)], scale: 2500)
    cell = book.cells(source).first
    drawing = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 1).drawing
    svg = TileLoom::Output::Svg.new(drawing).to_s
    # The area's outline in the SVG, in hundredths of a millimetre.
    start, moves = svg.match(/data-part="area"><path d="M(-?\d+ -?\d+)l([^z]*)z/).captures
    x, y = start.split.map(&:to_i)
    corners = [[x, y]] + moves.split.map(&:to_i).each_slice(2).map { |dx, dy| [x += dx, y += dy] }
    pdf = press(book, source, @folder, cells: [cell])
    outline = poppler_paths(pdf, 1).find { |path| path[:style].include?("fill-opacity:0.18") }
    corners.each do |cx, cy|
      expect(outline[:points].map { |px, py| Math.hypot(px - cx / 100.0, py - cy / 100.0) }.min).to be < 0.01
    end
  end

  it "leaves nothing behind when it cannot finish" do
    book, source = small_book([rectangle(403_000, 6_528_000, 403_300, 6_528_200)])
    press = TileLoom::Output::Press.new(book: book, source: source)
    failing = Enumerator.new { raise TileLoom::Refusal.new("book.date", date: "today") }
    expect { press.bind(failing, File.join(@folder, "half.pdf")) }.to invalid(/“today” is not a day/)
    expect(Dir.children(@folder)).to be_empty
    expect { press.bind([], File.join(@folder, "missing/x.pdf")) }.to invalid(
      /cannot be written: its folder does not exist/
    )
    expect { press.bind([], @folder) }.to invalid(/there is a folder of that name/)
  end

  it "escapes markup in texts" do
    book, source =
      small_book([rectangle(403_000, 6_528_000, 403_300, 6_528_200)], title: "<script>alert(1)</script> & \"co\"")
    svg =
      TileLoom::Output::Svg.new(
        TileLoom::Compose::SheetComposer.new(
          book: book,
          source: source,
          cell: book.cells(source).first,
          count: 1
        ).drawing
      ).to_s
    expect(svg).not_to include("<script")
    expect(svg).to include("&lt;script&gt;")
  end
end
