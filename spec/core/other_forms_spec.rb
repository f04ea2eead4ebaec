# frozen_string_literal: true

require "vips"

# SVG, tiles of the ground and imposed pages.
RSpec.describe "Forms of a book" do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  def made(form, settings: demo_settings, **order)
    @press = press_of({"form" => form, **order.transform_keys(&:to_s)}, settings: settings)
    hand_on(@press, @folder).first
  end

  describe "SVG" do
    # No typeface of the machine is asked: librsvg knows none of ours by name, so that outlines must look as the PDF
    # does by poppler.
    it "with outlines looks as the PDF does, drawn by librsvg" do
      svg = made({"kind" => "svg_sheets", "text" => "outlines"}, sheets: "B2")
      pdf = made({"kind" => "pdf_book"}, sheets: "B2")
      # Fine enough that no line is thinner than a pixel, which poppler would draw as wide as one.
      outside("pdftocairo", "-r", "260", "-png", "-singlefile", pdf, File.join(@folder, "poppler"))
      theirs = Vips::Image.new_from_file(File.join(@folder, "poppler.png")).extract_band(0, n: 3)
      ours = Vips::Image.svgload(svg, dpi: 260, unlimited: true).flatten(background: 255).colourspace(:srgb)
      ours = ours.gravity(:"north-west", theirs.width, theirs.height, extend: :copy)
      expect((ours.cast(:short) - theirs.cast(:short)).abs.avg).to be < 2
      expect(File.read(svg)).not_to include("<text")
    end

    it "with text carries its typefaces, smaller than they are, with kerning" do
      text = File.read(made({"kind" => "svg_sheets"}, sheets: "B2"))
      faces = text.scan(%r{src:url\(data:font/ttf;base64,([^)]+)\)}).flatten.map { |data| data.unpack1("m0") }
      expect(faces.length).to be >= 4
      whole = TileLoom::Type::Library.face("sans").bytes.bytesize
      expect(faces.map(&:bytesize)).to all(be < whole / 4)
      tables = TTFunk::File.new(faces.first).directory.tables.keys
      expect(tables).to include("GPOS", "cmap", "glyf")
    end

    it "has layers as groups with their titles, and leads to the files beside it" do
      document =
        Nokogiri.XML(
          File.read(made({"kind" => "svg_sheets"}, settings: linked_settings, sheets: "A1, B1"))
        ).remove_namespaces!
      expect(document.xpath("//g[@id='layer-contours']/title").text).to eq("Contours")
      expect(document.xpath("//g/@id").map(&:value).tally.values).to all(eq(1))
      expect(document.xpath("//a/@href").map(&:value)).to include("Skarrow%20Moss_B1.svg", "https://moss.example/dams")
    end
  end

  # MBTiles 1.3 (github.com/mapbox/mbtiles-spec, as remembered): tables metadata and tiles, rows counted from the south.
  describe "tiles of the ground" do
    it "are MBTiles by the specification, in spherical Mercator, where the sheets lie" do
      path = made({"kind" => "ground", "scale" => 25_000}, ppi: 100)
      sql = ->(query) { outside("sqlite3", path, query).strip }
      metadata = sql["SELECT name || '=' || value FROM metadata"].lines.to_h { |line| line.strip.split("=", 2) }
      expect(metadata).to include("name" => "Skarrow Moss", "format" => "png")
      least, most = metadata.values_at("minzoom", "maxzoom").map(&:to_i)
      expect(sql["SELECT min(zoom_level) || ' ' || max(zoom_level) FROM tiles"]).to eq("#{least} #{most}")
      expect(outside("sqlite3", path, "SELECT hex(substr(tile_data,1,8)) FROM tiles LIMIT 1").strip).to eq(
        "89504E470D0A1A0A"
      )
      # The box in degrees holds the middle of each sheet; GeographicLib's transverse Mercator.
      west, south, east, north = metadata["bounds"].split(",").map(&:to_f)
      places =
        @press.cells.map { |cell| transverse_mercator_place(cell.ground.centre_x, cell.ground.centre_y, central: -9) }
      expect(places).to all(satisfy { |place| place[:lon].between?(west, east) && place[:lat].between?(south, north) })
    end

    it "are a GeoPackage in the book's own reference, clear where no sheet is" do
      path = made({"kind" => "ground", "format" => "geopackage", "scale" => 25_000}, ppi: 100)
      told = JSON.parse(outside("gdalinfo", "-json", path))
      expect(told["coordinateSystem"]["wkt"]).to include("ETRS89 / UTM zone 29N")
      box = @press.cells.map { |cell| cell.ground.box }.reduce { |all, other| all.union(other) }
      corner = told["cornerCoordinates"]["upperLeft"]
      expect(corner).to match([be_within(0.01).of(box.min_x), be_within(0.01).of(box.max_y)])
      outside("gdal_translate", "-q", "-of", "PNG", path, "#{@folder}/ground.png")
      # The north-west corner of the box is of no sheet where row 1 begins further east, or of A1 where it does not.
      image = Vips::Image.new_from_file("#{@folder}/ground.png")
      expect(image.bands).to eq(4)
      expect(image[3].min).to eq(0)
      expect(image[3].avg).to be > 100
    end

    it "are refused where they would be too large, with what would do" do
      expect { made({"kind" => "ground", "scale" => 500}, ppi: 1200) }.to invalid(
        /The ground would be [\d,]+ × [\d,]+ px; choose at most \d+ ppi, or a scale of 1:[\d,]+ or smaller/
      )
    end
  end

  describe "imposed" do
    def pages(path) =
      outside("pdfinfo", "-f", "1", "-l", "99", path)
        .scan(/Page +\d+ size: +([\d.]+) x ([\d.]+)/)
        .map { |sides| sides.map { |side| side.to_f * 25.4 / 72 } }

    it "lays two sheets on one, each whole, in order" do
      path = made({"kind" => "imposed", "paper" => "A4"}, sheets: "1-3")
      expect(outside("qpdf", "--check", path)).to include("No syntax")
      expect(pages(path)).to eq([[210, 297]] * 2).or all(match([be_within(0.1).of(210), be_within(0.1).of(297)]))
      words = (1..2).map { |number| outside("pdftotext", "-f", number.to_s, "-l", number.to_s, path, "-") }
      expect(words[0]).to include("A1", "B1")
      expect(words[1]).to include("C1")
    end

    # Five pages make two sheets of paper, four sides: 8-1, 2-7, 6-3, 4-5 (common practice of folded booklets).
    it "orders a booklet so that folded it reads from first to last" do
      sizes = [[148, 210]] * 5
      form = TileLoom::Output::Forms::Imposed.new({"kind" => "imposed", "lay" => "booklet", "paper" => "A4"})
      sides = TileLoom::Output::Imposition.new(form, sizes).sides
      expect(sides.map { |side| side.placed.map { |item| item.page + 1 } }).to eq([[1], [2], [3], [4, 5]])
      left, right = sides.last.placed
      # They meet in the fold.
      expect(left.x + 148 * left.factor).to be_within(1e-9).of(right.x)
      expect(right.x).to be_within(1e-9).of(297 / 2.0)
      # The first page lies on the right of its side, the second on the left.
      expect(sides[0].placed.first.x).to be > sides[1].placed.first.x
    end

    # By hand: A6 twice on A4 portrait, 5 mm apart; the bleed goes to the middle of the gap, 2.5 mm, and 3 mm elsewhere.
    describe "with a bleed" do
      def form(**more) =
        TileLoom::Output::Forms::Imposed.new(
          {"kind" => "imposed", "paper" => "A4", "true_size" => true, **more.transform_keys(&:to_s)}
        )

      def imposition(sizes, bleed: 3.0, **more) =
        TileLoom::Output::Imposition.new(form(**more), sizes, bleeds: [bleed] * sizes.length)

      it "keeps it in the gap up to its middle, with marks clear of it, and says what has no room" do
        sizes = [[190.0, 138.0]] * 2
        found = imposition(sizes, margin_mm: 8)
        above, below = found.sides.first.placed
        expect([above.clip.min_y, below.clip.max_y]).to match(
          [be_within(1e-9).of(above.y - 3), be_within(1e-9).of(below.y + 138 + 3)]
        )
        expect(above.clip.max_y).to be_within(1e-9).of(below.clip.min_y)
        expect(above.clip.max_y - (above.y + 138)).to be_between(2.4, 3)
        found.sides.first.marks.each do |x1, y1, x2, y2|
          [above, below].each do |item|
            box = item.clip
            crosses =
              [x1, x2].max > box.min_x + 1e-6 && [x1, x2].min < box.max_x - 1e-6 && [y1, y2].max > box.min_y + 1e-6 &&
              [y1, y2].min < box.max_y - 1e-6
            expect(crosses).to be(false)
          end
        end
        expect(found.sides.first.marks).not_to be_empty
        expect(found.bleed_in_words).to match(/Of the pages’ bleed of 3 mm, 2\.5 mm is printed/)
        expect(imposition(sizes, gap_mm: 6, margin_mm: 5).bleed_in_words).to be_nil
        expect(imposition(sizes, bleed: 0.0).bleed_in_words).to be_nil
      end

      it "has none in the fold of a booklet, and does not miss it there" do
        sides = imposition([[148.0, 210.0]] * 4, lay: "booklet", margin_mm: 5, paper: "A3").sides
        left, right = sides.last.placed
        expect(left.clip.max_x).to be_within(1e-9).of(right.clip.min_x)
        expect(left.x - left.clip.min_x).to be_within(1e-9).of(3)
        expect(imposition([[148.0, 210.0]] * 4, lay: "booklet", margin_mm: 5, paper: "A3").bleed_in_words).to be_nil
      end

      it "is on the outer edges of parts alone" do
        sides = imposition([[420.0, 297.0]], lay: "parts of large pages").sides
        first, last = sides.first.placed.first, sides.last.placed.first
        expect([first.x - first.clip.min_x, first.clip.max_x]).to match(
          [be_within(1e-9).of(3), be_within(1e-9).of(297 - 8)]
        )
        expect(last.clip.max_x - (last.x + 420)).to be_within(1e-9).of(3)
      end
    end

    # A3 over A4 with 8 mm of margin and 10 mm of overlap.
    it "lays a large page over small paper in its own size, neighbours showing the overlap both, with marks" do
      form =
        TileLoom::Output::Forms::Imposed.new({"kind" => "imposed", "lay" => "parts of large pages", "paper" => "A4"})
      sides = TileLoom::Output::Imposition.new(form, [[420.0, 297.0]]).sides
      expect(sides.length).to eq(4)
      shown =
        sides.map do |side|
          side.placed.first.then do |item|
            [item.clip.min_x - item.x, item.clip.min_y - item.y, item.clip.max_x - item.x, item.clip.max_y - item.y]
          end
        end
      expect(shown.map { |box| box[0] }.minmax[0]).to eq(0)
      expect([shown.map { |box| box[2] }.max, shown.map { |box| box[3] }.max]).to eq([420, 297])
      first, second = shown.first(2)
      expect(first[2] - second[0]).to be_within(1e-9).of(10)
      expect(sides.map { |side| side.placed.first.factor }.uniq).to eq([1.0])
      # Crosses of neighbours are at the same places of the page.
      places =
        sides
          .first(2)
          .map do |side|
            side
              .marks
              .select { |x1, y1, x2, y2| (x1 + x2) / 2 > 0 && (x2 - x1).abs.round(3) == 5 }
              .map do |x1, y1, x2, _|
                [((x1 + x2) / 2 - side.placed.first.x).round(6), (y1 - side.placed.first.y).round(6)]
              end
          end
      expect(places[0] & places[1]).not_to be_empty
    end

    it "refuses more sides than anyone would print" do
      form =
        TileLoom::Output::Forms::Imposed.new(
          {"kind" => "imposed", "lay" => "parts of large pages", "paper" => "A6", "overlap_mm" => 75}
        )
      expect { TileLoom::Output::Imposition.new(form, [[5000.0, 5000.0]]) }.to invalid(
        /would take [\d,]+ sides of paper/
      )
    end

    it "says that scales do not hold where pages are made smaller" do
      made({"kind" => "imposed", "paper" => "A4"}, sheets: "1-3")
      expect(TileLoom::Output::Plan.new(@press).notices.join(" ")).to match(
        /2 sides of A4 paper; pages are printed at [\d.]+ % of their size, so that their scales do not hold/
      )
      made({"kind" => "imposed", "lay" => "parts of large pages", "paper" => "A4"}, sheets: "1")
      expect(TileLoom::Output::Plan.new(@press).notices.join(" ")).to include("pages keep their size")
    end
  end
end
