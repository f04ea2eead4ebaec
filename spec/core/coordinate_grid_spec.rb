# frozen_string_literal: true

RSpec.describe TileLoom::CoordinateGrid do
  # A frame of 300 × 200 mm at 1:10,000 about a place 1.7° west of the zone's meridian, turned or not.
  def view(rotation: 0.0, reference: "EPSG:25829", centre: [402_000, 6_528_000], scale: 10_000)
    TileLoom::Sheet::FrameView.new(frame: TileLoom::Geometry::Box.at(20, 30, 300, 200), crs: TileLoom::Reference::Crs.find(reference),
      ground: TileLoom::Geometry::TurnedRectangle.new(*centre, 0.3 * scale, 0.2 * scale, rotation))
  end

  def mesh(view, reference, **options) = described_class::Mesh.new(view: view, crs: TileLoom::Reference::Crs.find(reference), **options)

  describe "intervals" do
    series = described_class::Series

    # Common practice: 1-2-5 for lengths; 1, 2, 5, 10, 15, 20, 30 of seconds and minutes for angles.
    it "come from the standard series" do
      expect([series.at_most(199), series.at_most(200), series.at_least(201), series.nearest(0.07)]).to eq([100, 200, 500, Rational(5, 100)])
      expect(series.nearest_angle_deg(0.26)).to eq(Rational(1, 4))
      expect(series.nearest_angle_deg(22.0 / 3600)).to eq(Rational(20, 3600))
    end

    it "suit the scale: about as far apart on paper as wished" do
      [1000, 2500, 10_000, 25_000, 250_000].each do |scale|
        found = mesh(view(scale: scale), "EPSG:25829", wished_mm: 40)
        on_paper = found.interval(:x) * 1000 / scale
        expect(on_paper).to be_between(40 / 1.6, 40 * 1.6)
      end
    end
  end

  # Every vertex of a drawn graticule line, taken back to the ground, must have the line's latitude or
  # longitude by GeographicLib's exact transverse Mercator (no code shared with PROJ), to 0.02 mm.
  [0.0, 33.0].each do |rotation|
    it "draws the graticule where GeographicLib says it is, in a frame turned by #{rotation}°" do
      sheet = view(rotation: rotation)
      lines = mesh(sheet, "EPSG:4258").lines
      expect(lines.length).to be > 4
      lines.each do |line|
        line.pieces.each do |piece|
          east, north = sheet.to_ground(piece.first(2))
          lat, lon = outside("TransverseMercatorProj", "-r", "-l", "-9", "-k", "0.9996", "-p", "9", "-e", "6378137", "1/298.257222101", input: format("%.6f %.6f\n", east - 500_000, north)).split.map(&:to_f)
          off = (((line.axis == :x) ? lon : lat) - line.value).abs
          metres = off * 111_320 * ((line.axis == :x) ? Math.cos(lat * Math::PI / 180) : 1)
          expect(metres * 1000 / 10_000).to be < 0.02
        end
      end
    end
  end

  it "lets no chord leave the true curve by more than 0.02 mm" do
    sheet = view(reference: "EPSG:3035", centre: [4_000_000, 4_000_000], scale: 10_000_000)
    to_page = TileLoom::Reference::Transform.between(TileLoom::Reference::Crs.find("EPSG:4258"), sheet.crs)
    mesh(sheet, "EPSG:4258").lines.select { |line| line.axis == :y }.each do |line|
      line.pieces.each do |piece|
        piece.each_slice(2).each_cons(2) do |from, to|
          middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
          lon, lat = to_page.inverse(sheet.to_ground(middle))
          truth = sheet.to_page(to_page.forward([lon, line.value.to_f]))
          expect(Math.hypot(truth[0] - middle[0], truth[1] - middle[1])).to be < 0.02, "at #{lat}"
        end
      end
    end
  end

  it "draws the grid of the book's own reference straight and at its numbers" do
    sheet = view
    lines = mesh(sheet, "EPSG:25829").lines
    # 40 mm at 1:10,000 is 400 m; 500 m is the nearest of the series.
    expect(lines.select { |line| line.axis == :x }.map(&:value)).to eq((400_500..403_500).step(500).to_a)
    line = lines.find { |known| known.value == 402_000 && known.axis == :x }
    expect(line.pieces.length).to eq(1)
    expect(line.pieces.first.each_slice(2).map(&:first)).to all(be_within(1e-9).of(170))
    expect(line.pieces.first.each_slice(2).map(&:last).minmax).to match([be_within(1e-9).of(30), be_within(1e-9).of(230)])
  end

  it "keeps all lines inside the frame" do
    sheet = view(rotation: 21.0)
    box = sheet.frame.grow(1e-6)
    (mesh(sheet, "EPSG:4258").lines + mesh(sheet, "EPSG:25830").lines).each do |line|
      line.pieces.flatten.each_slice(2) { |x, y| expect(box.include?(x, y)).to be(true) }
    end
  end

  it "runs across the 180° meridian" do
    sheet = view(reference: "EPSG:3832", centre: [3_339_584.72, 0], scale: 10_000_000)
    values = mesh(sheet, "EPSG:4326").lines.select { |line| line.axis == :x }.map(&:value)
    expect(values.min).to be < 180
    expect(values.max).to be > 180
    line = TileLoom::CoordinateGrid::Line.new(axis: :x, value: 185r, pieces: [])
    expect(described_class::Caption.of(line, TileLoom::Reference::Crs.find("EPSG:4326"), 5r)).to eq("175°W")
  end

  it "says so when it would draw too much, or nothing" do
    expect(mesh(view, "EPSG:25829", interval: 1r).warning).to match(/more than 400 lines/)
    expect(mesh(view, "EPSG:25829", interval: 100_000r).warning).to match(/no line falls on this sheet/)
  end

  describe "labels" do
    def labels(sheet, reference, sides)
      described_class::Labels.new(mesh: mesh(sheet, reference), sides: sides, face: TileLoom::Type::Library.face("sans"), size_pt: 7, colour: "#000000", distance_mm: 1).texts
    end

    it "stand outside the frame at each side where lines cross it, without touching" do
      sheet = view
      %w[top bottom left right].each do |side|
        texts = labels(sheet, "EPSG:25829", [side])
        expect(texts.length).to be >= 3
        expect(texts.map(&:rotation_deg).uniq).to eq([{"left" => -90.0, "right" => 90.0}.fetch(side, 0.0)])
        spans = texts.map { |text| [text.x, text.face.width_mm(text.string, 7)] }.sort
        next unless %w[top bottom].include?(side)
        spans.each_cons(2) { |(x, width), (following, _)| expect(x + width).to be < following }
        expect(texts.map(&:y)).to all((side == "top") ? be < sheet.frame.min_y : be > sheet.frame.max_y)
      end
    end

    it "belong to the lines that cross the side" do
      expect(labels(view, "EPSG:25829", ["bottom"]).map(&:string)).to include("402\u2009000")
      expect(labels(view, "EPSG:25829", ["left"]).map(&:string)).to include("6\u2009528\u2009000")
      expect(labels(view, "EPSG:4258", ["top"]).map(&:string)).to all(match(/\A10°\d\d′(\d\d″)?W\z/))
    end
  end
end
