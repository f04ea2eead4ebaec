# frozen_string_literal: true

RSpec.describe TileLoom::Geometry do
  wkb = TileLoom::Geometry::Wkb

  describe "well-known binary" do
    # OGC 06-103r4, 8.2: written by hand, and by GEOS, an independent writer.
    it "is what GEOS writes" do
      {
        "POINT (3 4)" => wkb.point(3.0, 4.0),
        "LINESTRING (0 0, 1 2, 5 5)" => wkb.line([0.0, 0.0, 1.0, 2.0, 5.0, 5.0]),
        "POLYGON ((0 0, 4 0, 4 4, 0 0), (2 1, 3 1, 3 2, 2 1))" =>
          wkb.polygon([[0.0, 0.0, 4.0, 0.0, 4.0, 4.0, 0.0, 0.0], [2.0, 1.0, 3.0, 1.0, 3.0, 2.0, 2.0, 1.0]]),
        "MULTIPOINT (1 2, 3 4)" => wkb.collection(4, [wkb.point(1.0, 2.0), wkb.point(3.0, 4.0)])
      }.each { |text, bytes| expect(TileLoom::Geometry::Geos.write(Geos::WktReader.new.read(text))).to eq(bytes), text }
    end

    it "gives its runs, and moves them all" do
      bytes = wkb.collection(7, [wkb.point(1.0, 2.0), wkb.polygon([[0.0, 0.0, 1.0, 0.0, 1.0, 1.0, 0.0, 0.0]])])
      expect(wkb.each_run(bytes).map { |type, coordinates, ring| [type, coordinates.length, ring] }).to eq(
        [[1, 2, false], [3, 8, true]]
      )
      moved = wkb.map(bytes) { |coordinates| coordinates.map { |number| number + 10 } }
      expect(wkb.each_run(moved).first[1]).to eq([11, 12])
      expect(moved.bytesize).to eq(bytes.bytesize)
    end

    it "refuses what is nested too deep or of an unknown kind" do
      deep = (1..12).reduce(wkb.point(0.0, 0.0)) { |inner, _| wkb.collection(7, [inner]) }
      expect { wkb.each_run(deep).to_a }.to invalid(/nested more than 8 deep/)
      expect { wkb.each_run([1, 15].pack("CV")).to_a }.to invalid(/type 15/)
      expect { wkb.each_run([0, 1].pack("CN")).to_a }.to invalid(/byte order/)
    end
  end

  describe "cutting a polyline by a box" do
    box = TileLoom::Geometry::Box.new(0, 0, 10, 10)
    cut = ->(line) { TileLoom::Geometry::SegmentClip.polyline(line, box) }

    # Worked by hand.
    it "keeps where it enters and leaves" do
      expect(cut.call([-5, 5, 15, 5])).to eq([[0, 5, 10, 5]])
      expect(cut.call([2, 2, 8, 8])).to eq([[2, 2, 8, 8]])
      expect(cut.call([5, 5, 5, 20, 8, 20, 8, 5])).to eq([[5, 5, 5, 10], [8, 10, 8, 5]])
      expect(cut.call([-5, 12, 15, 12])).to eq([])
      expect(cut.call([-4, 0, 0, -4])).to eq([])
    end

    # GEOS as the independent cutter.
    it "agrees with GEOS on random lines" do
      random = Random.new(3)
      100.times do
        line = Array.new(16) { random.rand(-10.0..20.0) }
        theirs = TileLoom::Geometry::Geos.read(wkb.line(line)).clip_by_rect(0, 0, 10, 10).length
        ours =
          cut
            .call(line)
            .sum { |piece| piece.each_slice(2).each_cons(2).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) } }
        expect(ours).to be_within(1e-9).of(theirs)
      end
    end
  end

  it "knows its boxes" do
    box = TileLoom::Geometry::Box.around([3, 1, 1, 5, 2, 2])
    expect(box.to_a).to eq([1, 1, 3, 5])
    expect(box.grow(1).to_a).to eq([0, 0, 4, 6])
    expect(box.intersects?(TileLoom::Geometry::Box.new(3, 5, 9, 9))).to be(true)
    expect(box.intersects?(TileLoom::Geometry::Box.new(3.1, 5, 9, 9))).to be(false)
    expect(box.union(TileLoom::Geometry::Box.new(0, 2, 1, 9)).to_a).to eq([0, 1, 3, 9])
  end
end
