# frozen_string_literal: true

require "vips"

RSpec.describe TileLoom::CoordinateGrid::Borders do
  include GridViews

  metric = {"id" => "m", "crs" => "book", "target_mm" => 40}

  def border(view, settings, *grids) = surround(view, grids, border: settings).border

  # Dark rings of a banded border, as boxes.
  def bands(view, settings, *grids) =
    border(view, settings, *grids).nodes.select { |node| node.fill && node.fill.colour == "#1f2a30" }.flat_map(&:runs)

  it "are a line, a line with ticks, two lines with ticks, or bands, and say what room they take" do
    sheet = view
    expect(border(sheet, {"width_mm" => 0.4}).nodes.length).to eq(1)
    expect(border(sheet, {"width_mm" => 0.4}).room_mm).to eq(0)
    expect(
      border(sheet, {"kind" => "ticked", "thickness_mm" => 2, "gap_mm" => 1, "width_mm" => 0.4}, metric).room_mm
    ).to be_within(1e-9).of(3.2)
    %w[ticked double banded].each do |kind|
      extent =
        TileLoom::Geometry::Box.around(
          border(sheet, {"kind" => kind, "thickness_mm" => 2, "gap_mm" => 1}, metric).nodes.flat_map(&:runs).flatten
        )
      expect(extent.to_a).to match([17, 27, 323, 233].map { |mm| be_within(1e-9).of(mm) }), kind
    end
  end

  it "step where the grid's lines cross the frame, dark by the grid's own count" do
    sheet = view
    dark = bands(sheet, {"kind" => "banded", "thickness_mm" => 2}, metric)
    top =
      dark
        .select { |run| run.each_slice(2).all? { |_, y| y < 30.001 } }
        .map { |run| run.each_slice(2).map(&:first).minmax }
    # 500 m at 1:10,000 are 50 mm; E 400 500 is the frame's left edge; an even count of 500 m is dark.
    inner = top.map { |low, high| [low.clamp(20, 320), high.clamp(20, 320)] }
    expect(inner).to match(
      [
        [be_within(1e-6).of(70), be_within(1e-6).of(120)],
        [be_within(1e-6).of(170), be_within(1e-6).of(220)],
        [be_within(1e-6).of(270), be_within(1e-6).of(320)]
      ]
    )
  end

  it "follow the grid's true course beyond the frame: the ends of bands lie on its lines" do
    sheet = view(rotation: 20.0)
    grid = mesh(sheet, "EPSG:4258", target_mm: 30)
    dark =
      bands(
        sheet,
        {"kind" => "banded", "thickness_mm" => 3, "gap_mm" => 2},
        {"id" => "g", "crs" => "geographic", "target_mm" => 30}
      )
    expect(dark.length).to be > 8
    corners = [18, 15, 322, 325, 28, 25, 232, 235]
    ends =
      dark
        .flat_map { |run| run.each_slice(2).to_a }
        .reject { |x, y| corners.include?(x.round(6)) && corners.include?(y.round(6)) }
    off =
      ends.map do |x, y|
        lon, lat = grid.on_grid([x, y])
        [[lon, :x], [lat, :y]].map do |value, axis|
          (value / grid.interval(axis) - (value / grid.interval(axis)).round).abs * grid.pitch_mm(axis)
        end
          .min
      end
    expect(off.max).to be < 0.02
  end

  it "may have two rows, the second the other way round, and solid corners" do
    sheet = view
    dark = bands(sheet, {"kind" => "banded", "rows" => 2, "thickness_mm" => 4, "corner_blocks" => true}, metric)
    boxes = dark.map { |run| TileLoom::Geometry::Box.around(run) }
    expect(boxes).to include(
      TileLoom::Geometry::Box.new(16, 26, 20, 30),
      TileLoom::Geometry::Box.new(320, 230, 324, 234)
    )
    top = boxes.reject { |box| box.min_x < 20 || box.max_x > 320 }
    inner, outer =
      [28, 26].map do |y|
        top.select { |box| (box.min_y - y).abs < 1e-9 && (box.max_y - y - 2).abs < 1e-9 }.map { |box| box.min_x.round }
      end
    expect([inner, outer]).to eq([[70, 170, 270], [20, 120, 220]])
  end

  it "may step evenly, whatever the grid" do
    dark = bands(view, {"kind" => "banded", "thickness_mm" => 2, "steps" => {"mm" => 25}}, metric)
    lengths = dark.map { |run| TileLoom::Geometry::Box.around(run).then { |box| [box.width, box.height].max } }
    expect(lengths.reject { |length| length > 25.5 }).to all(be_within(1e-6).of(25))
  end

  # What is printed, found in the pixels: the lines lie where the numbers say to 0.1 mm, at 600 dpi.
  it "and grids are printed where the numbers say, to 0.1 mm" do
    sheet = view
    nodes =
      surround(
        sheet,
        [
          metric.merge("stroke" => {"colour" => "#000000", "width_mm" => 0.1}),
          {
            "id" => "g",
            "crs" => "geographic",
            "look" => "lines",
            "stroke" => {
              "colour" => "#ff0000",
              "width_mm" => 0.1
            }
          }
        ],
        border: {
          "kind" => "banded",
          "thickness_mm" => 2
        }
      ).over
    Dir.mktmpdir do |folder|
      File.open("#{folder}/grid.pdf", "wb") do |io|
        writer = TileLoom::Output::Pdf::Writer.new(io, title: "Grid")
        writer.add(
          TileLoom::Output::Pdf::Page.of(TileLoom::Scene::Drawing.new(width_mm: 340, height_mm: 260, nodes: nodes))
        )
        writer.close
      end
      outside("pdftocairo", "-png", "-singlefile", "-r", "600", "#{folder}/grid.pdf", "#{folder}/grid")
      picture = Vips::Image.new_from_file("#{folder}/grid.png").extract_band(0, n: 3)
      per_mm = 600 / 25.4
      # Along a level through the frame at y = 100 mm, between the bands: places of black and of red.
      row = picture.crop(0, (100 * per_mm).round, picture.width, 1).to_a.first
      middles =
        lambda do |&wanted|
          row
            .each_index
            .select { |x| x > 25 * per_mm && x < 315 * per_mm && wanted.call(*row[x]) }
            .slice_when { |a, b| b > a + 1 }
            .map { |run| (run.first + run.last + 1) / 2.0 / per_mm }
        end
      black = middles.call { |r, g, b| r < 120 && g < 120 && b < 120 }
      expect(black).to match([70, 120, 170, 220, 270].map { |mm| be_within(0.1).of(mm) })
      # A parallel that runs along the level is no narrow line there.
      red =
        middles
          .call { |r, g, b| r > 180 && g < 140 && b < 140 }
          .select { |x| (x * per_mm).round.then { |at| [row[at - 12], row[at + 12]].all? { |pixel| pixel.min > 200 } } }
      expect(red.length).to be >= 2
      red.each do |x|
        east, north = sheet.to_ground([x, 100.0])
        lon = transverse_mercator_place(east, north, central: -9)[:lon]
        steps = lon * 3600 / 30
        expect((steps - steps.round).abs * 30 / 3600 * 111_320 * Math.cos(58.87 * Math::PI / 180) / 10).to be < 0.1
      end
    end
  end
end
