# frozen_string_literal: true

require "app_helper"

# What the front end writes is what the core reads. Its own logic is tested beside it (web/src/**/*.test.ts).
RSpec.describe "The front end and the core" do
  # What the controls write is read by the core, which is checked against the standard on its own.
  describe "conditions from controls" do
    attributes =
      JSON.generate(
        [
          {name: "depth", type: "real"},
          {name: "name", type: "text"},
          {name: "seen", type: "date"},
          {name: "open", type: "boolean"}
        ]
      )
    features = {
      "a" => {
        "depth" => 5,
        "name" => "Black Hag 50%",
        "seen" => "2026-04-01",
        "open" => true
      },
      "b" => {
        "depth" => 12.5,
        "name" => "White hag",
        "seen" => "2025-01-01",
        "open" => false
      },
      "c" => {
        "name" => nil
      }
    }
    {
      {attribute: "depth", is: ">", value: 5} => %w[b],
      {attribute: "depth", is: "between", value: [5, 6]} => %w[a],
      {attribute: "depth", is: "missing", value: ""} => %w[c],
      {attribute: "depth", is: "there", value: ""} => %w[a b],
      {attribute: "name", is: "holds", value: "HAG"} => %w[a b],
      {attribute: "name", is: "starts", value: "White"} => %w[b],
      {attribute: "name", is: "holds", value: "50%"} => %w[a],
      {attribute: "name", is: "in", value: ["White hag", "x"]} => %w[b],
      {attribute: "seen", is: "before", value: "2026-01-01"} => %w[b],
      {attribute: "seen", is: "from", value: "2026-04-01"} => %w[a],
      {attribute: "open", is: "yes", value: ""} => %w[a],
      {attribute: "open", is: "no", value: ""} => %w[b]
    }.each do |test, met|
      it "#{test[:attribute]} #{test[:is]} #{test[:value]} goes out as CQL2, is met by the right features, and comes " \
           "back as it was" do
        tests = JSON.generate({all: true, list: [test]})
        cql, back =
          web(
            "fields/conditions.ts",
            "m.toCql(#{tests}, #{attributes})",
            "m.fromCql(m.toCql(#{tests}, #{attributes}), #{attributes})"
          )
        condition = TileLoom::Conditions::Condition.new(cql)
        condition.check_types({"depth" => "real", "name" => "text", "seen" => "date", "open" => "boolean"})
        expect(features.select { |_, feature| condition.match?(feature) }.keys).to eq(met)
        wanted = JSON.parse(tests)
        wanted["list"][0]["value"] = wanted["list"][0]["value"].downcase if test[:is] == "holds"
        expect(back).to eq(wanted)
      end
    end
  end

  # As the core has them (spec/core/operations_spec.rb), which does what the front end asks for.
  describe "operations on a document" do
    let(:core) { TileLoom::Document::Operations }

    def layers(*entries) = {"layers" => entries.map { |id, more| {"id" => id, "title" => id}.merge(more || {}) }}

    it "are those of the core, and do the same" do
      before = layers(["a"], ["b", {"list" => [1, 2]}], ["c"]).merge("title" => "x", "gone" => 1)
      after =
        layers(["c"], ["n"], ["a", {"title" => "First"}], ["b", {"list" => [3]}]).merge(
          "title" => "y",
          "a/b~" => {
            "p" => nil
          }
        )
      both = [before, after].map { |document| JSON.generate(document) }
      made = web("api/operations.ts", "m.between(#{both.join(", ")})")
      expect(made.reject { |operation| operation["op"] == "test" }).to match_array(core.between(before, after))
      expect(made).to include({"op" => "test", "path" => "/layers/b/list", "value" => [1, 2]})
      expect(core.applied(before, made)).to eq(after)
      done = core.between(before, after)
      expect(web("api/operations.ts", "m.applied(#{both.first}, #{JSON.generate(done)})")).to eq(after)
      back = core.between(after, before)
      expect(web("api/operations.ts", "m.applied(#{both.last}, #{JSON.generate(back)})")).to eq(before)
    end

    # A word is made bold before the answer to the text that was typed a moment ago is there.
    it "of one hand hold one after the other, and are of nothing but what it changed" do
      elements = ->(text, key = "Key") do
        {"elements" => [{"id" => "t", "text" => text}, {"id" => "u", "text" => key}]}
      end
      seen = elements["Text"]
      patch = elements["Skarrow <b>Moss</b>"]
      bold = web("api/operations.ts", "m.between(#{JSON.generate(seen)}, #{JSON.generate(patch)})")
      expect(core.applied(elements["Skarrow Moss", "Legend"], bold)).to eq(elements["Skarrow <b>Moss</b>", "Legend"])
    end

    it "test a list that is a value as a whole as it was seen, or as one left it oneself" do
      made = web("api/operations.ts", "m.between({p: {list: [1]}}, {p: {list: [1, 2]}})")
      expect { core.applied({"p" => {"list" => [7]}}, made) }.to raise_error(TileLoom::Refusal)
      own = web("api/operations.ts", "m.retested(#{JSON.generate(made)}, {p: {list: [7]}})")
      expect(core.applied({"p" => {"list" => [7]}}, own)).to eq({"p" => {"list" => [1, 2]}})
    end
  end
end
