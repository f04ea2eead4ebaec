# frozen_string_literal: true

# Where labels stand on the page: positions, courses, areas. Distances are worked out here from the figures that are
# drawn, not by the code that places.
RSpec.describe TileLoom::View::Labels::Placing do
  # One layer of features in page mm round (0, 0), which lies in the middle of a frame of 200 × 140 mm at 1:1,000, so
  # that a millimetre of the page is a metre.
  def result(features, label, symbol: {}, others: [], **options)
    layers = [layer("main", features, [label].flatten, symbol), *others]
    view = view()
    drawings =
      layers.map do |entry, list|
        TileLoom::View::LayerDrawing.new(layer: entry, features: list, view: view, tolerance_mm: 0.05)
      end
    described_class.new(view, drawings, **options).result
  end

  def view =
    TileLoom::View::FrameView.new(
      frame: TileLoom::Geometry::Box.at(0, 0, 200, 140),
      ground: TileLoom::Geometry::TurnedRectangle.new(0, 0, 200, 140, 0),
      crs: TileLoom::Crs::System.find("EPSG:25829")
    )

  def layer(id, features, labels, symbol = {})
    entry = {
      "id" => id,
      "title" => id.capitalize,
      "rules" => [{"title" => "", "symbol" => symbol}],
      "labels" =>
        labels.map { |label| JSON.parse(JSON.generate(label.key?(:text) ? label : label.merge(field: "name"))) }
    }
    [TileLoom::Symbology::Layer.new(JSON.parse(JSON.generate(entry))), features]
  end

  # x to the right and y upwards from the middle of the frame.
  def feature(wkb, name = "Moss", **more)
    @id = @id.to_i + 1
    TileLoom::Data::Feature.new(id: @id, wkb: wkb, attributes: {"name" => name}.merge(more.transform_keys(&:to_s)))
  end

  def point(x, y, name = "Moss") = feature(TileLoom::Geometry::Wkb.point(x.to_f, y.to_f), name)

  def line(coordinates, name = "Moss", **more) =
    feature(TileLoom::Geometry::Wkb.line(coordinates.map(&:to_f)), name, **more)

  def area(ring, name = "Moss") = feature(TileLoom::Geometry::Wkb.polygon([(ring + ring.first(2)).map(&:to_f)]), name)

  def circle(radius, from: 0, to: 2 * Math::PI, steps: 200) =
    (0..steps).flat_map do |step|
      angle = from + (to - from) * step / steps
      [radius * Math.cos(angle), radius * Math.sin(angle)]
    end

  def texts(result) = book_pages(result.nodes).reject { |node| node.is_a?(TileLoom::Scene::Path) }

  def book_pages(nodes) =
    nodes.flat_map { |node| node.is_a?(TileLoom::Scene::Group) ? book_pages(node.children) : [node] }

  # Of a text from the middle of the frame, x to the right and y up.
  def place(text) = [text.x - 100, 70 - text.y]

  # The foot of a letter: the middle of its advance on the baseline, from the middle of the frame, y up.
  def feet(text)
    text.letters.map do |letter|
      angle = letter.rotation_deg * Math::PI / 180
      [letter.x + Math.cos(angle) * letter.advance / 2 - 100, 70 - letter.y - Math.sin(angle) * letter.advance / 2]
    end
  end

  marker = {marker: {shape: "circle", size_mm: 2, colour: "#000000"}}

  describe "of points" do
    # Common practice (E. Imhof): right of the symbol and a little above it is best.
    it "are upper right of the symbol, clear of it by the gap" do
      x, y = place(texts(result([point(0, 0)], {points: {gap_mm: 1}}, symbol: marker)).first)
      expect([x, y]).to all(be_within(1e-9).of(Math.sqrt(0.5) + 1))
    end

    it "go round the symbol in the order that is asked for" do
      width = TileLoom::Type::Library.face("sans").width_mm("Moss", 7)
      found =
        %w[right left above below centred upper_left lower_right].to_h do |position|
          text = texts(result([point(0, 0)], {points: {positions: [position], gap_mm: 1}}, symbol: marker)).first
          [position, place(text)]
        end
      cap = TileLoom::Type::Library.face("sans").cap_height_mm(7)
      expect(found["right"]).to match([be_within(1e-9).of(2), be_within(1e-9).of(-cap / 2)])
      expect(found["left"][0]).to be_within(1e-9).of(-2 - width)
      expect(found["above"]).to match([be_within(1e-9).of(-width / 2), be_within(1e-9).of(2)])
      expect(found["below"][1]).to be_within(1e-9).of(-2 - cap)
      expect(found["upper_left"][0] + width).to be_within(1e-9).of(-Math.sqrt(0.5) - 1)
      expect(found["lower_right"][1] + cap).to be_within(1e-9).of(-Math.sqrt(0.5) - 1)
    end

    it "hide no symbol, of their own layer or of another, and are moved away with a leader instead" do
      ring = (0...8).map { |step| point(5 * Math.cos(step * 0.785), 5 * Math.sin(step * 0.785), "") }
      centre = point(0, 0, "Skarrow Moss")
      found = result([centre, *ring], {size_pt: 10}, symbol: marker)
      text = texts(found).first
      leader = book_pages(found.nodes).grep(TileLoom::Scene::Path).first
      expect(leader.runs.first.length).to eq(4)
      x, y = place(text)
      width, cap = text.face.width_mm("Skarrow Moss", 10), text.face.cap_height_mm(10)
      ring.each do |one|
        px, py = one.wkb.unpack("@5EE")
        expect(px.between?(x - 1, x + width + 1) && py.between?(y - 1, y + cap + 1)).to be(false)
      end
      # One that may stand over symbols stays beside its own.
      free =
        TileLoom::Symbology::Layer.new(layer("main", [], [{size_pt: 10}], marker)[0].given.merge("avoidance" => 0))
      drawing = TileLoom::View::LayerDrawing.new(layer: free, features: [centre, *ring], view: view, tolerance_mm: 0.05)
      expect(book_pages(described_class.new(view, [drawing]).result.nodes).grep(TileLoom::Scene::Path)).to be_empty
    end

    it "are wholly in the frame, clear of what is taken, and otherwise told" do
      corner = result([point(99, 69)], {}, symbol: marker)
      x, y = place(texts(corner).first)
      width = TileLoom::Type::Library.face("sans").width_mm("Moss", 7)
      expect([x + width, y]).to match([be < 100, be < 70])
      taken = [TileLoom::Geometry::Box.at(90, 60, 20, 20)]
      label = {points: {leader: false}}
      lost = result([point(0, 0, "A long name")], label, symbol: marker, taken: taken)
      expect([texts(lost), lost.unplaced.map { |one| [one.title, one.string, one.x, one.y] }]).to eq(
        [[], [["Main", "A long name", 100.0, 70.0]]]
      )
    end

    it "have several lines, an abbreviation where the full text has no room, and the case that is asked for" do
      lines =
        result([point(0, 0, "Saint Moss")], {text: "{{ name | upcase }}\n{{ name }}", letter_case: "as_written"})
      expect(texts(lines).map(&:string)).to eq(["SAINT MOSS", "Saint Moss"])
      short = {abbreviations: [{full: "Saint", short: "St"}], points: {leader: false}}
      expect(texts(result([point(0, 0, "Saint Moss")], short)).map(&:string)).to eq(["Saint Moss"])
      # Room for 8 mm on either side alone: the full name is wider.
      walls = [TileLoom::Geometry::Box.at(0, 0, 91, 140), TileLoom::Geometry::Box.at(109, 0, 91, 140)]
      narrow =
        result(
          [point(0, 0, "Saint Mo")],
          short.merge(size_pt: 8, points: {leader: false, positions: ["right"]}),
          taken: walls
        )
      expect(texts(narrow).map(&:string)).to eq(["St Mo"])
      expect(texts(result([point(0, 0, "Saint Mo")], {letter_case: "capitals"})).map(&:string)).to eq(["SAINT MO"])
    end

    it "fill their text in from their own feature alone" do
      label = {text: "{% if name == 'Bield' %}{% assign kind = 'hut' %}{% endif %}{{ name }} {{ kind }}"}
      found = result([point(-50, 0, "Bield"), point(0, 0, "Moss"), point(50, 0, "Bield")], label)
      expect(texts(found).map(&:string)).to eq(["Bield hut", "Moss", "Bield hut"])
    end

    it "have but one for points that belong together" do
      all = [point(-20, 0), point(0, 0), point(21, 0)]
      found = result(all, {together: true, points: {positions: ["centred"]}})
      expect(texts(found).length).to eq(1)
      expect(place(texts(found).first)[0]).to be_between(-6, 0)
    end
  end

  describe "of lines" do
    # Feet of letters over an arc of 60 mm radius stand on an arc of that radius and the rise.
    it "follow the course: no foot is off by more than 0.15 mm" do
      [[0.4, 2.7, :+], [3.6, 5.9, :-]].each do |from, to, sign|
        arc = line(circle(60, from: to, to: from), "Lower Skarrow Water")
        %w[above below on].each do |position|
          label = {lines: {position: position, gap_mm: 1, repeat_mm: 500}, size_pt: 9}
          text = texts(result([arc], label, symbol: {strokes: [{width_mm: 0.4}]})).first
          expect(text).to be_a(TileLoom::Scene::CurvedText)
          face = TileLoom::Type::Library.face("sans")
          low = 0.0
          low = -face.ink(text.string).first * 9 * 25.4 / 72 if position == "above"
          rise =
            {
              "above" => 0.2 + 1 + low,
              "below" => -(0.2 + 1 + face.cap_height_mm(9)),
              "on" => -face.cap_height_mm(9) / 2
            }[
              position
            ]
          radius = 60.public_send(sign, rise)
          expect(feet(text).map { |x, y| (Math.hypot(x, y) - radius).abs }.max).to be < 0.15
          expect(text.letters.map(&:text).join).to eq("Lower Skarrow Water")
        end
      end
    end

    it "are upright for the reader whichever way the line runs, and read upwards where it is steep" do
      [[-60, 0, 60, 8], [60, 8, -60, 0], [-60, 8, 60, 0], [60, 0, -60, 8]].each do |run|
        angles = texts(result([line(run)], {})).first.letters.map(&:rotation_deg)
        expect(angles.map(&:abs).max).to be < 10
      end
      steep = texts(result([line([0, 50, 3, -50])], {})).first.letters.map(&:rotation_deg)
      expect(steep).to all(be_between(-100, -80))
    end

    it "stand on a straight leg, not over a sharp bend" do
      corner = line([-60, -20, 0, -20, 0, 40], "Skarrow Water")
      spread = texts(result([corner], {})).first.letters.map(&:rotation_deg)
      expect(spread.max - spread.min).to be < 25
      # No leg is as long as the text: nothing stands along it.
      zigzag = line((-10..10).flat_map { |step| [step * 3, step.even? ? 0 : 8] }, "Skarrow Water")
      expect(texts(result([zigzag], {lines: {position: "on"}}))).to be_empty
    end

    it "come again along a long line, alike in any part of it" do
      run = (-300..300).flat_map { |x| [x, 12 * Math.sin(x / 40.0)] }
      whole = texts(result([line(run)], {lines: {repeat_mm: 60}})).map { |text| feet(text).first }
      expect(whole.length).to be_between(3, 4)
      gaps = whole.map(&:first).sort.each_cons(2).map { |one, other| other - one }
      expect(gaps.min).to be > 30
    end

    it "interrupt a contour for its value, with the top uphill" do
      heights =
        [100, 110, 120].each_with_index.map do |value, index|
          line([-90, -30 + index * 30, 90, -30 + index * 30], value)
        end
      # The hill lies above on the page; then below.
      [
        [heights, 0],
        [heights.map { |one| one.with(attributes: {"name" => 220 - one.attributes["name"]}) }, 180]
      ].each do |lines, angle|
        rule = {lines: {position: "on", breaks: true, top: "uphill", repeat_mm: 300}}
        found = result(lines, rule, symbol: {strokes: [{width_mm: 0.2}]})
        turned = texts(found).flat_map { |text| text.letters.map { |letter| letter.rotation_deg.round.abs } }
        expect([turned.uniq, turned.length]).to eq([[angle], 9])
        cut = TileLoom::View::Labels::LineBreaks.new(found.holes["main"]).cut([[10.0, 70.0, 190.0, 70.0]])
        # By GEOS: what is left of the line does not come near the value.
        boxes = found.holes["main"].map { |ring| TileLoom::Geometry::Geos.polygon(ring) }
        rest = cut.map { |run| TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.line(run)) }
        expect(cut.length).to eq(2)
        expect(boxes.product(rest).map { |box, one| box.distance(one) }.min).to be_between(0.3, 0.8)
      end
    end

    it "do not fail over texts that take no room" do
      ["\u200b", "\u0301", "ill"].product(%w[curved straight level])
        .each do |string, course|
          run = line([-90, 0, 90, 5], string)
          found = result([run], {letter_spacing_pt: -5, lines: {course: course}})
          expect(found.placed.length).to eq(1)
        end
    end

    it "run on over parts of the same name" do
      parts = [line([-90, 0, -30, 0]), line([-30, 0, 30, 0]), line([30, 0, 90, 0])]
      expect(texts(result(parts, {lines: {repeat_mm: 400}})).length).to eq(3)
      joined = texts(result(parts, {together: true, lines: {repeat_mm: 400}}))
      expect(joined.length).to eq(1)
      expect(feet(joined.first).sum { |x, _| x } / 4).to be_within(1).of(0)
    end
  end

  describe "of areas" do
    it "are level at the widest place" do
      # A bottle whose body lies below.
      bottle = area([-40, -50, 40, -50, 40, -20, 6, 0, 6, 50, -6, 50, -6, 0, -40, -20])
      x, y = place(texts(result([bottle], {size_pt: 12})).first)
      width = TileLoom::Type::Library.face("sans").width_mm("Moss", 12)
      expect(x + width / 2).to be_within(0.5).of(0)
      expect(y).to be_between(-50, -20)
    end

    it "lie along the long axis, letterspaced over it, and bend with the middle" do
      tilted = ->(degrees) do
        map = TileLoom::Geometry::Affine.turn(degrees, 0, 0)
        map.map([-60, -8, 60, -8, 60, 8, -60, 8])
      end
      straight = texts(result([area(tilted[30])], {areas: {course: "axis"}})).first
      expect(straight.rotation_deg).to be_within(0.01).of(-30)
      spaced =
        texts(result([area(tilted[0])], {areas: {course: "axis", letterspaced: true, maximum_spacing: 20}})).first
      width = spaced.face.width_mm("Moss", 7, tracking_pt: spaced.tracking_pt) - spaced.tracking_pt * 25.4 / 72
      expect(width).to be_within(1).of(120 * 0.66)
      outer, inner = circle(60, from: 0.4, to: 2.7), circle(44, from: 2.7, to: 0.4)
      bent = texts(result([area(outer + inner, "Skarrow")], {areas: {course: "curved"}, size_pt: 10})).first
      middle = feet(bent).map { |x, y| Math.hypot(x, y) + bent.face.cap_height_mm(10) / 2 }
      expect(middle).to all(be_within(0.6).of(52))
    end

    it "stand beside one that is too small, and nowhere if that is not wanted and the room is taken" do
      tiny = area([-1, -1, 1, -1, 1, 1, -1, 1], "A tiny lochan")
      hole = TileLoom::Geometry::Box.at(98.8, 68.8, 2.4, 2.4)
      found = result([tiny], {}, taken: [hole])
      x, = place(texts(found).first)
      expect(x).to(satisfy { |left| left > 1 || left < -10 })
      expect(result([tiny], {areas: {outside: false}}, taken: [hole]).unplaced.map(&:string)).to eq(
        ["A tiny lochan"]
      )
    end
  end
end
