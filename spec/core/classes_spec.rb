# frozen_string_literal: true

RSpec.describe TileLoom::Symbology::Classes do
  # d3-array and simple-statistics (npm), which share no code with ours, run by node.
  def node(program) =
    JSON.parse(outside("node", "--input-type=module", "-e", program, chdir: File.join(TileLoom::ROOT, "web")))

  def breaks(values, way, count) = described_class.new(values, way: way, count: count).breaks

  random = Random.new(5)
  samples = {
    "heights with gaps" => Array.new(60) { |i| ((i % 3) * 40 + random.rand * 12).round(2) },
    "a long tail" => Array.new(200) { (Math.exp(random.rand * 6) * 10).round(1) },
    "whole numbers, many the same" => Array.new(150) { random.rand(12) },
    "below zero" => Array.new(80) { ((random.rand - 0.7) * 1000).round(3) }
  }

  samples.each do |name, values|
    (2..7).each do |count|
      it "finds the natural breaks of #{name} in #{count} classes as simple-statistics’ ckmeans does" do
        theirs =
          node(
            "import {ckmeans} from 'simple-statistics'; console.log(JSON.stringify(ckmeans(#{JSON.generate(values)}, " \
            "#{count}).map(c => c[0])))"
          )
        ours = breaks(values, "natural", count)
        expect(spread(values, ours)).to be_within(1e-6).of(spread(values, theirs + [values.max]))
      end
    end

    it "cuts #{name} into quantiles as d3-array does" do
      theirs =
        node(
          "import {quantile} from 'd3-array'; const v=#{JSON.generate(values)}; " \
          "console.log(JSON.stringify([0,.2,.4,.6,.8,1].map(p => quantile(v, p))))"
        )
      expect(breaks(values, "quantile", 5)).to match(theirs.uniq.map { |value| be_within(1e-9).of(value) })
    end

    it "puts round breaks of #{name} on a step of 1, 2 or 5" do
      found = breaks(values, "round", 5)
      step = found[1] - found[0]
      expect((step / 10.0**Math.log10(step).floor).round(6)).to eq(1).or eq(2).or eq(5)
      expect(found.first).to be <= values.min
      expect(found.last).to be >= values.max
      expect(found.length).to be_between(4, 8)
    end
  end

  # The sum of squared distances to the means of the classes: what natural breaks make least.
  def spread(values, bounds)
    classes = values.group_by { |value| bounds[1..-2].count { |bound| value >= bound } }.values
    classes.sum { |list| list.sum { |value| (value - list.sum.fdiv(list.length))**2 } }
  end

  # A hand-worked case (common practice): 0 to 100 in four classes of 25.
  it "makes classes of the same width" do
    expect(breaks([0, 3, 50, 100], "equal", 4)).to eq([0, 25, 50, 75, 100])
  end

  it "puts every value into exactly one class, the largest too" do
    TileLoom::Symbology::Breaks.keys.each do |way|
      list = described_class.new(samples["a long tail"], way: way, count: 6).list
      expect(list.sum(&:count)).to eq(200)
      hits =
        samples["a long tail"].map do |value|
          list.count { |entry| TileLoom::Conditions::Condition.new(entry.condition("v")).match?({"v" => value}) }
        end
      expect(hits.uniq).to eq([1])
    end
  end

  it "does with one value, and refuses none, too many classes and unknown ways" do
    expect(described_class.new([4, 4], way: "quantile", count: 5).list.map(&:count)).to eq([2])
    expect { breaks(["a", nil], "equal", 3) }.to invalid(/has no numbers/)
    expect { breaks([1], "equal", 99) }.to invalid(/from 1 to 12/)
    expect { breaks([1], "golden", 3) }.to invalid(/not a classification method/)
  end
end
