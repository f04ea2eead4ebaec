# frozen_string_literal: true

require "app_helper"

RSpec.describe App::MergePatch do
  # RFC 7396, appendix A: the table of examples.
  [
    [{"a" => "b"}, {"a" => "c"}, {"a" => "c"}],
    [{"a" => "b"}, {"b" => "c"}, {"a" => "b", "b" => "c"}],
    [{"a" => "b"}, {"a" => nil}, {}],
    [{"a" => "b", "b" => "c"}, {"a" => nil}, {"b" => "c"}],
    [{"a" => ["b"]}, {"a" => "c"}, {"a" => "c"}],
    [{"a" => "c"}, {"a" => ["b"]}, {"a" => ["b"]}],
    [{"a" => {"b" => "c"}}, {"a" => {"b" => "d", "c" => nil}}, {"a" => {"b" => "d"}}],
    [{"a" => [{"b" => "c"}]}, {"a" => [1]}, {"a" => [1]}],
    [%w[a b], %w[c d], %w[c d]],
    [{"a" => "b"}, ["c"], ["c"]],
    [{"a" => "foo"}, nil, nil],
    [{"a" => "foo"}, "bar", "bar"],
    [{"e" => nil}, {"a" => 1}, {"e" => nil, "a" => 1}],
    [[1, 2], {"a" => "b", "c" => nil}, {"a" => "b"}],
    [{}, {"a" => {"bb" => {"ccc" => nil}}}, {"a" => {"bb" => {}}}]
  ].each do |target, patch, result|
    it("turns #{target} by #{patch} into #{result}") { expect(described_class.apply(target, patch)).to eq(result) }
  end
end

RSpec.describe App::BookChanges do
  before { empty_database }

  let(:book) { kept_book }

  def change(patch, label: "Test") = described_class.new(book).apply(patch, label: label)

  it "records what was before and after, once for each change that changes anything" do
    change({"title" => "Other"})
    change({"title" => "Other"})
    expect(App::Edit.count).to eq(1)
    title = ->(value) { [{"op" => "replace", "path" => "/title", "value" => value}] }
    expect(App::Edit.first.slice("operations", "inverse").values).to eq([title["Other"], title["Test moss"]])
  end

  it "rebuilds the index when scale, overlap or study area changes, and not for a title or a style" do
    ids_now = -> { book.reload.index.cells.pluck(:id) }
    ids = ids_now.call
    change({"title" => "Other"})
    layers = document_of(book)["layers"]
    layers[0]["rules"][0]["title"] = "Moss"
    change({"layers" => layers})
    expect(ids_now.call).to eq(ids)
    [
      {"index" => {"overlap_mm" => 9}},
      {"index" => {"scale" => 2000}},
      {"index" => {"scale" => 2500}},
      {"index" => {"area" => "dams"}}
    ].each do |patch|
      before = ids_now.call
      change(patch)
      expect(ids_now.call & before).to be_empty
    end
    expect(book.index.cells.first.to_core.ground.width).to be_within(1e-9).of(book.core.layout.frame_box.width * 2.5)
  end

  it "keeps the features of a layer that was taken out, so that undo brings it back" do
    change({"layers" => book.document["layers"].first(1)})
    expect(book.reload.document["layers"].map { |layer| layer["id"] }).to eq(["area"])
    expect(App::FeatureBatch.sum(:feature_count)).to eq(21)
    described_class.new(book).undo
    expect(book.reload.document["layers"].map { |layer| layer["id"] }).to eq(%w[area dams])
  end

  it "undoes many steps and redoes them all to the same document" do
    settings = [book.document]
    [
      {"title" => "A"},
      {"index" => {"scale" => 5000}},
      {"layout" => {"page" => {"size" => "A4"}}},
      {"index" => {"buffer" => "20 m"}}
    ].each do |patch|
      change(patch)
      settings << book.reload.document
    end
    (settings.length - 2).downto(0) do |step|
      expect(described_class.new(book).undo.reload.document).to eq(settings[step])
    end
    described_class.new(book).undo
    expect(book.reload.document).to eq(settings.first)
    1.upto(settings.length - 1) { |step| expect(described_class.new(book).redo.reload.document).to eq(settings[step]) }
  end

  it "leaves nothing half-written when generating cells fails at the end" do
    before = book.document
    allow_any_instance_of(App::GridIndex).to receive(:keep).and_raise("no ink")
    expect { change({"index" => {"scale" => 5000}}) }.to raise_error("no ink")
    expect(App::Book.find(book.id).document).to eq(before)
    expect(App::Edit.count).to eq(0)
  end
end
