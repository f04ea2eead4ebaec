# frozen_string_literal: true

# What is refused says so in one place: the code knows codes and values, the catalogue the wording.
RSpec.describe TileLoom::Sentences do
  def calls = @calls ||= CodedCalls.new(Dir[File.join(TileLoom::ROOT, "{lib,app}/**/*.rb")])

  def wanted(code) = described_class.all.fetch(code).scan(/%\{(\w+)\}/).flatten.map(&:to_sym).uniq

  it "has a sentence for each code that is used, and none that is not" do
    expect(calls.all.length).to be > 250
    expect(calls.all.reject { |call| described_class.all.key?(call.code) }).to be_empty
    unused = described_class.all.keys.reject { |code| calls.texts.include?(code) || code.start_with?("schema.") }
    expect(unused).to be_empty
  end

  # A method `refuse` of a class gives the name of the file itself.
  it "has in a sentence the values that come with its code, no others" do
    wrong =
      calls
        .all
        .reject(&:splat)
        .reject do |call|
          lacking = wanted(call.code) - call.values - ((call.called == :refuse) ? [:name] : [])
          lacking.empty? && (call.values - wanted(call.code)).empty?
        end
    expect(wrong).to be_empty
  end

  it "writes every sentence out, from its first letter to its full stop" do
    expect(described_class.all.values).to all(match(/\A(\p{Lu}|“|%|its? )/).and(match(/[.?…]\z|%\{\w+\}\z/)))
  end

  it "refuses a code without a sentence, and a sentence without its values" do
    expect { TileLoom::Refusal.new("index.unheard_of") }.to raise_error(KeyError)
    expect { TileLoom::Refusal.new("book.date") }.to raise_error(KeyError)
  end

  it "says what a refusal is about to programs and to people" do
    refusal = TileLoom::Refusal.new("book.date", date: "2026-02-30").at("/date")
    expect(refusal.to_h).to eq(
      code: "book.date",
      values: {
        date: "2026-02-30"
      },
      path: "/date",
      message: "“2026-02-30” is not a day of the calendar."
    )
    expect(refusal.at("/elsewhere").pointer).to eq("/date")
  end

  it "is another thing than a failure of ours" do
    expect(TileLoom::Failure.new("output.process_stopped", index: 3)).not_to be_a(TileLoom::Refusal)
    expect {
      TileLoom::Failure.new("output.process_stopped", index: 3).then { |failure| raise failure }
    }.to raise_error(/before sheet 3/)
  end
end
