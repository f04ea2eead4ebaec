# frozen_string_literal: true

require "thor"

# What was left out, refused or fell over without a word.
RSpec.describe "Nothing" do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  def crs(code) = TileLoom::Crs::System.find(code)

  def composer(book, source, index = 0, count: book.cells(source).length) =
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source)[index], count: count)

  def loom(*arguments)
    out, err, status = Open3.capture3(File.join(TileLoom::ROOT, "bin/loom"), *arguments)
    [status.success?, out, err]
  end

  def write(name, text) = File.join(@folder, name).tap { |path| File.write(path, text) }

  def geojson(*geometries) =
    JSON.generate(
      {
        "type" => "FeatureCollection",
        "features" =>
          geometries.each_with_index.map do |geometry, index|
            {"type" => "Feature", "properties" => {"name" => "F#{index}"}, "geometry" => geometry}
          end
      }
    )

  # ISO 19111 lists axes with their directions; EPSG's are read by PROJ.
  describe "turns a map round" do
    it "where a reference counts west or south: it is refused with one that does not" do
      expect { crs("EPSG:2048").for_fixed_scale! }.to invalid(
        %r{axes of .* run southwards and westwards, so north would not be up\. .* WGS 84 / UTM zone 34S \(EPSG:32734\)}
      )
      expect { crs("EPSG:5513").for_fixed_scale! }.to invalid(%r{such as S-JTSK / Krovak East North \(EPSG:5514\)})
      %w[EPSG:5514 EPSG:2193 EPSG:3031 EPSG:3413 EPSG:32661 EPSG:2180].each do |code|
        expect(crs(code).for_fixed_scale!.code).to eq(code)
      end
    end

    it "where a grid counts so: its letters say which way" do
      line = ->(axis, value) do
        TileLoom::CoordinateGrid::GridLine.new(axis: axis, value: value, index: 0, pieces: [], course: [])
      end
      letters = ->(code, axis, value) do
        TileLoom::CoordinateGrid::Caption.of(
          line[axis, value],
          crs(code),
          500r,
          TileLoom::CoordinateGrid::LabelSpec.new({"sides" => [], "hemisphere" => "letters", "thousands" => "none"}),
          language: TileLoom::Languages::Language.english
        ).to_s
      end
      expect(
        [
          letters["EPSG:2048", :x, 1500r],
          letters["EPSG:2048", :x, -1500r],
          letters["EPSG:2048", :y, 1500r],
          letters["EPSG:25829", :x, 1500r],
          letters["EPSG:3031", :y, -1500r]
        ]
      ).to eq(%w[1500W 1500E 1500S 1500E 1500S])
    end
  end

  describe "falls over" do
    it "when sheets are ordered by names of which one begins another, or is empty" do
      cells =
        ["Moss End", "Moss", "", "Moss 10", "Moss 2"].each_with_index.map do |name, index|
          TileLoom::Index::Cell.new(
            number: index + 1,
            name: name,
            row: 0,
            column: index,
            scale: 1000,
            ground: nil,
            feature: index
          )
        end
      expect(TileLoom::Index::Order.new({"kind" => "names"}).numbered(cells).map(&:name)).to eq(
        ["", "Moss", "Moss 2", "Moss 10", "Moss End"]
      )
      values = cells.to_h { |cell| [cell.feature, cell.name] }
      expect(
        TileLoom::Index::Order.new({"kind" => "field"}).numbered(cells, values: values).map(&:name).first(2)
      ).to eq(["", "Moss"])
    end

    # Equal Earth is younger than WKT 1; Mollweide, sinusoidal and orthographic maps have corners beyond the earth.
    {
      "EPSG:8857" => 17e6,
      "+proj=moll +datum=WGS84" => 17e6,
      "+proj=sinu +datum=WGS84" => 17e6,
      "+proj=ortho +lat_0=50 +lon_0=10" => 6e6
    }.each do |code, half|
      it "over a map of the world in #{code}" do
        book, source = small_book([rectangle(-half, -half / 2, half, half / 2)], reference: code, scale: 100_000_000)
        sheet = composer(book, source)
        page = TileLoom::Output::Pdf::Page.of(sheet.drawing, notices: sheet.left_out)
        expect(page.notices.grep(/cannot be drawn/)).to eq([])
        expect(sheet.values["sheet"]["verbal"].call).to match(
          /\A1 cm represents about [\d,]+ km(, within \d+ %| in the middle alone)\z/
        )
      end
    end

    it "at 1:1,000,000,000" do
      book, source = small_book([rectangle(402_000, 6_528_000, 403_000, 6_529_000)], scale: 1_000_000_000)
      expect(composer(book, source).left_out).to all(be_a(String))
      expect(TileLoom::Output::Svg.new(composer(book, source).drawing).to_s).to include("1:1,000,000,000")
    end

    it "with a trace: a fault of ours is one sentence, and a file" do
      command = TileLoom::Command::CommandLine.new([], {})
      expect { command.guarded { nil.unheard_of } }.to raise_error(
        Thor::Error,
        /\ATile Loom failed over something that it does not expect \(NoMethodError\)\. What led to it is in (\S+);/
      ) { |error|
        file = error.message[/in (\S+);/, 1]
        expect([File.stat(file).mode & 0o777, File.read(file)]).to match([0o600, /unheard_of/])
        File.delete(file)
      }
      expect { command.guarded { raise TileLoom::Refusal.new("book.no_object", at: "/x") } }.to raise_error(
        Thor::Error,
        "/x: The book is not a JSON object."
      )
    end

    # ISO 32000-2, 12.10.3: a projected reference may be named by its number alone.
    it "where a PDF page cannot name its reference in WKT 1" do
      book, source = small_book([rectangle(-1e6, -1e6, 1e6, 1e6)], reference: "EPSG:8857", scale: 20_000_000)
      file = press(book, source, @folder)
      expect(outside("qpdf", "--check", file)).to include("No syntax")
      info = gdal_page(file, 1)
      expect(info["coordinateSystem"]["wkt"]).to match(/Equal Earth/)
    end
  end

  describe "is lost" do
    it "of features without a place, or beyond the reference, without a word" do
      path =
        write(
          "a.geojson",
          geojson(
            {"type" => "Point", "coordinates" => [-10.7, 58.8]},
            nil,
            {"type" => "Point", "coordinates" => []},
            {"type" => "MultiPolygon", "coordinates" => []},
            {"type" => "GeometryCollection", "geometries" => []},
            {"type" => "Point", "coordinates" => [0, 95]}
          )
        )
      reader = TileLoom::Data::FileReader.open(path, target: crs("EPSG:25829"))
      expect(reader.features.length).to eq(1)
      expect(reader.notices).to match(
        [
          "4 features have no geometry and are left out.",
          %r{\ALeft out: Feature 6 \(F5\) is outside what ETRS89 / UTM zone 29N can show: the point 0, 95\.\z}
        ]
      )
      expect {
        TileLoom::Data::FileReader.open(
          write("b.geojson", geojson({"type" => "Point", "coordinates" => [0, 95]})),
          target: crs("EPSG:25829")
        ).features
      }.to invalid(/is outside/)
    end

    it "of a label's field, a long text, a needle, a grid" do
      settings = small_settings(date: "2071-01-01")
      settings["layers"][0]["labels"] = [{"field" => "nam"}]
      settings["layout"]["elements"]
        .find { |element| element["kind"] == "text" }
        .merge!("text" => "Moss " * 60, "size_pt" => 12)
      settings["layout"]["elements"].find { |element| element["kind"] == "map_frame" }["grids"] = [
        {
          "id" => "g",
          "title" => "Fine",
          "crs" => "book",
          "look" => "lines",
          "stroke" => {
            "width_mm" => 0.1
          },
          "interval" => {
            "x" => "10 mm",
            "y" => "10 mm"
          }
        }
      ]
      book = TileLoom::Document::Book.new(settings)
      source =
        TileLoom::Data::MemorySource.new(
          "area" => [rectangle(402_000, 6_528_000, 402_600, 6_528_600, attributes: {"name" => "Moss"})]
        )
      told = composer(book, source).left_out
      expect(told).to include(
        "The labels of Area ask for the field “nam”, which none of its features has.",
        /The text “.*” takes more room than its box/,
        /2071|World Magnetic Model/,
        /the interval would draw/
      )
    end

    it "of a bar that is off by more than its limit" do
      settings = small_settings(reference: "EPSG:3857", scale: 1_000_000)
      settings["layout"]["elements"].find { |element| element["kind"] == "scale_bar" }["error_limit_percent"] = 0.5
      book = TileLoom::Document::Book.new(settings)
      source = TileLoom::Data::MemorySource.new("area" => [rectangle(-1_000_000, 8_000_000, -900_000, 8_100_000)])
      expect(composer(book, source).left_out).to include(
        /The scale bar is off by up to [\d.]+ % in parts of this sheet, more than its limit of 0\.5 %\./
      )
    end
  end

  # Mercator from 58° to 71° N: a bar that fits in the middle is a third longer in the north.
  it "leaves its box on a book that reaches far" do
    south, north =
      [58, 71].map do |lat|
        TileLoom::Crs::Transform.between(crs("EPSG:3395").geographic, crs("EPSG:3395")).point(10, lat)
      end
    book, source =
      small_book(
        [rectangle(south[0] - 20_000, south[1], south[0] + 20_000, north[1])],
        reference: "EPSG:3395",
        scale: 250_000
      )
    bar = book.layout.elements.find { |element| element.kind == "scale_bar" }
    drawn =
      book
        .cells(source)
        .map do |cell|
          sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: 1)
          box = bar.box(sheet.page)
          drawing = bar.drawing(sheet, box)
          xs =
            drawing.nodes.flat_map do |node|
              if node.is_a?(TileLoom::Scene::Text)
                [node.x, node.x + node.face.width_mm(node.string, node.size_pt)]
              else
                node.runs.flat_map { |run| run.each_slice(2).map(&:first) }
              end
            end
          expect([xs.min - box.min_x, box.max_x - xs.max]).to all(be >= -0.01), cell.name
          drawing.ruling.metres
        end
    expect([drawn.length, drawn.uniq.length]).to match([be > 10, 1])
  end

  # RFC 7946, 3.1.1: an edge is straight in longitude and latitude. cs2cs finds where its places lie.
  it "straightens edges that run in degrees" do
    line = {"type" => "LineString", "coordinates" => [[-12, 60], [-6, 60]]}
    target = crs("EPSG:32629")
    places = (0..60).map { |n| [-12 + n * 0.1, 60] }
    plane =
      outside("cs2cs", "-f", "%.4f", "EPSG:4326", "EPSG:32629", input: places.map { |lon, lat| "#{lat} #{lon}\n" }.join)
        .lines
        .map { |row| row.split.first(2).map(&:to_f) }
    off =
      lambda do |scale|
        wkb = TileLoom::Data::GeojsonReader.from_text(geojson(line), target: target, scale: scale).features.first.wkb
        shape = TileLoom::Geometry::Geos.read(wkb)
        plane.map { |x, y| shape.distance(TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(x, y))) }.max
      end
    # 0.05 mm at 1:25,000 is 1.25 m; a straight chord is off by kilometres.
    expect([off[25_000], off[500_000], off[nil]]).to match([be < 1.25, be < 25, be > 3_000])
    square = {"type" => "Polygon", "coordinates" => [[[-12, 60], [-6, 60], [-6, 62], [-12, 62], [-12, 60]]]}
    box = TileLoom::Data::GeojsonReader.from_text(geojson(square), target: target, scale: 25_000).features.first.wkb
    expect(TileLoom::Geometry::Geos.read(box).valid?).to be(true)
    # A file that counts in a plane of its own has straight edges there.
    planar =
      JSON.parse(
        geojson({"type" => "LineString", "coordinates" => [[400_000, 6_500_000], [500_000, 6_500_000]]})
      ).merge("crs" => {"type" => "name", "properties" => {"name" => "EPSG:25830"}})
    expect(
      TileLoom::Geometry::Wkb.each_run(
        TileLoom::Data::GeojsonReader.new(planar, target: target, scale: 2_500).features.first.wkb
      ).first[
        1
      ].length
    ).to eq(4)
  end

  it "keeps a Shapefile with its files beside it from being read" do
    path =
      write(
        "hags.geojson",
        geojson(
          {"type" => "Point", "coordinates" => [-10.7, 58.87]},
          {"type" => "Point", "coordinates" => [-10.69, 58.871]}
        )
      )
    outside("ogr2ogr", "#{@folder}/hags.shp", path)
    done, out, err =
      loom(
        "new",
        "--data",
        "#{@folder}/hags.shp",
        "--area",
        "hags",
        "--scale",
        "2500",
        "--crs",
        "EPSG:25829",
        "--out",
        "#{@folder}/hags.json"
      )
    expect([done, err, out]).to match([true, "", /A book of 1 layer/])
    File.delete("#{@folder}/hags.shx")
    expect(
      loom(
        "new",
        "--data",
        "#{@folder}/hags.shp",
        "--area",
        "hags",
        "--scale",
        "2500",
        "--crs",
        "EPSG:25829",
        "--out",
        "#{@folder}/x.json"
      )[
        2
      ]
    ).to match(/is of a kind that is not read here/)
  end

  it "prints tens of thousands of sheets unasked" do
    path =
      write(
        "far.geojson",
        geojson(
          {
            "type" => "Polygon",
            "coordinates" => [[[-10.7, 58.8], [-10.6, 58.8], [-10.6, 58.9], [-10.7, 58.9], [-10.7, 58.8]]]
          }
        )
      )
    loom(
      "new",
      "--data",
      path,
      "--area",
      "far",
      "--scale",
      "500",
      "--page",
      "A5",
      "--crs",
      "EPSG:25829",
      "--out",
      "#{@folder}/far.json"
    )
    done, out, err = loom("make", "#{@folder}/far.json", "--out", "#{@folder}/far.pdf")
    expect([done, err]).to match([false, /This book has [\d,]+ sheets\. .*If all are meant, say --sheets all\./m])
    expect([File.exist?("#{@folder}/far.pdf"), out]).to match([false, /Reading/])
    done, out, = loom("make", "#{@folder}/far.json", "--out", "#{@folder}/far.pdf", "--sheets", "1", "--json")
    told = JSON.parse(out)
    expect([done, told["sheets"], told["warnings"]]).to match(
      [true, 1, all(include("message" => String, "sheets" => Array))]
    )
  end

  it "is said with a ratio of nothing, or with numbers grouped in two ways" do
    expect([0.4, 2500, 2500.0, 12_345.5, 1r / 3].map { |scale| TileLoom::Units::Number.ratio(scale) }).to eq(
      %w[1:0.4 1:2,500 1:2,500 1:12,345.5 1:0.333]
    )
    grid =
      TileLoom::CoordinateGrid::Grid.new(
        {"id" => "g", "crs" => "book", "look" => "dots", "interval" => {"x" => "5000 ft", "y" => "5000 ft"}}
      )
    view =
      TileLoom::View::FrameView.new(
        frame: TileLoom::Geometry::Box.at(0, 0, 300, 200),
        crs: crs("EPSG:25829"),
        ground: TileLoom::Geometry::TurnedRectangle.new(402_000, 6_528_000, 7_500, 5_000, 0.0)
      )
    expect(TileLoom::CoordinateGrid::Note.new(grid, grid.meshes(view).first).to_s).to eq(
      "Dots 5,000 ft apart; the diagonal is about 7,100 ft."
    )
  end

  # NIST SP 811, B.8: an international foot is 0.3048 m, a US survey foot 1200/3937 m.
  it "takes one foot for the other without naming both" do
    grid =
      TileLoom::CoordinateGrid::Grid.new(
        {
          "id" => "g",
          "crs" => "book",
          "look" => "lines",
          "interval" => {
            "x" => "500 ft",
            "y" => "500 ft"
          },
          "labels" => {
            "sides" => %w[top left]
          }
        }
      )
    view =
      TileLoom::View::FrameView.new(
        frame: TileLoom::Geometry::Box.at(30, 30, 300, 200),
        crs: crs("EPSG:2277"),
        ground: TileLoom::Geometry::TurnedRectangle.new(3_000_000, 10_000_000, 2460, 1640, 0.0)
      )
    drawn =
      TileLoom::CoordinateGrid::Surround
        .new(view: view, grids: [grid], paper: TileLoom::Geometry::Box.new(0, 0, 400, 300))
        .drawn
        .first
    expect(TileLoom::CoordinateGrid::Words.new(drawn, view).warnings).to include(
      "“500 ft” counts international feet, but NAD83 / Texas Central (ftUS) counts US survey feet; write 500 us-ft " \
        "for lines on its own round numbers."
    )
    # 6,000 × 0.3048 × 3937 / 1200 of 500 of them, to the last thousandth of a survey foot that 0.05 mm need.
    expect(drawn.labels.placed.map { |label| label.caption.to_s.delete("\u2009") }).to include(
      (6000 * 500r * 3048 / 10_000 * 3937 / 1200).to_f.then { |feet| format("%.3f", feet) }
    )
  end

  # Ten references with data in both ways of writing WGS 84 (RFC 7946 and OGC GeoPackage).
  it "has two places for one point" do
    %w[EPSG:26716 EPSG:31467 EPSG:32040 EPSG:27700 EPSG:23030 EPSG:2056].each do |code|
      target = crs(code)
      west, south, east, north = target.area_of_use
      places =
        [0.2, 0.5, 0.8].product([0.2, 0.5, 0.8])
          .flat_map { |u, v| [west + (east - west) * u, south + (north - south) * v] }
      found = %w[OGC:CRS84 EPSG:4326].map { |from| TileLoom::Crs::Transform.between(crs(from), target) }
      expect(found.map(&:operation).map(&:name).uniq.length).to eq(1)
      expect(found[0].forward(places)).to eq(found[1].forward(places))
      # Without heights the way back is off by some millimetres, since the ellipsoids lie tens of metres apart.
      expect(found[0].inverse(found[0].forward(places)).zip(places).map { |one, other| (one - other).abs }.max).to be <
        5e-8
    end
  end

  # EPSG 1174 and its like: NAD27 to WGS 84 west of the Mississippi is accurate to some metres, its area told.
  it "is called accurate where its accuracy is not known" do
    candidates = ->(box) { TileLoom::Crs::DatumOperation.candidates(crs("EPSG:4267"), crs("EPSG:4326"), box) }
    texas, atlantic = candidates[[-96, 28.5, -95.5, 29]], candidates[[-30, 40, -29, 41]]
    expect([texas.first.accuracy_here, texas.first.area, texas.first.covers?]).to match(
      [be_between(1, 10), /United States/, true]
    )
    expect([atlantic.first.accuracy_here, atlantic.first.covers?]).to eq([nil, false])
    warning = TileLoom::Crs::Accuracy.new(crs("EPSG:4267"), crs("EPSG:4326"), [-30, 40, -29, 41]).warning
    expect(warning).to match(/is made for .+ and of unknown accuracy here\. Compare with a known place\./)
    expect(TileLoom::Crs::Accuracy.new(crs("EPSG:4267"), crs("EPSG:4326"), [-96, 28.5, -95.5, 29]).warning).to match(
      /accurate only to \d+ m/
    )
  end

  it "draws otherwise where a book names the transformation, and says so where it is not to be had" do
    others = TileLoom::Crs::DatumOperation.candidates(crs("EPSG:4326"), crs("EPSG:23030"), [-4, 39, -2, 41]).map(&:name)
    named =
      TileLoom::Crs::Operations.new(
        [
          {
            "datums" => ["European Datum 1950", "World Geodetic System 1984"],
            "name" =>
              (others - [TileLoom::Crs::Transform.between(crs("EPSG:4326"), crs("EPSG:23030")).operation.name]).first
          }
        ]
      )
    point = ->(operations) do
      TileLoom::Crs::Transform.between(
        crs("EPSG:4326"),
        TileLoom::Crs::System.find("EPSG:23030", operations: operations)
      ).point(-3, 40)
    end
    expect(Math.hypot(*point[named].zip(point[nil]).map { |one, other| one - other })).to be_between(0.5, 100)
    gone =
      TileLoom::Crs::Operations.new(
        [{"datums" => ["European Datum 1950", "World Geodetic System 1984"], "name" => "By a grid that is not here"}]
      )
    expect { point[gone] }.to invalid(
      /The book uses the transformation “By a grid that is not here” between European Datum 1950 and World Geodetic System 1984, which is not available on this server/,
      path: "/operations"
    )
  end
end

# What a book names and does not have is told by `bin/loom check`, and what does not fit is told by what it comes
# nearest to.
RSpec.describe TileLoom::Document::LooseEnds do
  def book(**more)
    book, source = small_book([rectangle(500_000, 6_100_000, 500_400, 6_100_300)])
    settings = JSON.parse(JSON.generate(book.settings.merge(more.transform_keys(&:to_s))))
    [TileLoom::Document::Book.new(settings), source]
  end

  it "names labels by hand, transformations and orders that miss" do
    hand = {"layer" => "gone", "rule" => "r", "feature" => {"id" => "1"}, "hidden" => true}
    found =
      described_class.new(
        *book(
          labels_by_hand: [hand, hand.merge("layer" => "area", "sheet" => "Z9")],
          operations: [{"datums" => ["A datum", "Another"], "name" => "A to Another"}],
          orders: [{"name" => "For the van", "sheets" => "Q7-Q9", "form" => {"kind" => "pdf_book"}}]
        )
      ).list
    expect(found).to include(
      /is of the layer “gone”, which the book does not have/,
      /is of the label rule “r”, which .* does not have/,
      /is for the sheet “Z9”, which the book does not have/,
      /“A to Another” is between datums of which neither is the book’s own/,
      /The saved export “For the van” asks for sheets that the book does not have: /
    )
    expect(described_class.new(*book).list).to be_empty
  end

  {
    {"rotation_deg" => 359.999} => /“rotation_deg” is 359\.999; it must be at most/,
    {"area" => {"area" => "x"}} => /“area” is .*; it must be text or a list\./,
    {"keep" => 3} => /“keep” is 3; it must be at most/
  }.each do |change, sentence|
    it "says of #{change} what it comes nearest to, and nothing else" do
      settings = book.first.settings
      found = TileLoom::Document::Schema.findings(settings.merge("index" => settings["index"].merge(change)))
      expect(found.map(&:message)).to match([sentence])
    end
  end
end

# Elements and texts of one page know of each other, or it is told that they lie over one another.
RSpec.describe TileLoom::Furniture::Overlaps do
  def composer(left_mm:, match_lines: nil)
    book, source = small_book([rectangle(500_000, 6_100_000, 503_000, 6_102_000)])
    settings = JSON.parse(JSON.generate(book.settings))
    main = settings["layout"]["elements"].find { |element| element["kind"] == "map_frame" }
    main["grids"] = [
      {
        "id" => "metric",
        "crs" => "book",
        "stroke" => {
          "colour" => "#8a8f91",
          "width_mm" => 0.1
        },
        "labels" => {
          "sides" => %w[left bottom],
          "size_pt" => 8,
          "orientation" => "level"
        }
      }
    ]
    main["match_lines"] = match_lines if match_lines
    box = book.layout.elements.find(&:decides_cells?).box(book.layout.page)
    settings["layout"]["elements"] << {
      "kind" => "text",
      "id" => "words",
      "text" => Array.new(60, "Under the labels").join(" "),
      "place" => {
        "left_mm" => left_mm,
        "top_mm" => box.max_y - 20,
        "width_mm" => 60,
        "height_mm" => 40
      }
    }
    other = TileLoom::Document::Book.new(settings)
    TileLoom::Compose::SheetComposer.new(book: other, source: source, cell: other.cells(source).first, count: 1)
  end

  it "says which words grid labels lie over" do
    frame = composer(left_mm: 0).elements.find(&:decides_cells?)
    under = frame.box(composer(left_mm: 0).page).min_x - 12
    expect(composer(left_mm: under).left_out).to include(
      /grid labels? of “.*” and the words of “words” lie over one another/
    )
    expect(
      composer(left_mm: frame.box(composer(left_mm: 0).page).max_x - 60).left_out.grep(/lie over one another/).length
    ).to be <= 1
  end
end
