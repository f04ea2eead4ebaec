# frozen_string_literal: true

require "tmpdir"
require "vips"

# Gradients, shadows and corners of elements, lines with bends and ends: as poppler draws the printed file.
RSpec.describe "Areas and lines of elements" do
  # Yields a function from mm on the page to [red, green, blue], and the file. A pixel is 0.1 mm.
  def drawn(elements, **changes)
    printed_elements(elements, **changes) do |_, file|
      outside("pdftocairo", "-png", "-r", "254", "-singlefile", file, file)
      pixels = Vips::Image.new_from_file("#{file}.png", access: :random)
      memory = pixels.write_to_memory
      at = ->(x, y) do
        memory.byteslice(((y * 10).floor * pixels.width + (x * 10).floor) * pixels.bands, 3).unpack("C3")
      end
      yield at, file
    end
  end

  def nodes(element)
    book, source = book_with_elements([element])
    sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
    known = sheet.layout.elements.last
    known.nodes(sheet, known.box(sheet.page))
  end

  bare = {"kind" => "box", "stroke" => {"colour" => "#000000", "width_mm" => 0.01}}

  # The box is 60 mm wide from 30 mm, 30 mm high from 40 mm. Colours in equal steps of each, by hand.
  it "runs colours along a direction, and lets through what is below as far as they are transparent" do
    stops = [{"at" => 0, "colour" => "#ff0000"}, {"at" => 1, "colour" => "#0000ff"}]
    drawn([bare.merge("gradient" => {"direction_deg" => 0, "stops" => stops})]) do |at|
      [0.1, 0.25, 0.5, 0.75, 0.9].each do |share|
        expect(at[30 + 60 * share, 55]).to match(
          [be_within(3).of(255 * (1 - share)), be_within(3).of(0), be_within(3).of(255 * share)]
        )
      end
      # The same all the way down.
      expect(at[45, 41]).to match(at[45, 69].map { |value| be_within(2).of(value) })
    end
    clear = [{"at" => 0, "colour" => "#000000"}, {"at" => 1, "colour" => "#000000", "opacity" => 0}]
    drawn([bare.merge("gradient" => {"stops" => clear})]) do |at|
      [0.2, 0.5, 0.8].each { |share| expect(at[60, 40 + 30 * share]).to all(be_within(3).of(255 * share)) }
    end
  end

  it "runs colours outwards from the middle" do
    stops = [{"at" => 0, "colour" => "#ffffff"}, {"at" => 1, "colour" => "#000000"}]
    drawn([bare.merge("gradient" => {"kind" => "radial", "stops" => stops})]) do |at|
      radius = Math.hypot(60, 30) / 2
      [[60, 55], [70, 55], [60, 65], [85, 55], [50, 45]].each do |x, y|
        expect(at[x, y]).to all(be_within(4).of(255 * (1 - Math.hypot(x - 60, y - 55) / radius)))
      end
    end
  end

  it "is the same in SVG: places of the page, stops, opacity" do
    stops = [{"at" => 0.25, "colour" => "#ff0000"}, {"at" => 1, "colour" => "#0000ff", "opacity" => 0.5}]
    book, source = book_with_elements([bare.merge("gradient" => {"direction_deg" => 0, "stops" => stops})])
    sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
    svg = Nokogiri.XML(TileLoom::Output::Svg.new(sheet.drawing).to_s).remove_namespaces!
    gradient = svg.at("linearGradient")
    expect(gradient.to_h.slice("x1", "y1", "x2", "y2", "gradientUnits")).to eq(
      "x1" => "3000",
      "y1" => "5500",
      "x2" => "9000",
      "y2" => "5500",
      "gradientUnits" => "userSpaceOnUse"
    )
    expect(gradient.css("stop").map { |stop| stop.to_h.values_at("offset", "stop-color", "stop-opacity") }).to eq(
      [["0", "#ff0000", nil], ["0.25", "#ff0000", nil], %w[1 #0000ff 0.5]]
    )
    expect(svg.css("path[fill='url(##{gradient["id"]})']").length).to eq(1)
  end

  it "turns with its element, and stays a valid file, for the press too" do
    stops = [{"at" => 0, "colour" => "#ff0000"}, {"at" => 1, "colour" => "#0000ff", "opacity" => 0.2}]
    drawn(
      [
        bare.merge(
          "rotation_deg" => 90,
          "gradient" => {
            "direction_deg" => 0,
            "stops" => stops.map { |stop| stop.except("opacity") }
          }
        )
      ]
    ) do |at|
      # Turned a quarter clockwise about its middle, what ran to the right runs down.
      expect(at[60, 30]).to match([be > 225, be_within(3).of(0), be < 30])
      expect(at[60, 80]).to match([be < 30, be_within(3).of(0), be > 225])
    end
    book, source = book_with_elements([bare.merge("gradient" => {"stops" => stops})])
    order = TileLoom::Output::Order.new({"form" => {"kind" => "pdf_book", "pdf" => {"standard" => "pdf_x_4"}}})
    Dir.mktmpdir do |folder|
      file = File.join(folder, "x.pdf")
      press = TileLoom::Output::Press.new(book: book, source: source, order: order)
      press.bind([press.page(book.cells(source).first, count: 1)], file)
      expect(outside("qpdf", "--check", file)).to include("No syntax or stream encoding errors")
      objects = JSON.parse(outside("qpdf", "--json", file))
      shadings = JSON.generate(objects).scan(%r{"/ColorSpace":"/(Device\w+)"}).flatten.uniq
      expect(shadings).to include("DeviceCMYK", "DeviceGray")
      expect(shadings).not_to include("DeviceRGB")
    end
  end

  it "rounds each corner by its own radius" do
    ring =
      nodes(bare.merge("fill" => {"colour" => "#ff0000"}, "corners_mm" => [0, 5, 10, 40]))
        .first
        .runs
        .first
        .each_slice(2)
        .to_a
    # Sharp, and where the arcs begin and end; a radius is at most half the shorter side, 15 mm.
    expected = [[30, 40], [85, 40], [90, 45], [90, 60], [80, 70], [45, 70], [30, 55]]
    expected.each { |x, y| expect(ring.map { |px, py| Math.hypot(px - x, py - y) }.min).to be < 1e-6 }
    # On the arc of the lower right: 10 mm from its centre.
    arc = ring.select { |x, y| x > 80.01 && y > 60.01 }
    expect(arc.map { |x, y| Math.hypot(x - 80, y - 60) }).to all(be_within(1e-9).of(10))
  end

  it "casts a shadow below it, flat or with a soft edge, as dark as it says" do
    shadow = {"dx_mm" => 5, "dy_mm" => 5, "opacity" => 0.4, "colour" => "#000000"}
    drawn([bare.merge("fill" => {"colour" => "#ffffff"}, "shadow" => shadow)]) do |at|
      expect(at[93, 60]).to all(be_within(2).of(255 * 0.6))
      expect(at[60, 55]).to eq([255, 255, 255])
      expect(at[96, 60]).to eq([255, 255, 255])
    end
    drawn([bare.merge("fill" => {"colour" => "#ffffff"}, "shadow" => shadow.merge("soft_mm" => 4))]) do |at|
      across = [92, 93.5, 94.5, 95.5, 96.5, 97.5].map { |x| at[x, 60].first }
      expect(across).to eq(across.sort)
      # Half as dark, by how it builds up, at its outline; all of it where the edge begins, nothing where it ends.
      expect(across.first).to be_within(4).of(255 * 0.6)
      expect(across.last).to eq(255)
    end
  end

  describe "a line" do
    it "goes through its places, bent or in a curve that meets each of them" do
      places = [[0, 1], [0.25, 0], [0.75, 1], [1, 0]]
      line = {"kind" => "line", "points" => places}
      expect(nodes(line).first.runs.first).to eq([30, 70, 45, 40, 75, 70, 90, 40].map(&:to_f))
      curve = nodes(line.merge("smooth" => true)).first.runs.first.each_slice(2).to_a
      [[30, 70], [45, 40], [75, 70], [90, 40]].each do |x, y|
        expect(curve.map { |px, py| Math.hypot(px - x, py - y) }.min).to be < 1e-9
      end
      # Catmull and Rom: at a place it runs as from the place before to the one after, here from (30, 70) to (75, 70).
      index = curve.index { |x, y| Math.hypot(x - 45, y - 40) < 1e-9 }
      before, after = curve[index - 1], curve[index + 1]
      expect((after[1] - before[1]).abs).to be < (after[0] - before[0]).abs * 0.5
    end

    it "ends in what is chosen, with its tip at the line's end and pointing along it" do
      line = {
        "kind" => "line",
        "last_end" => "head",
        "end_mm" => 6,
        "stroke" => {
          "width_mm" => 0.5
        },
        "points" => [[0, 0.5], [1, 0.5]]
      }
      shaft, head = nodes(line)
      expect(head.runs.first.first(2)).to match([be_within(1e-9).of(90), be_within(1e-9).of(55)])
      box = TileLoom::Geometry::Box.around(head.runs.first)
      expect([box.min_x, box.height]).to match([be_within(1e-9).of(84), be_within(1e-9).of(6 * 0.72)])
      # The shaft ends within the head, so that it does not blunt the tip.
      expect(shaft.runs.first[2]).to be_within(1e-9).of(90 - 6 * 0.9)
      up = nodes(line.merge("points" => [[0.5, 1], [0.5, 0]], "first_end" => "open"))
      expect(up.length).to eq(3)
      tip = up.last.runs.first.first(2)
      expect(tip).to match([be_within(1e-9).of(60), be_within(1e-9).of(40)])
      expect(TileLoom::Geometry::Box.around(up.last.runs.first).max_y).to be_within(1e-9).of(46)
    end

    TileLoom::Furniture::LineEnds.keys.each do |key|
      it "draws #{key} about the line's end" do
        drawn_end = nodes({"kind" => "line", "last_end" => key, "points" => [[0, 0.5], [1, 0.5]]}).last
        expect(TileLoom::Geometry::Box.around(drawn_end.runs.first).grow(0.001)).to satisfy { |box|
          90.between?(box.min_x, box.max_x) && 55.between?(box.min_y, box.max_y)
        }
      end
    end
  end

  # Its tip against where true north lies by GeographicLib's transverse Mercator, which shares no code with ours.
  it "turns a drawing of the book's own to the north that is chosen" do
    svg = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><path d='M5 0L6 10L4 10Z' fill='#a3211b'/></svg>"
    arrow = {"kind" => "north_arrow", "drawing" => "mine", "north" => "true", "letter" => ""}
    book, source = book_with_elements([arrow], markers: [{"id" => "mine", "title" => "Mine", "svg" => svg}])
    sheet = TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
    element = sheet.layout.elements.last
    tip = element.nodes(sheet, element.box(sheet.page)).first.runs.first.first(2)
    place = transverse_mercator_place(*sheet.view.middle, central: -9)
    expect(Math.atan2(tip[0] - 60, 55 - tip[1]) * 180 / Math::PI).to be_within(0.01).of(-place[:convergence])
    gone = book.settings.except("markers")
    expect { TileLoom::Document::Check.demand(gone) }.to invalid(/mine/, path: "/layout/elements/1/drawing")
  end
end
