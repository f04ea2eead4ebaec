# frozen_string_literal: true

# Operations on a document. The oracle of both ways is the documents themselves: from any to any other and back.
RSpec.describe TileLoom::Document::Operations do
  def between(one, other) = described_class.between(one, other)

  def applied(document, operations) = described_class.applied(document, JSON.parse(JSON.generate(operations)))

  let(:document) do
    {
      "title" => "Moss",
      "layers" => [
        {"id" => "a", "labels" => [{"id" => "r1", "size_pt" => 8}, {"id" => "r2", "size_pt" => 9}]},
        {"id" => "b", "opacity" => 1},
        {"id" => "c", "limits" => [1, 2, 3]}
      ]
    }
  end

  def changed = JSON.parse(JSON.generate(document)).tap { |copy| yield copy }

  it "name the entry that is changed by its id, and say nothing of the others" do
    other = changed { |copy| copy["layers"][0]["labels"][1]["size_pt"] = 12 }
    expect(between(document, other)).to eq(
      [{"op" => "replace", "path" => "/layers/a/labels/r2/size_pt", "value" => 12}]
    )
    other = changed { |copy| copy["layers"].unshift(copy["layers"].pop) }
    expect(between(document, other)).to eq([{"op" => "move", "path" => "/layers/c", "before" => "a"}])
    other = changed { |copy| copy["layers"].insert(1, {"id" => "n"}) && copy.delete("title") }
    expect(between(document, other)).to eq(
      [
        {"op" => "remove", "path" => "/title"},
        {"op" => "add", "path" => "/layers/n", "value" => {"id" => "n"}, "before" => "b"}
      ]
    )
    other = changed { |copy| copy["layers"][2]["limits"] = [1, 5] }
    expect(between(document, other)).to eq([{"op" => "replace", "path" => "/layers/c/limits", "value" => [1, 5]}])
  end

  it "go together where they are of different things, whoever comes first" do
    mine = between(document, changed { |copy| copy["layers"][0]["labels"][0]["size_pt"] = 5 })
    theirs =
      between(
        document,
        changed do |copy|
          copy["layers"][0]["labels"][1]["size_pt"] = 6
          copy["layers"] = [copy["layers"][2], {"id" => "n"}, copy["layers"][0]]
        end
      )
    both = applied(applied(document, theirs), mine)
    expect(both).to eq(applied(applied(document, mine), theirs))
    expect(both["layers"].map { |layer| layer["id"] }).to eq(%w[c n a])
    expect(both["layers"].last["labels"].map { |rule| rule["size_pt"] }).to eq([5, 6])
  end

  # RFC 6901, 5, has these names of members and their pointers.
  it "write paths as JSON pointers" do
    names = {"" => "/", "a/b" => "/a~1b", "m~n" => "/m~0n", " " => "/ ", "c%d" => "/c%d"}
    names.each do |name, pointer|
      made = between({name => 1}, {name => 2})
      expect(made.map { |operation| operation["path"] }).to eq([pointer])
      expect(applied({name => 1}, made)).to eq({name => 2})
    end
  end

  it "refuse what is not there, what is there already, and a test that fails, and leave the document as it was" do
    before = JSON.generate(document)
    {
      {"op" => "replace", "path" => "/layers/x/opacity", "value" => 1} => /“layers › x › opacity” is no longer there/,
      {"op" => "remove", "path" => "/layers/c/nothing"} => /no longer there/,
      {"op" => "replace", "path" => "/layers/c/limits/0", "value" => 7} => /no longer there/,
      {"op" => "move", "path" => "/title"} => /no longer there/,
      {"op" => "add", "path" => "/layers/a", "value" => {"id" => "a"}} => /There is “a” already/,
      {"op" => "add", "path" => "/layers/x", "value" => {"id" => "y"}} => /must have that id/,
      {"op" => "test", "path" => "/layers/c/limits", "value" => [1]} => /changed by someone else/
    }.each { |operation, sentence| expect { applied(document, [operation]) }.to invalid(sentence) }
    expect(applied(document, [{"op" => "test", "path" => "/layers/c/limits", "value" => [1, 2, 3]}])).to eq(document)
    expect(JSON.generate(document)).to eq(before)
  end

  it "put an entry last where the one is gone that it was to come before" do
    found = applied(document, [{"op" => "move", "path" => "/layers/a", "before" => "gone"}])
    expect(found["layers"].map { |layer| layer["id"] }).to eq(%w[b c a])
  end

  def some(random, depth = 0)
    case random.rand((depth > 3) ? 3 : 6)
    when 0
      random.rand(5)
    when 1
      %w[x y ~/ é].sample(random: random)
    when 2
      [nil, true, 1.5].sample(random: random)
    when 3
      %w[a b c ~1].sample(random.rand(4), random: random).to_h { |name| [name, some(random, depth + 1)] }
    when 4
      Array.new(random.rand(3)) { some(random, depth + 1) }
    else
      %w[p q r s t].sample(random.rand(6), random: random).map { |id| {"id" => id, "v" => some(random, depth + 1)} }
    end
  end

  it "lead from any document to any other, and back" do
    400.times do |seed|
      random = Random.new(seed)
      one, other = Array.new(2) { {"d" => some(random), "list" => some(random)} }
      expect(applied(one, between(one, other))).to eq(other), "seed #{seed}"
      expect(applied(other, between(other, one))).to eq(one), "seed #{seed}"
      expect(between(one, one)).to eq([])
    end
  end
end
