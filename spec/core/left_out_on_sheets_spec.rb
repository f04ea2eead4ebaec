# frozen_string_literal: true

require "spec_helper"

# What has no room on a sheet is told with its numbers.
RSpec.describe "What a sheet leaves out" do
  def composer(height_mm: 30, label: nil)
    rules =
      (1..9).map do |n|
        {
          "title" => "Rule #{n}",
          "when" => {
            "op" => "=",
            "args" => [{"property" => "n"}, n]
          },
          "symbol" => {
            "marker" => {
              "shape" => "circle",
              "size_mm" => 2,
              "colour" => "#000000"
            }
          }
        }
      end
    settings = small_settings
    settings["layers"] << {
      "id" => "dams",
      "title" => "Dams",
      "visible" => true,
      "rules" => rules,
      "labels" => [label].compact
    }
    legend = settings["layout"]["elements"].find { |element| element["kind"] == "legend" }
    legend["place"] = {"left_mm" => 5, "top_mm" => 5, "width_mm" => 50, "height_mm" => height_mm}
    legend["pitch_mm"] = 5
    points =
      (1..9).map do |n|
        TileLoom::Data::Feature.new(
          id: n,
          wkb: TileLoom::Geometry::Wkb.point(402_300.0 + n, 6_528_300.0),
          attributes: {
            "n" => n,
            "name" => "Dam number #{n}"
          }
        )
      end
    source =
      TileLoom::Data::MemorySource.new("area" => [rectangle(402_000, 6_528_000, 402_600, 6_528_600)], "dams" => points)
    book = TileLoom::Document::Book.new(settings)
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: book.cells(source).first, count: 1)
  end

  it "says which rows of the legend have no room, as many as are not drawn" do
    told = composer(height_mm: 30).left_out
    expect(told).to eq(
      [
        "The legend fits 6 of 10 rows; left out: “Rule 3”, “Rule 2”, “Rule 1”, “Area”. Make it larger, let it shrink or take more columns, or let a second legend continue it."
      ]
    )
    drawn = ->(sheet) { TileLoom::Output::Svg.new(sheet.drawing).to_s.scan(/Rule \d/).uniq.length }
    expect([drawn[composer(height_mm: 30)], drawn[composer(height_mm: 50)], composer(height_mm: 50).left_out]).to eq(
      [6, 9, []]
    )
  end

  # Nine points a metre apart at 1:2,500 lie within 4 mm: one label has room.
  it "counts the labels that have no room" do
    label = {"field" => "name", "size_pt" => 9, "points" => {"leader" => false}}
    told = composer(height_mm: 60, label: label).left_out.join
    expect(told).to start_with("6 of 9 labels of Dams have no space on this sheet: “Dam number 2”")
  end
end
