# frozen_string_literal: true

# Norths that are drawn together (common practice on topographic sheets): angles as they are, or marked.
RSpec.describe TileLoom::Furniture::NorthFan do
  let(:box) { TileLoom::Geometry::Box.new(10, 10, 40, 35) }

  # Degrees on the page of true, grid and magnetic north.
  def fan(*angles) =
    described_class.new(
      %w[true grid magnetic].zip(angles).to_h.compact,
      box,
      face: TileLoom::Type::Library.face("sans"),
      size_pt: 6.5,
      colour: "#000000"
    )

  # Degrees clockwise from the page's upper edge of each shaft, by what is drawn.
  def drawn(fan)
    fan
      .nodes
      .select { |node| node.is_a?(TileLoom::Scene::Path) && !node.closed }
      .map do |path|
        x1, y1, x2, y2 = path.runs.first
        (Math.atan2(x2 - x1, y1 - y2) * 180 / Math::PI).round(6)
      end
  end

  it "draws no angle where there is none, and says nothing of scale then" do
    same = fan(0.0, 0.0, 20.0)
    expect(drawn(same)).to eq([0, 0, 20])
    expect(same.widened?).to be(false)
    near = fan(0.0, 0.004)
    expect([drawn(near), near.widened?]).to eq([[0, 0], false])
    both = fan(3.0, 3.0, 3.0)
    expect([drawn(both).uniq, both.widened?]).to eq([[3.0], false])
  end

  it "draws angles as they are where there is room, and says so where there is not" do
    wide = fan(0.0, -40.0, 30.0)
    expect([drawn(wide), wide.widened?]).to eq([[0, 30, -40], false])
    close = fan(0.0, 1.0, 2.0)
    one, two = drawn(close)[1..]
    expect([one > 1, two > one, close.widened?]).to eq([true, true, true])
  end

  it "keeps to its room whatever way the norths lie, beyond 90° too" do
    [-170, -100, -45, 0, 60, 90, 135, 180].product([0, 95, 170, -120], [nil, 12, -150])
      .each do |turn, grid, magnetic|
        found = fan(turn.to_f, (turn + grid).to_f, magnetic && (turn + magnetic).to_f).nodes
        places =
          found.flat_map do |node|
            if node.is_a?(TileLoom::Scene::Text)
              [
                node.x,
                node.y,
                node.x + node.face.width_mm(node.string, node.size_pt),
                node.y - node.face.cap_height_mm(node.size_pt)
              ]
            else
              node.runs.flatten
            end
          end
        expect(
          TileLoom::Geometry::Box.around(places).to_a.zip(box.to_a).map { |have, room| (have - room).round(6) }
        ).to match([be >= 0, be >= 0, be <= 0, be <= 0]),
          [turn, grid, magnetic].inspect
      end
  end

  it "lays no letters over one another or over the star" do
    [[0, 0, 0], [0, 0, 5], [0, 0, -5], [0, 5, 5], [0, -3, 3], [0, -3, -3.001], [0, 1, 12]].each do |angles|
      texts =
        fan(*angles.map(&:to_f))
          .nodes
          .grep(TileLoom::Scene::Text)
          .map do |text|
            TileLoom::Geometry::Box.new(
              text.x,
              text.y - text.face.cap_height_mm(text.size_pt),
              text.x + text.face.width_mm(text.string, text.size_pt),
              text.y
            )
          end
      expect(texts.combination(2).none? { |one, other| one.intersects?(other) }).to be(true), angles.inspect
      shafts = fan(*angles.map(&:to_f)).nodes.grep(TileLoom::Scene::Path).reject(&:closed).flat_map(&:runs)
      expect(texts.product(shafts).none? { |box, run| TileLoom::Geometry::SegmentClip.polyline(run, box).any? }).to be(
        true
      ),
        angles.inspect
    end
  end
end
