# frozen_string_literal: true

# Against GEOS's own classes (ffi-geos) and what the system says of memory.
RSpec.describe TileLoom::Geometry::Geos do
  def wave(random, count) = (0...count).flat_map { |x| [x + random.rand, 40 * Math.sin(x / 7.0) + random.rand * 20] }

  # ffi-geos itself leaves what it writes behind.
  it "keeps nothing of what it has written" do
    line = described_class.read(TileLoom::Geometry::Wkb.line(wave(Random.new(1), 100_000)))
    used = -> { File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024 }
    10.times { described_class.write(line) }
    GC.start
    before = used.call
    300.times { described_class.write(line) }
    GC.start
    # In MB; written were 480.
    expect(used.call - before).to be < 120
  end

  it "trims lines and rings to a window as its classes do, one step after another" do
    random = Random.new(7)
    window = TileLoom::Geometry::Box.new(20, -15, 90, 25)
    trimming = TileLoom::Geometry::Trimming.new(window, 0.5)
    cut = ->(bytes) { described_class.read(bytes).clip_by_rect(window.min_x, window.min_y, window.max_x, window.max_y) }
    20.times do
      line = TileLoom::Geometry::Wkb.line(wave(random, 120))
      expect(trimming.lines(line)).to eq(described_class.write(cut[line].simplify(0.5)))
      ring =
        (0...60).flat_map do |step|
          [50, 0].zip([Math.cos(step / 9.55), Math.sin(step / 9.55)]).map { |m, d| m + d * (30 + random.rand * 9) }
        end
      area = TileLoom::Geometry::Wkb.polygon([ring + ring.first(2)])
      expect(trimming.rings(area)).to eq(described_class.write(cut[area].boundary.simplify(0.5)))
    end
    far = TileLoom::Geometry::Wkb.line([200.0, 0.0, 300.0, 0.0])
    near = TileLoom::Geometry::Wkb.line([30.0, 0.0, 40.0, 0.0])
    expect([trimming.lines(far), trimming.lines(near)]).to eq([nil, near])
    expect { trimming.lines("nothing") }.to raise_error(StandardError)
  end

  it "joins lines that run on into one another as GEOS merges lines, and leaves forks alone" do
    random = Random.new(3)
    30.times do
      whole = wave(random, 40)
      cuts = [0, *Array.new(4) { 1 + random.rand(38) }.uniq.sort, 39]
      parts = cuts.each_cons(2).map { |first, last| whole[first * 2..last * 2 + 1] }
      parts =
        parts.map { |run| (random.rand < 0.5) ? run : run.each_slice(2).to_a.reverse.flatten }.shuffle(random: random)
      # A burn that comes in from the side: three ends in one place.
      fork = whole[cuts[1] * 2, 2]
      side = fork + [fork[0] + 3, fork[1] + 90]
      [parts, parts + [side]].each do |runs|
        merged = TileLoom::Geometry::Wkb.collection(5, runs.map { |run| TileLoom::Geometry::Wkb.line(run) })
        expected =
          described_class.parts(described_class.read(merged).line_merge).map { |one| described_class.write(one) }
        expected = expected.map { |bytes| TileLoom::Geometry::Wkb.each_run(bytes).first[1] }
        found = TileLoom::Geometry::Chains.of(runs)
        either = ->(run) { [run.each_slice(2).to_a, run.each_slice(2).to_a.reverse].min }
        expect(found.map(&either).sort).to eq(expected.map(&either).sort)
      end
    end
  end
end
