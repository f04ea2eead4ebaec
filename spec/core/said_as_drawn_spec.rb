# frozen_string_literal: true

# What is written on sheets and said of them, against where the lines are and how long the ground is. The ground is
# measured by GeographicLib and the lines are found by PROJ's own program, in references that no other spec uses.
RSpec.describe "What is said" do
  # Code, and the ellipsoid of its datum by EPSG: UTM and an Albers in the south, Lambert, oblique Mercator, polyconic,
  # polar, Mercator across 180°, cylindrical equal-area, a state plane in US feet.
  references = {
    "EPSG:32719" => [6_378_137, "1/298.257223563"],
    "EPSG:31983" => [6_378_137, "1/298.257222101"],
    "EPSG:3577" => [6_378_137, "1/298.257222101"],
    "EPSG:2154" => [6_378_137, "1/298.257222101"],
    "EPSG:2056" => [6_377_397.155, "1/299.1528128"],
    "EPSG:5880" => [6_378_137, "1/298.257222101"],
    "EPSG:3995" => [6_378_137, "1/298.257223563"],
    "EPSG:3832" => [6_378_137, "1/298.257223563"],
    "EPSG:6933" => [6_378_137, "1/298.257223563"],
    "EPSG:2263" => [6_378_137, "1/298.257222101"]
  }
  sheets = 300
  frame = TileLoom::Geometry::Box.at(45, 40, 280, 190)
  paper = TileLoom::Geometry::Box.new(0, 0, 370, 270)

  # Random, but the same each time.
  random = Random.new(12)
  views =
    Array.new(sheets) do |index|
      crs = TileLoom::Crs::System.find(references.keys[index % references.length])
      west, south, east, north = crs.area_of_use
      east += 360 if east < west
      lon, lat = west + (east - west) * random.rand(0.1..0.9), south + (north - south) * random.rand(0.1..0.9)
      scale = (10**random.rand(2.4..5.7)).round(-1)
      x, y = TileLoom::Crs::Transform.between(crs.geographic, crs).point(TileLoom::Units::Angle.wrapped(lon), lat)
      per_mm = scale / 1000.0 / crs.metres_per_unit
      TileLoom::View::FrameView.new(
        frame: frame,
        crs: crs,
        ground:
          TileLoom::Geometry::TurnedRectangle.new(
            x,
            y,
            frame.width * per_mm,
            frame.height * per_mm,
            (index % 3).zero? ? random.rand(-180.0..180.0) : 0.0
          )
      )
    end

  def geodesics(ends, ellipsoid)
    outside(
      "GeodSolve",
      "-i",
      "-p",
      "6",
      "-e",
      *ellipsoid.map(&:to_s),
      input: ends.map { |lon1, lat1, lon2, lat2| format("%.12f %.12f %.12f %.12f\n", lat1, lon1, lat2, lon2) }.join
    ).lines.map { |line| line.split.last.to_f }
  end

  # Metres on the ground of a millimetre at nine places of a frame, along the page and up it: sheet → list.
  ground =
    lambda do |example|
      steps = [0.02, 0.5, 0.98]
      views
        .group_by { |view| view.crs.code }
        .flat_map do |code, list|
          ends =
            list.flat_map do |view|
              steps
                .product(steps)
                .flat_map do |u, v|
                  x, y = frame.min_x + u * frame.width, frame.min_y + v * frame.height
                  [[x - 2, y, x + 2, y], [x, y - 2, x, y + 2]].map do |line|
                    view.to_geographic.forward(view.to_ground(line))
                  end
                end
            end
          list.zip(example.geodesics(ends, references.fetch(code)).map { |metres| metres / 4 }.each_slice(18).to_a)
        end
        .to_h
    end

  describe "on the lines of a grid" do
    # "6 528 000", "−1 500", "10°42′28.8″W" as a number in the grid's units.
    def number(text)
      sign = text.match?(/[SW]\z/) ? -1 : 1
      if text.include?("°")
        return sign * text.scan(/[\d.]+/).map(&:to_f).zip([1, 60, 3600]).sum { |part, share| part / share }
      end
      text.tr("\u2212", "-").delete("\u2009").to_f
    end

    # The end of the label's line that is nearest to it.
    def end_of(label) =
      label
        .line
        .pieces
        .flat_map { |piece| [piece.first(2), piece.last(2)] }
        .min_by { |x, y| Math.hypot(x - label.spot.x, y - label.spot.y) }

    it "is the line's true coordinate to 0.05 mm, on 300 sheets of ten references" do
      found =
        views.flat_map do |view|
          %w[book geographic].flat_map do |reference|
            grid =
              TileLoom::CoordinateGrid::Grid.new(
                {
                  "id" => "g",
                  "crs" => reference,
                  "look" => "lines",
                  "labels" => {
                    "sides" => %w[top right bottom left],
                    "size_pt" => 6
                  }
                }
              )
            drawn = TileLoom::CoordinateGrid::Surround.new(view: view, grids: [grid], paper: paper).drawn.first
            mesh = drawn.meshes.first
            expect([mesh.trouble, drawn.labels.unlabelled.reject { |line| drawn.labels.stub?(line) }]).to eq([nil, []]),
              "#{view.crs.code} #{view.scale} #{reference}"
            drawn.labels.placed.map do |label|
              [view, reference, label.line.axis, number(label.caption.to_s), end_of(label), label.caption.to_s]
            end
          end
        end
      expect(found.length).to be > 5_000
      off =
        found
          .group_by { |view, reference, *| [view.crs.code, reference] }
          .flat_map { |(code, reference), list| (reference == "book") ? on_plane(list) : in_degrees(code, list) }
      worst = off.max_by(&:first)
      expect(worst.first).to be < 0.05, worst.inspect
    end

    def on_plane(list)
      list.map do |view, _, axis, value, place, text|
        true_value = view.to_ground(place)[(axis == :x) ? 0 : 1]
        [(value - true_value).abs / view.units_per_mm, view.crs.code, view.scale, text]
      end
    end

    # cs2cs gives latitude before longitude for EPSG's references.
    def in_degrees(code, list)
      near = 0.01
      places =
        list.flat_map do |view, _, _, _, (x, y), _|
          [[x, y], [x + near, y], [x, y + near]].map { |place| view.to_ground(place) }
        end
      geographic = list.first[0].crs.geographic.code
      degrees =
        outside("cs2cs", "-f", "%.13f", code, geographic, input: places.map { |x, y| format("%.9f %.9f\n", x, y) }.join)
          .lines
          .map { |line| line.split.first(2).map(&:to_f) }
      list
        .zip(degrees.each_slice(3).to_a)
        .map do |(view, _, axis, value, _, text), (here, right, down)|
          index = (axis == :x) ? 1 : 0
          turn = ->(difference) { TileLoom::Units::Angle.wrapped(difference) }
          per_mm = Math.hypot(turn[right[index] - here[index]], turn[down[index] - here[index]]) / near
          [turn[value - here[index]].abs / per_mm, view.crs.code, view.scale, text]
        end
    end
  end

  describe "of lengths" do
    def said(text)
      number, unit = text.match(/represents (?:about )?([\d,.]+) (km|miles?|m|feet|foot)/).captures
      metres =
        number.delete(",").to_f *
        {"km" => 1000, "m" => 1, "mile" => 1609.344, "miles" => 1609.344, "feet" => 0.3048, "foot" => 0.3048}.fetch(
          unit
        )
      [metres, text[/within ([\d.]+) %/, 1]&.to_f]
    end

    it "holds all over the sheet to the per cent that it names, a thousandth where it names none" do
      ground
        .call(self)
        .each do |view, metres|
          {"metric" => 10.0, "imperial" => 25.4}.each do |units, paper_mm|
            text =
              TileLoom::Bar::VerbalScale.on(
                TileLoom::View::Measure.new(view),
                view.scale,
                language: TileLoom::Languages::Language.english,
                units: units
              )
            next if text.end_with?("in the middle alone")
            length, within = said(text)
            # Of the figure that is told. Four figures are told at least, which may take off half of the last.
            worst = metres.map { |true_length| (true_length * paper_mm / length - 1).abs * 100 }.max
            expect(worst).to be <= (within ? within + 0.0005 : 0.15),
              "#{view.crs.code} 1:#{view.scale}: #{text}, off by #{worst} %"
          end
        end
    end

    it "is that of the bar: scale, factor, width and height of a sheet" do
      ground
        .call(self)
        .each do |view, metres|
          # Of the nine places the fifth is the middle.
          expect(view.true_scale / (metres[8] * 1000) - 1).to be_within(1e-6).of(0)
          width, height = view.ground_size.to_a
          expect(
            [width / (frame.width * metres[8]) - 1, height / (frame.height * metres[9]) - 1].map(&:abs).max
          ).to be < 0.05
        end
      # The sum of GeodSolve's parts along the middle of one.
      view = views.find { |found| found.crs.code == "EPSG:6933" }
      line = (0..40).flat_map { |n| [frame.min_x + frame.width * n / 40, frame.centre[1]] }
      parts = view.to_geographic.forward(view.to_ground(line)).each_slice(2).each_cons(2).map(&:flatten)
      expect(view.ground_size.width_m).to be_within(0.001).of(geodesics(parts, references.fetch("EPSG:6933")).sum)
    end

    # An equal-area map is true in area alone: east–west and north–south are off against one another (Snyder, USGS PP
    # 1395, chapter 10: h = 1/k).
    it "tells scale along the bar and the meridian apart where they differ" do
      view = views.find { |found| found.crs.code == "EPSG:6933" && found.ground.upright? }
      expect(view.factors.areal_scale).to be_within(1e-7).of(1)
      expect(view.bar_scale_factor * view.factors.meridional_scale).to be_within(1e-6).of(1)
      expect((view.bar_scale_factor - 1).abs).to be > 0.001
    end

    it "tells a grid's own lengths from those on the ground where they differ" do
      mercator = TileLoom::Crs::System.find("EPSG:3857")
      x, y = TileLoom::Crs::Transform.between(mercator.geographic, mercator).point(-10.7, 60)
      view =
        TileLoom::View::FrameView.new(
          frame: frame,
          crs: mercator,
          ground: TileLoom::Geometry::TurnedRectangle.new(x, y, frame.width * 25, frame.height * 25, 0.0)
        )
      grid =
        TileLoom::CoordinateGrid::Grid.new(
          {"id" => "g", "crs" => "book", "look" => "lines", "interval" => {"x" => "2 km", "y" => "2 km"}}
        )
      note = TileLoom::CoordinateGrid::Note.new(grid, grid.meshes(view).first).to_s
      length, within =
        note
          .match(/\ALines 2 km apart on the grid, about ([\d,.]+) km \(within ([\d.]+) %\) on the ground\.\z/)
          .captures
          .map(&:to_f)
      ends = [[x, y, x + 2000, y], [x, y, x, y + 2000]].map { |line| view.to_geographic.forward(line) }
      geodesics(ends, [6_378_137, "1/298.257223563"]).each do |metres|
        expect((metres / (length * 1000) - 1).abs * 100).to be <= within
      end
      utm = views.find { |found| found.crs.code == "EPSG:32719" }
      expect(TileLoom::CoordinateGrid::Note.new(grid, grid.meshes(utm).first).to_s).to match(
        /\ALines 2 km apart; the diagonal is about 2\.8 km\.\z/
      )
    end
  end

  # Chosen for another place of the same scale, as for a book that reaches far.
  it "is no bar that leaves its box" do
    box = TileLoom::Geometry::Box.at(60, 240, 60, 14)
    look =
      TileLoom::Bar::Look.new(
        face: TileLoom::Type::Library.face("sans"),
        size_pt: 7,
        colour: "#000000",
        light: "#ffffff",
        stroke_mm: 0.15,
        language: TileLoom::Languages::Language.english
      )
    short =
      views.each_with_index.map do |view, index|
        elsewhere = TileLoom::View::Measure.new(view).per_mm * [1.0, 1.3, 0.8, 2.0][index % 4]
        settings = {"left" => index % 3, "align" => %w[left centre right][index % 3], "labelled" => "all"}
        bar =
          TileLoom::Bar::Drawing.new(
            style: TileLoom::Bar::Style.new(settings),
            box: box,
            measure: TileLoom::View::Measure.new(view),
            per_mm: elsewhere,
            scale: view.scale,
            look: look,
            verbal: ->(_) { "" }
          )
        xs =
          bar.nodes.flat_map do |node|
            if node.is_a?(TileLoom::Scene::Text)
              [node.x, node.x + node.face.width_mm(node.string, node.size_pt)]
            else
              node.runs.flat_map { |run| run.each_slice(2).map(&:first) }
            end
          end
        expect([xs.min, xs.max]).to match([be >= box.min_x - 0.01, be <= box.max_x + 0.01]),
          "#{view.crs.code} #{view.scale} #{settings}"
        bar.shortened?
      end
    expect(short.count(true)).to be_between(20, 200)
  end
end
