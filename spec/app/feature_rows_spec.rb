# frozen_string_literal: true

require "app_helper"

RSpec.describe App::FeatureRows do
  before { empty_database }

  it "keeps quotes, backslashes and other scripts, and splits what is too much for one statement" do
    stub_const("App::FeatureRows::LARGEST", 600)
    book = kept_book
    names = ["O'Hara", 'back\\slash "quoted"', "Ωμέγα", "x'); DROP TABLE features; --", "line\nbreak", nil]
    features =
      names.each_with_index.map do |name, n|
        TileLoom::Data::Feature.new(
          id: n + 1,
          wkb: TileLoom::Geometry::Wkb.point(1.5 + n, 2.5),
          attributes: {
            "name" => name
          }
        )
      end
    layer = App::Layer.find_by!(book_id: book.id, key: "dams")
    App::Feature.where(layer_id: layer.id).delete_all
    described_class.insert(layer, features)
    kept = App::Feature.where(layer_id: layer.id).order(:identity)
    expect(kept.map { |row| row.properties["name"] }).to eq(names)
    expect(kept.map { |row| TileLoom::Geometry::Wkb.each_run(row.original.to_s.b).first[1] }).to eq(
      (0..5).map { |n| [1.5 + n, 2.5] }
    )
  end
end
