# frozen_string_literal: true

require "app_helper"

RSpec.describe App::FeatureRows do
  before { empty_database }

  it "keeps quotes, backslashes and other scripts, and splits what is too much for one statement" do
    stub_const("App::FeatureRows::LARGEST", 600)
    book = kept_book
    names = ["O'Hara", 'back\\slash "quoted"', "Ωμέγα", "x'); DROP TABLE features; --", "line\nbreak", nil]
    items =
      names.each_with_index.map do |name, n|
        wkb = TileLoom::Geometry::Wkb.point(1.5 + n, 2.5)
        TileLoom::Data::FeatureReader::Original.new(n + 1, n + 1, wkb, {"name" => name})
      end
    layer = App::Layer.find_by!(book_id: book.id, key: "dams")
    App::Feature.where(layer_id: layer.id).delete_all
    described_class.insert(layer, TileLoom::Data::PackedBatch.of(items, items.map(&:wkb)))
    kept = App::Feature.where(layer_id: layer.id).order(:identity)
    expect(kept.map { |row| row.properties["name"] }).to eq(names)
    expect(kept.map { |row| TileLoom::Geometry::Wkb.each_run(row.original.to_s.b).first[1] }).to eq(
      (0..5).map { |n| [1.5 + n, 2.5] }
    )
  end
end
