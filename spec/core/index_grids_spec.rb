# frozen_string_literal: true

require "tmpdir"

RSpec.describe TileLoom::Index::Grid do
  def crs(code = "EPSG:32629") = TileLoom::Crs::System.find(code)

  def size(width, height, scale, reference: "EPSG:32629", held: "projection") =
    TileLoom::Index::CellSize.new(
      frame_width_mm: width,
      frame_height_mm: height,
      scale: scale,
      crs: crs(reference),
      held: held
    )

  def area(*features) = TileLoom::Index::StudyArea.new(features)

  def start(kind, **values) = described_class::Start.new(kind: kind, **values)

  # A blob of random radii about a middle.
  def blob(random, x: 450_000, y: 6_500_000, least: 800, more: 3000)
    ring_feature(
      (0...16).map do |i|
        angle = i * Math::PI / 8 and radius = least + random.rand * more and
          [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
      end
    )
  end

  # Independent of PROJ and of our own arithmetic: GeographicLib's GeoConvert writes MGRS, whose digits are the
  # metres from the corner of the 100 km square (NGA.SIG.0012).
  it "lays corners on round coordinates: kilometre squares of the military grid" do
    grid =
      described_class.new(
        area: area(rectangle(451_234, 6_501_234, 457_890, 6_505_000)),
        size: size(300, 300, 5000),
        overlap_mm: 10,
        start: start("round", multiple: 1000.0)
      )
    cells = grid.cells
    corners = cells.map { |cell| cell.ground.corners.first(2) }
    expect(grid.pitch).to eq([1000.0, 1000.0])
    written =
      outside("GeoConvert", "-m", input: corners.map { |x, y| "29n #{x.round(3)} #{y.round(3)}" }.join("\n")).split
    expect(written).to all(match(/\A29V[A-Z]{2}\d\d000\d\d000\z/))
    expect(TileLoom::Index::Cover.new(cells, grid.area).left_out_area).to eq(0)
  end

  # A definition by hand beside it: each place of the grid is asked for by itself.
  it "keeps of many cells just those that meet the area, or show a share of it, each by itself" do
    lone = TileLoom::Data::Feature.new(id: 2, wkb: TileLoom::Geometry::Wkb.point(449_000, 6_498_200), attributes: {})
    wide = area(blob(Random.new(8), least: 900, more: 900), lone)
    [["touching", 0.0], ["touching", 23.0], [0.4, 23.0]].each do |keep, turn|
      options = {area: wide, size: size(60, 50, 500), ccw_deg: turn, overlap_mm: 3}
      every = described_class.new(keep: "all", **options).cells
      wanted =
        every.select { |cell| (keep == "touching") ? wide.meets?(cell.ground) : wide.share_of(cell.ground) >= keep }
      found = described_class.new(keep: keep, **options).cells
      expect(found.map(&:ground)).to eq(wanted.map(&:ground))
      expect(found.length).to be_between(4_000, every.length - 4_000)
    end
  end

  it "has as many cells as are asked for, if not more than it may have" do
    options = {area: area(rectangle(0, 0, 1_000, 1_000)), size: size(100, 100, 1000)}
    expect(described_class.new(most: 100, **options).cells.length).to eq(100)
    expect { described_class.new(most: 99, **options).cells }.to invalid(
      /would make 100 cells; the limit is 99/,
      path: "/index/scale"
    )
    expect { described_class.new(most: 20, **options).cells }.to invalid(/up to 100 cells \(10 columns by 10 rows\)/)
  end

  it "begins at a point, turned or not, and covers all the same" do
    [0, 17.5].each do |turn|
      grid =
        described_class.new(
          area: area(blob(Random.new(3))),
          size: size(300, 200, 5000),
          start: start("point", x: 450_123.0, y: 6_500_321.0),
          ccw_deg: turn
        )
      cells = grid.cells
      expect(TileLoom::Index::Cover.new(cells, grid.area).left_out_area).to be < 1e-3
      # From the point to each corner there are whole steps of 1,500 and 1,000 m.
      steps =
        cells.map do |cell|
          TileLoom::Index::Axes
            .new(turn)
            .along(cell.ground.corners.first(2).zip([450_123.0, 6_500_321.0]).map { |one, other| one - other })
            .zip([1500.0, 1000.0])
            .map { |length, step| length / step }
        end
      expect(steps.flatten.map { |step| (step - step.round).abs }.max).to be < 1e-6
    end
  end

  it "refuses round corners that leave no step, or that are turned" do
    expect {
      described_class.new(
        area: area(rectangle(0, 0, 900, 900)),
        size: size(100, 100, 1000),
        start: start("round", multiple: 500.0)
      ).cells
    }.to invalid(/leave no step/, path: "/index/origin/multiple")
    expect {
      described_class.new(
        area: area(rectangle(0, 0, 900, 900)),
        size: size(100, 100, 1000),
        start: start("round", multiple: 50.0),
        ccw_deg: 10
      )
    }.to invalid(/no corners on round coordinates/)
  end

  # An L of three squares: the cell in its empty corner holds nothing, the others a half, as GDAL's SQLite
  # dialect (SpatiaLite, GEOS through another door) measures.
  it "keeps cells by the share of area that they hold, as SpatiaLite measures it" do
    ell = ring_feature([[0, 0], [450, 0], [450, 150], [150, 150], [150, 450], [0, 450]])
    cells =
      described_class.new(
        area: area(ell),
        size: size(300, 300, 1000),
        keep: "all",
        start: start("point", x: 0, y: 0)
      ).cells
    Dir.mktmpdir do |folder|
      rows =
        cells.each_with_index.map do |cell, index|
          {
            "type" => "Feature",
            "properties" => {
              "id" => index
            },
            "geometry" => {
              "type" => "Polygon",
              "coordinates" => [(cell.ground.corners + cell.ground.corners.first(2)).each_slice(2).to_a]
            }
          }
        end
      File.write("#{folder}/cells.json", JSON.generate("type" => "FeatureCollection", "features" => rows))
      wkt = "POLYGON((0 0,450 0,450 150,150 150,150 450,0 450,0 0))"
      sql =
        "SELECT id, ST_Area(ST_Intersection(geometry, ST_GeomFromText('#{wkt}'))) / ST_Area(geometry) AS share FROM " \
          "cells"
      outside("ogr2ogr", "-f", "CSV", "#{folder}/shares.csv", "#{folder}/cells.json", "-dialect", "SQLite", "-sql", sql)
      shares = File.readlines("#{folder}/shares.csv").drop(1).map { |line| line.split(",").last.to_f }
      study = area(ell)
      expect(
        cells.map { |cell| study.share_of(cell.ground) }.zip(shares).map { |ours, theirs| (ours - theirs).abs }.max
      ).to be < 1e-9
      [0.05, 0.2, 0.4, 0.9].each do |least|
        kept =
          described_class.new(
            area: study,
            size: size(300, 300, 1000),
            keep: least,
            start: start("point", x: 0, y: 0)
          ).cells
        expect(kept.length).to eq(shares.count { |share| share >= least })
      end
    end
  end

  # Steps of 500 m whatever the frame shows: the middles of neighbours are 500 m apart.
  it "steps by lengths of its own, and refuses those that leave gaps" do
    cells =
      described_class.new(area: area(rectangle(0, 0, 2000, 2000)), size: size(300, 300, 2000), step: [500.0, nil]).cells
    expect(cells.map { |cell| cell.ground.centre_x }.uniq.each_cons(2).map { |one, other| other - one }.uniq).to eq(
      [500.0]
    )
    expect(cells.map { |cell| cell.ground.centre_y }.uniq.each_cons(2).map { |one, other| one - other }.uniq).to eq(
      [600.0]
    )
    expect {
      described_class.new(area: area(rectangle(0, 0, 2000, 2000)), size: size(300, 300, 2000), step: [601.0, nil]).cells
    }.to invalid(/leaves gaps: a sheet covers only 600 m/)
    expect {
      described_class.new(area: area(rectangle(0, 0, 2000, 2000)), size: size(300, 300, 2000), step: [5.0, nil]).cells
    }.to invalid(/too small for sheets/)
  end

  it "overlaps each way its own: on paper, by a share, on the ground" do
    overlap = ->(text, frame, scale) { TileLoom::Index::Overlap.new(text).mm(frame, scale) }
    expect(
      [overlap["8 mm", 300, 2500], overlap["5 %", 300, 2500], overlap["20 m", 300, 2500], overlap["0.5 in", 300, 1]]
    ).to eq([8.0, 15.0, 8.0, 12.7])
    expect { overlap["95 %", 300, 2500] }.to invalid(/leaves nothing of a frame/)
    expect { overlap["eight", 300, 2500] }.to invalid(/is not an overlap/)
    cells =
      described_class.new(
        area: area(rectangle(0, 0, 1000, 1000)),
        size: size(300, 200, 2000),
        overlap_mm: [30, 10]
      ).cells
    first = cells.first.ground
    expect(
      cells.map { |cell| cell.ground.centre_x }.uniq.each_cons(2).map { |one, other| (other - one).round(6) }.uniq
    ).to eq([540.0])
    expect(
      cells.map { |cell| cell.ground.centre_y }.uniq.each_cons(2).map { |one, other| (one - other).round(6) }.uniq
    ).to eq([380.0])
    expect([first.width, first.height]).to eq([600.0, 400.0])
  end

  it "lies as the area lies, when asked for the best turn" do
    leaning =
      ring_feature(
        [[0, 0], [4000, 0], [4000, 500], [0, 500]].map do |x, y|
          [450_000 + x * Math.cos(0.4) - y * Math.sin(0.4), 6_500_000 + x * Math.sin(0.4) + y * Math.cos(0.4)]
        end
      )
    study = area(leaning)
    expect(study.best_ccw_deg).to be_within(1e-6).of(0.4 * 180 / Math::PI)
    # 4,000 × 500 m in frames of 1,000 × 600 m: four, where the upright grid needs more.
    expect(
      described_class.new(area: study, size: size(1000, 600, 1000), ccw_deg: study.best_ccw_deg).cells.length
    ).to eq(4)
    expect(described_class.new(area: study, size: size(1000, 600, 1000)).cells.length).to be > 4
  end

  # Sampling, which knows nothing of unions: each place of the area is on a cell, each kept cell shows some.
  it "covers by sampling, however it begins and is turned, and keeps no useless cell" do
    random = Random.new(11)
    12.times do |round|
      study = area(blob(random))
      grid =
        described_class.new(
          area: study,
          size: size(200 + random.rand * 200, 150 + random.rand * 150, 4000),
          overlap_mm: round.even? ? 12 : 0,
          ccw_deg: (round * 13) % 90
        )
      cells = grid.cells
      expect(cells).to all(satisfy { |cell| study.meets?(cell.ground) })
      box = study.box
      400.times do
        x, y = box.min_x + random.rand * box.width, box.min_y + random.rand * box.height
        next unless study.holds?(TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(x, y)))
        expect(cells.any? { |cell| inside?(cell.ground, x, y) }).to be(true)
      end
    end
  end

  def inside?(ground, x, y)
    u, v = TileLoom::Index::Axes.new(ground.ccw_deg).along([x - ground.centre_x, y - ground.centre_y])
    u.abs <= ground.width / 2 + 1e-6 && v.abs <= ground.height / 2 + 1e-6
  end

  describe TileLoom::Index::FewestSheets do
    def find(study, size, **options) = described_class.new(area: study, size: size, overlap_mm: 0, **options).find

    # Two separate squares of 90 m, 60 m apart: a centred grid of 100 m cells cuts both; moved, one cell each.
    it "finds what can be seen by eye" do
      study = area(rectangle(0, 0, 90, 90), rectangle(150, 0, 240, 90, id: 2))
      found = find(study, size(100, 100, 1000))
      expect([found.plain, found.cells.length, found.bound]).to eq([3, 3, 2]).or eq([3, 2, 2])
      near = area(rectangle(0, 0, 90, 90), rectangle(200, 0, 290, 90, id: 2))
      expect(find(near, size(100, 100, 1000)).cells.length).to eq(2)
    end

    it "is never worse than the plain grid, never below the bound, covers, and finds the same twice" do
      random = Random.new(5)
      saved =
        8.times.map do
          study = area(blob(random))
          found = find(study, size(300, 200, 5000))
          expect(found.cells.length).to be_between(found.bound, found.plain)
          expect(TileLoom::Index::Cover.new(found.cells, study).left_out_area).to be < 1e-3
          expect(find(study, size(300, 200, 5000)).cells.map { |cell| cell.ground.to_a }).to eq(
            found.cells.map { |cell| cell.ground.to_a }
          )
          found.saved
        end
      expect(saved.sum).to be > 5
    end

    it "may turn the grid, and stops with the best so far when told to" do
      leaning =
        ring_feature(
          [[0, 0], [4000, 0], [4000, 500], [0, 500]].map do |x, y|
            [450_000 + x * Math.cos(0.4) - y * Math.sin(0.4), 6_500_000 + x * Math.sin(0.4) + y * Math.cos(0.4)]
          end
        )
      found = find(area(leaning), size(1000, 600, 1000), turns: true)
      expect([found.cells.length, found.bound <= 4]).to eq([4, true])
      stopped = find(area(leaning), size(1000, 600, 1000), turns: true, stop: -> { true })
      expect(stopped.cells.length).to eq(stopped.plain)
    end
  end
end
