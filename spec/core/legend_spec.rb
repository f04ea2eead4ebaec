# frozen_string_literal: true

require "tmpdir"

RSpec.describe TileLoom::Furniture::Elements::Legend do
  # Six classes of roads, the first drawn lowest, as a line layer with a field "class"; buildings; a wood; from the left
  # to the right on one sheet of 500 m by 500 m.
  classes = %w[motorway trunk primary secondary track path].freeze
  let(:classes) { classes }

  def road(id, name, x) =
    TileLoom::Data::Feature.new(
      id: id,
      wkb: TileLoom::Geometry::Wkb.line([x, 6_528_100.0, x, 6_528_300.0]),
      attributes: {
        "class" => name
      }
    )

  def rule(id, title, value, colour = "#333333")
    condition = value && {"when" => {"op" => "=", "args" => [{"property" => "class"}, value]}}
    {
      "id" => id,
      "title" => title,
      "symbol" => {
        "strokes" => [{"colour" => colour, "width_mm" => 0.4}]
      },
      **condition.to_h
    }
  end

  def layers
    [
      {
        "id" => "wood",
        "title" => "Wood",
        "data" => {
          "collection" => {}
        },
        "rules" => [{"id" => "all", "title" => "Wood", "symbol" => {"fill" => {"colour" => "#88aa66"}}}]
      },
      {
        "id" => "roads",
        "title" => "Roads",
        "data" => {
          "collection" => {}
        },
        "rules" => classes.map { |name| rule(name, "value #{name}", name) }
      },
      {
        "id" => "buildings",
        "title" => "Buildings",
        "data" => {
          "collection" => {}
        },
        "rules" => [{"id" => "all", "title" => "Buildings", "symbol" => {"fill" => {"colour" => "#554433"}}}]
      }
    ]
  end

  def source(roads: self.classes, buildings: true)
    TileLoom::Data::MemorySource.new(
      "wood" => [rectangle(402_000, 6_528_000, 402_500, 6_528_500)],
      "roads" => roads.each_with_index.map { |name, index| road(index + 1, name, 402_050.0 + index * 50) },
      "buildings" => buildings ? [rectangle(402_400, 6_528_400, 402_420, 6_528_420)] : []
    )
  end

  # The composer of the sheet with a legend of these settings, 60 × 30 mm large.
  def sheet(legend = {}, source: self.source, layers: self.layers, more: [])
    frame =
      PrintedElements::FRAME.merge(
        "place" => {
          "right_mm" => 0,
          "width_mm" => 100,
          "bottom_mm" => 0,
          "height_mm" => 100
        }
      )
    place = {"left_mm" => 0, "top_mm" => 0, "width_mm" => 60, "height_mm" => 60}
    element = {"kind" => "legend", "id" => "legend", "place" => place, **legend.transform_keys(&:to_s)}
    book, = small_book([])
    settings =
      book.settings.merge(
        "layers" => layers,
        "layout" => {
          "name" => "x",
          "page" => PrintedElements::PAGE,
          "elements" => [frame, element, *more]
        }
      )
    settings["index"] = settings["index"].merge("scale" => 5000, "area" => "wood")
    TileLoom::Document::Schema.demand(settings)
    book = TileLoom::Document::Book.new(settings)
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
  end

  def legend_of(sheet) = sheet.layout.elements.find { |element| element.id == "legend" }

  def names(sheet) = legend_of(sheet).on(sheet).standing.map { |row| row.placed.name }

  def entry(*keys, **more) = {"kind" => "entry", "of" => keys, **more.transform_keys(&:to_s)}

  let(:everything) { ["Buildings", *classes.reverse.map { |name| "value #{name}" }, "Wood"] }

  describe "what it lists" do
    it "lists the topmost first, and nothing that the sheet has not" do
      expect(names(sheet)).to eq(everything)
      expect(names(sheet({}, source: source(roads: %w[track path], buildings: false)))).to eq(
        ["value path", "value track", "Wood"]
      )
    end

    it "does not list what only reaches into the frame as paint" do
      ground = sheet.cell.ground.box
      near = [road(1, "path", ground.max_x + 1.0)]
      source =
        TileLoom::Data::MemorySource.new(
          "wood" => [rectangle(402_000, 6_528_000, 402_500, 6_528_500)],
          "roads" => near,
          "buildings" => []
        )
      expect(names(sheet({}, source: source))).to eq(["Wood"])
    end

    it "lists what any sheet shows, or what was put there, if that is asked for" do
      features = source.features("roads", nil).first(1) + [road(9, "path", 403_100.0)]
      wide = [rectangle(402_000, 6_528_000, 403_200, 6_528_400)]
      far = TileLoom::Data::MemorySource.new("wood" => wide, "roads" => features, "buildings" => [])
      expect(names(sheet({}, source: far))).to eq(["value motorway", "Wood"])
      expect(names(sheet({content: "book"}, source: far))).to eq(["value path", "value motorway", "Wood"])
      rows = [entry("roads/track"), {"kind" => "note", "text" => "By hand."}]
      expect(names(sheet({content: "hand", rows: rows}, source: far))).to eq(["value track", "By hand."])
    end

    it "lists the layers alone that were chosen, under their titles if wanted" do
      expect(names(sheet({layers: %w[wood buildings]}))).to eq(%w[Buildings Wood])
      # A layer of one row needs no heading above it.
      expect(names(sheet({headings: "layers"}))).to eq(["Buildings", "Roads", *everything[1..6], "Wood"])
    end

    # OGR's spatial filter, which tests the geometry itself where it is built with GEOS.
    it "lists on each of the demo's 27 sheets what ogrinfo finds on its ground" do
      folio = TileLoom::Document::Folio.read(SmallBooks::DEMO)
      book, features = folio.document, folio.source
      layers = book.layers.select { |layer| layer.visible? && !layer.raster? }
      cells = book.cells(features)
      expect(cells.length).to eq(27)
      Dir.mktmpdir do |folder|
        file = File.join(folder, "ground.gpkg")
        layers.each do |layer|
          data = File.join(File.dirname(SmallBooks::DEMO), layer.given["data"]["file"])
          outside("ogr2ogr", "-q", "-append", "-t_srs", "EPSG:25829", "-nln", layer.id, file, data)
        end
        cells.each do |cell|
          expected = found_on(cell.ground.box, file, layers)
          composer =
            TileLoom::Compose::SheetComposer.new(
              book: book,
              source: features,
              cell: cell,
              count: 27,
              entries_alone: true
            )
          listed = composer.legend_entries.map(&:key)
          expect(listed).to match_array(expected), "sheet #{cell.name}: #{listed} is not #{expected}"
        end
      end
    end

    # Keys of the rules that a record in a box meets, as ogrinfo prints records.
    def found_on(box, file, layers)
      text = outside("ogrinfo", "-al", "-geom=NO", "-spat", *box.to_a.map(&:to_s), file)
      sections = text.split(/^Layer name: /).drop(1).to_h { |section| [section[/\A.*$/], section] }
      layers.flat_map do |layer|
        records =
          sections
            .fetch(layer.id)
            .split(/^OGRFeature/)
            .drop(1)
            .map { |record| record.scan(/^  (\w+) \([\w()]+\) = (.*)$/).to_h }
        layer.rules.each_index.filter_map do |index|
          # The first rule that a record meets draws it.
          met = records.any? { |record| first_met(layer, record) == index }
          "#{layer.id}/rule-#{index + 1}" if met
        end
      end
    end

    def first_met(layer, record) =
      layer.rules.index { |rule| rule.given["when"].nil? || met?(rule.given["when"], record) }

    # Is a field equal to a value, in what ogrinfo prints?
    def met?(expression, record)
      raise "the demo's rules have #{expression["op"]}" unless expression["op"] == "="
      field, value = expression["args"]
      record[field["property"]] == ((value == true) ? "1" : value.to_s)
    end
  end

  describe "rows by hand" do
    rows = [
      {"kind" => "heading", "title" => "Roads"},
      {"kind" => "entry", "of" => ["roads/motorway"], "title" => "Motorway"},
      {"kind" => "entry", "of" => %w[roads/path roads/track]},
      {"kind" => "entry", "of" => ["roads/trunk"], "hidden" => true},
      {"kind" => "heading", "title" => "Else"},
      {"kind" => "entry", "of" => ["wood/all"]},
      {"kind" => "entry", "of" => ["buildings/all"]}
    ]

    it "stand as they were put, with their titles, merged, hidden; what is new waits beside its neighbour on the map" do
      composed = sheet({rows: rows})
      # The map has path, track, secondary, primary, trunk, motorway from the top: secondary comes in behind track's
      # row, primary behind it.
      expect(names(composed)).to eq(
        [
          "Roads",
          "Motorway",
          "value path, value track",
          "value secondary",
          "value primary",
          "Else",
          "Wood",
          "Buildings"
        ]
      )
      arranged = legend_of(composed).arranged_on(composed)
      expect(arranged.select(&:fresh).map(&:name)).to eq(["value secondary", "value primary"])
      # It draws all the same.
      expect(composed.ground_drawing(composed.view).entries.map(&:key)).to include("roads/trunk")
    end

    it "keep what was done to them while titles, symbols, order and data change" do
      renamed = layers.each { |layer| layer["rules"].each { |known| known["title"] = known["title"].upcase } }
      renamed[1]["rules"].reverse!
      expect(names(sheet({rows: rows}, layers: renamed))).to include("Motorway", "VALUE PATH, VALUE TRACK")
      without = layers
      without[1]["rules"].reject! { |known| known["id"] == "motorway" }
      gone = sheet({rows: rows}, layers: without)
      expect(names(gone)).not_to include("Motorway")
      shown = TileLoom::Compose::LegendShown.new(gone, legend_of(gone)).to_h["rows"]
      expect(shown.find { |row| row["name"] == "Motorway" }["state"]).to eq("gone")
      # It comes back with its title.
      expect(names(sheet({rows: rows}))).to include("Motorway")
    end

    it "go without a heading under which a sheet has nothing" do
      few = source(roads: [], buildings: false)
      expect(names(sheet({rows: rows}, source: few))).to eq(%w[Else Wood])
    end

    it "say of own entries, notes and grids what they are" do
      grid = {
        "id" => "g",
        "crs" => "EPSG:25829",
        "stroke" => {
          "width_mm" => 0.1
        },
        "interval" => {
          "x" => "100 m",
          "y" => "100 m"
        }
      }
      own = [
        {"kind" => "own", "title" => "Surveyed", "symbol" => {"fill" => {"colour" => "#ffcc00"}}},
        {"kind" => "grid"},
        {"kind" => "note", "text" => "Sheet {{ sheet.name }}"}
      ]
      frame_with_grid = PrintedElements::FRAME.merge("grids" => [grid])
      book, features = book_with_elements([{"kind" => "legend", "content" => "hand", "rows" => own}])
      settings = book.settings
      settings["layout"]["elements"][0] = frame_with_grid.merge(
        "place" => {
          "right_mm" => 0,
          "width_mm" => 100,
          "bottom_mm" => 0,
          "height_mm" => 100
        }
      )
      Dir.mktmpdir do |folder|
        book = TileLoom::Document::Book.new(settings)
        text = outside("pdftotext", "-layout", press(book, features, folder), "-").gsub(/\s+/, " ")
        expect(text).to include("Surveyed").and include("Grid: ETRS89 / UTM zone 29N, lines 100 m apart").and include(
                      "Sheet A1"
                    )
      end
    end
  end

  describe "its layout" do
    # By hand: rows of 5.2 mm.
    it "gives columns of even heights, and never a heading alone at a column's foot" do
      rows = [
        entry("buildings/all"),
        entry("roads/path"),
        entry("roads/track"),
        {"kind" => "heading", "title" => "Large roads"},
        entry("roads/trunk", title: "Trunk"),
        entry("roads/motorway", title: "Motorway")
      ]
      placed = sheet({content: "hand", rows: rows, columns: 2, heading_gap_mm: 2})
      boxes =
        legend_of(placed)
          .on(placed)
          .standing
          .map { |row| [row.placed.name, row.box.min_x, row.box.min_y, row.box.height] }
      columns = boxes.group_by { |box| box[1] }.values
      # Three rows of 5.2 mm are 15.6 mm; a heading of a line (8 pt × 1.2 = 3.387 mm) and two rows are 13.787 mm.
      expect(columns.map(&:length)).to eq([3, 3])
      expect(columns[1].first[0]).to eq("Large roads")
      expect(columns.map { |column| column.last[2] + column.last[3] - 10 }).to match(
        [be_within(1e-6).of(15.6), be_within(1e-6).of(8 * 1.2 * 25.4 / 72 + 2 * 5.2)]
      )
      # (60 − 4) / 2 wide, 4 apart.
      expect(columns.map { |column| column.first[1] }).to match([be_within(1e-6).of(10), be_within(1e-6).of(42)])
    end

    # 14 rows where there is room for 10.
    def fourteen(**more)
      rows =
        classes.map { |name| entry("roads/#{name}") } + (1..8).map { |n| {"kind" => "own", "title" => "Own #{n}"} }
      place = {"left_mm" => 0, "top_mm" => 0, "width_mm" => 60, "height_mm" => 52}
      sheet({content: "hand", rows: rows, place: place, pitch_mm: 5.2, **more})
    end

    it "shrinks as far as it may, then takes columns, then says what has no room" do
      composition = ->(composed) { legend_of(composed).on(composed) }
      # 52 mm / 14 rows are 3.714 mm, 0.714 of 5.2 mm: of 8 pt the next quarter below is 5.5 pt.
      small = composition.call(fourteen(minimum_pt: 5, most_columns: 3))
      expect([small.count, small.fitting, small.columns, small.size_pt]).to match([14, 14, 1, be_within(1e-9).of(5.5)])
      # No smaller than 7 pt: two columns at full size.
      two = composition.call(fourteen(minimum_pt: 7, most_columns: 3))
      expect([two.fitting, two.columns, two.size_pt]).to eq([14, 2, 8])
      stuck = fourteen
      expect(legend_of(stuck).left_out(stuck)).to eq(
        [
          "The legend fits 10 of 14 rows; left out: “Own 5”, “Own 6”, “Own 7”, “Own 8”. Make it larger, let " \
            "it shrink or take more columns, or let a second legend continue it."
        ]
      )
      press = TileLoom::Output::Press.new(book: stuck.book, source: source)
      expect(press.page(stuck.cell, count: 1, notices: true).notices).to include(match(/fits 10 of 14 rows/))
    end

    it "goes on in a second legend, which then says what is left" do
      second = {
        "kind" => "legend",
        "id" => "second",
        "continues" => "legend",
        "place" => {
          "left_mm" => 70,
          "top_mm" => 0,
          "width_mm" => 60,
          "height_mm" => 12
        }
      }
      rows = classes.map { |name| entry("roads/#{name}") }
      place = {"left_mm" => 0, "top_mm" => 0, "width_mm" => 60, "height_mm" => 16}
      composed = sheet({content: "hand", rows: rows, place: place}, more: [second])
      expect(names(composed)).to eq(["value motorway", "value trunk", "value primary"])
      other = composed.layout.elements.last
      expect(other.on(composed).standing.map { |row| row.placed.name }).to eq(["value secondary", "value track"])
      expect(composed.left_out).to match([/fits 2 of 3 rows; left out: “value path”/])
    end

    it "does not go round in a circle where two continue one another" do
      second = {
        "kind" => "legend",
        "id" => "second",
        "continues" => "legend",
        "place" => {
          "left_mm" => 70,
          "top_mm" => 0,
          "width_mm" => 60,
          "height_mm" => 60
        }
      }
      composed = sheet({continues: "second"}, more: [second])
      expect(composed.left_out).to include(match(/continues “second”, which in the end continues it/))
      expect(names(composed)).to eq(everything)
    end

    it "grows from its corner with its rows, and its backing with it" do
      composed = sheet({layers: %w[wood], grows_from: "bottom right", padding_mm: 2, fill: {"colour" => "#ffffff"}})
      extent = legend_of(composed).on(composed).extent
      expect([extent.max_x, extent.max_y, extent.height]).to match(
        [be_within(1e-6).of(70), be_within(1e-6).of(70), be_within(1e-6).of(5.2 + 4)]
      )
      wide = TileLoom::Type::Library.face("sans").width_mm("Wood", 8)
      expect(extent.width).to be_within(1e-6).of(8 + 2.5 + wide + 4)
    end

    it "wraps a long title, and says of a word that is wider than its column" do
      long = [entry("wood/all", title: "Wood of birch and rowan along both banks of the burn down to the old bridge")]
      composed = sheet({content: "hand", rows: long})
      expect(legend_of(composed).on(composed).standing.first.box.height).to be > 5.3
      wide = [entry("wood/all", title: "W" * 60)]
      composed = sheet({content: "hand", rows: wide})
      expect(composed.left_out).to include(match(/is [\d.]+ mm wider than its column/))
    end
  end

  describe "its symbols" do
    it "draws points in their true size and makes room for them, whatever the legend's own size" do
      own = [
        {
          "kind" => "own",
          "title" => "Mast",
          "shape" => "point",
          "symbol" => {
            "marker" => {
              "shape" => "circle",
              "size_mm" => 9,
              "colour" => "#000000"
            }
          }
        }
      ]
      composed = sheet({content: "hand", rows: own, minimum_pt: 4})
      row = legend_of(composed).on(composed).standing.first.box
      expect(row.height).to be >= 9
      drawn =
        legend_of(composed).nodes(composed, legend_of(composed).box(composed.page)).grep(TileLoom::Scene::Path).first
      box = TileLoom::Geometry::Box.around(drawn.runs.flatten)
      expect([box.width, box.height]).to match([be_within(0.01).of(9), be_within(0.01).of(9)])
    end

    it "draws areas and lines by the sample that is chosen" do
      shapes =
        %w[rectangle irregular_area straight bent winding].to_h do |sample|
          shape = %w[rectangle irregular_area].include?(sample) ? "area" : "line"
          symbol =
            (shape == "area") ? {"fill" => {"colour" => "#0000ff"}} : {"strokes" => [{"width_mm" => 0.2}]}
          composed =
            sheet(
              {
                content: "hand",
                rows: [{"kind" => "own", "title" => "x", "shape" => shape, "symbol" => symbol, "sample" => sample}]
              }
            )
          nodes = legend_of(composed).nodes(composed, legend_of(composed).box(composed.page))
          [sample, nodes.grep(TileLoom::Scene::Path).first.runs.first]
        end
      expect(shapes.transform_values { |run| run.length / 2 }).to include(
        "rectangle" => 4,
        "straight" => 2,
        "bent" => 4
      )
      # All of them fill 8 × 3 mm but the straight one.
      shapes
        .except("straight")
        .each_value do |run|
          box = TileLoom::Geometry::Box.around(run)
          expect([box.width, box.height]).to match([be_within(0.01).of(8), be_within(0.02).of(3)])
        end
    end

    # Limits of the classes by hand: 0, 12, 20, 30.
    it "joins classes as steps with their limits where they meet, rounded, in a unit" do
      breaks = [[0, 12], [12, 20], [20, 30]]
      rules =
        breaks.each_with_index.map do |(from, to), index|
          args = [
            {"op" => ">=", "args" => [{"property" => "d"}, from]},
            {"op" => "<", "args" => [{"property" => "d"}, to]}
          ]
          {
            "id" => "c#{index}",
            "title" => "#{from} – #{to}",
            "symbol" => {
              "fill" => {
                "colour" => "#00ff0#{index}"
              }
            },
            "when" => {
              "op" => "and",
              "args" => args
            }
          }
        end
      depth = {"id" => "depth", "title" => "Depth", "data" => {"collection" => {}}, "rules" => rules}
      features =
        breaks.each_with_index.map do |(from, _), index|
          rectangle(402_000 + index, 6_528_000, 402_500, 6_528_400, id: index + 1, attributes: {"d" => from + 1})
        end
      data =
        TileLoom::Data::MemorySource.new(
          "wood" => [rectangle(402_000, 6_528_000, 402_500, 6_528_500)],
          "depth" => features
        )
      steps = {"kind" => "steps", "of" => %w[depth/c0 depth/c1 depth/c2], "unit" => "m"}
      drawn = ->(row) do
        composed = sheet({rows: [row], layers: ["depth"]}, source: data, layers: [layers.first, depth])
        legend_of(composed).nodes(composed, legend_of(composed).box(composed.page))
      end
      nodes = drawn.call(steps)
      samples = nodes.grep(TileLoom::Scene::Path).map { |path| TileLoom::Geometry::Box.around(path.runs.flatten) }
      # The highest on top; each begins where the one above it ends.
      expect(samples.each_cons(2).map { |above, below| below.min_y - above.max_y }).to all(be_within(1e-9).of(0))
      texts = nodes.grep(TileLoom::Scene::Text)
      expect(texts.map(&:string)).to match_array(["30 m", "20 m", "12 m", "0 m"])
      at = texts.to_h { |text| [text.string, text.y - text.face.cap_height_mm(text.size_pt) / 2] }
      expect(at["20 m"]).to be_within(0.25).of(samples[0].max_y)
      expect(at["12 m"]).to be_within(0.25).of(samples[1].max_y)
      ranges = drawn.call(steps.merge("labels" => "ranges")).grep(TileLoom::Scene::Text).map(&:string)
      expect(ranges).to eq(["20–30 m", "12–20 m", "0–12 m"])
    end

    # Of the demo's heights: where poppler finds the labels of the printed bar, against the share that each value has of
    # the way between the ramp's ends.
    %w[level upright].each do |direction|
      it "labels a ramp at the true places of a bar that is #{direction}, to 0.1 mm" do
        settings = JSON.parse(File.read(SmallBooks::DEMO))
        settings["layers"].each { |layer| layer["visible"] = %w[terrain restoration-area].include?(layer["id"]) }
        terrain = settings["layers"].find { |layer| layer["id"] == "terrain" }
        terrain["raster"] = {"kind" => "ramp", "between" => "limits", "from" => 200, "to" => 500}
        legend = settings["layout"]["elements"].find { |element| element["kind"] == "legend" }
        bar = {"direction" => direction, "length_mm" => 40, "labels" => [200, 275, 410, 500]}
        legend.merge!(
          "place" => {
            "right_mm" => 0,
            "width_mm" => 55,
            "top_mm" => 60,
            "height_mm" => 60
          },
          "content" => "hand",
          "rows" => [{"kind" => "entry", "of" => ["terrain/ramp"], "bar" => bar}]
        )
        settings["layout"]["elements"].select! { |element| %w[map_frame legend].include?(element["kind"]) }
        settings["layout"]["elements"].each { |element| element["grids"] = [] if element["kind"] == "map_frame" }
        folio = TileLoom::Document::Folio.read(SmallBooks::DEMO)
        book, features = TileLoom::Document::Book.new(settings), folio.source
        Dir.mktmpdir do |folder|
          words = words_of(press(book, features, folder, cells: book.cells(features).first(1)))
          labels = [200, 275, 410, 500].map { |value| words.find { |word, left| word == value.to_s && left > 340 } }
          # "200 m": the number and the unit behind it.
          units =
            labels.map do |label|
              words
                .select { |word, left, top| word == "m" && (top - label[2]).abs < 0.1 && left > label[1] }
                .min_by { |word| word[1] }
            end
          places =
            if direction == "level"
              labels.zip(units).map { |label, unit| (label[1] + (unit || label)[3]) / 2 }
            else
              labels.map { |label| -(label[2] + label[4]) / 2 }
            end
          shares = [0, 75 / 300.0, 210 / 300.0, 1]
          expect(places.map { |place| place - places.first }).to match(
            shares.map { |share| be_within(0.1).of(share * 40) }
          )
        end
      end
    end
  end

  it "changes no rule when an entry is retitled" do
    before = sheet.book.settings["layers"]
    after = sheet({rows: [entry("roads/motorway", title: "Motorway")]}).book
    expect(after.settings["layers"]).to eq(before)
    expect(after.layers[1].rules.first.title).to eq("value motorway")
  end

  it "lists on an index sheet what that page draws" do
    settings = JSON.parse(File.read(SmallBooks::DEMO))
    legend = {
      "kind" => "legend",
      "id" => "key",
      "place" => {
        "left_mm" => 0,
        "top_mm" => 0,
        "width_mm" => 120,
        "height_mm" => 200
      }
    }
    settings["index_layout"] = {
      "name" => "index-sheet",
      "page" => settings["layout"]["page"],
      "elements" => [*TileLoom::Layout::Designs.index_elements, legend]
    }
    folio = TileLoom::Document::Folio.read(SmallBooks::DEMO)
    book = TileLoom::Document::Book.new(settings)
    composer = TileLoom::Compose::IndexSheetComposer.new(book: book, source: folio.source, count: 27)
    frame = composer.main_frame
    drawn = frame.shown_layers(composer)
    listed = composer.layout.elements.last.on(composer).standing.map { |row| row.placed.entries.first.layer.id }
    expect(listed).not_to be_empty
    expect(listed.uniq).to match_array(drawn.reject(&:raster?).map(&:id))
    expect(listed).to include("dams", "compartments")
  end

  it "is read out with its rows, and refuses rows that are none" do
    composed = sheet({layers: %w[wood]})
    expect(legend_of(composed).spoken(composed)).to eq("Legend: Wood.")
    settings = sheet.book.settings
    settings["layout"]["elements"][1]["rows"] = [{"kind" => "entry"}]
    expect(TileLoom::Document::Schema.findings(settings).map(&:pointer)).to all(start_with("/layout/elements/1"))
    settings["layout"]["elements"][1]["rows"] = [{"kind" => "note", "text" => "{{ sheet.nam }}"}]
    expect { TileLoom::Document::Check.demand(settings) }.to invalid(
      /sheet\.nam/,
      path: "/layout/elements/1/rows/0/text"
    )
  end
end

RSpec.describe TileLoom::Values::EntryIds do
  subject(:ids) { TileLoom::Symbology::Rule::IDS }

  it "lets ids stay, gives those of the same condition back, and never one twice" do
    before = [{"id" => "rule-1", "when" => 1}, {"id" => "rule-2", "when" => 2}]
    fresh = [
      {"when" => 2},
      {"when" => 3},
      {"when" => 1},
      {"id" => "own", "when" => 9},
      {"id" => "own", "when" => 8}
    ]
    found = ids.filled(fresh, before: before).map { |rule| rule["id"] }
    expect(found.first(4)).to eq(%w[rule-2 rule-3 rule-1 own])
    expect(found.uniq.length).to eq(5)
    expect(ids.filled([{}, {}]).map { |rule| rule["id"] }).to eq(%w[rule-1 rule-2])
  end
end
