# frozen_string_literal: true

# Documents of version 1 are read as what they say in version 2: another name for each thing, angles clockwise.
RSpec.describe TileLoom::Document::Upgrade do
  def old_grid(**more) =
    {
      "id" => "g",
      "reference" => "utm",
      "wished_mm" => 30,
      "major" => {
        "every" => 5
      },
      "under" => true,
      "drawn_on" => "turned",
      "stroke" => {},
      "labels" => {
        "sides" => ["top"],
        "place" => "inside",
        "turn" => "upright",
        "families" => "own",
        "distance_mm" => 2,
        "gap_mm" => 1
      },
      **more
    }

  def old_book
    elements = [
      {"kind" => "map_frame", "id" => "main", "place" => {}, "grids" => [old_grid]},
      {
        "kind" => "scale_bar",
        "id" => "bar",
        "place" => {
          "left_mm" => 5,
          "width_mm" => 90,
          "top_mm" => 5,
          "height_mm" => 12
        },
        "style" => "pair",
        "second_units" => "imperial",
        "per_division" => "100 m",
        "left" => 2,
        "least_mm" => 10,
        "most_mm" => 80,
        "ratio" => "above",
        "at" => {
          "x_mm" => 100,
          "y_mm" => 90
        },
        "over_limit" => "warn"
      },
      {
        "kind" => "text",
        "id" => "words",
        "place" => {
          "left_mm" => 5,
          "width_mm" => 60,
          "bottom_mm" => 5,
          "height_mm" => 9
        },
        "text" => "{{ sheet.ratio }} {{ reference.name | upcase }}",
        "least_pt" => 5
      }
    ]
    page = {"size" => "A3", "margins_mm" => {"top" => 9, "right" => 9, "bottom" => 9, "left" => 9}}
    key = [{"kind" => "key_frame", "id" => "key", "place" => {}, "grids" => [old_grid]}]
    {
      "format" => "tile-loom-book",
      "version" => 1,
      "title" => "Old moss",
      "reference" => "EPSG:25829",
      "layers" => [
        {
          "id" => "moss",
          "title" => "Moss",
          "edition" => 3,
          "shown" => {
            "from" => 500,
            "to" => 50_000
          },
          "data" => {
            "collection" => {
              "type" => "FeatureCollection",
              "features" => []
            }
          },
          "rules" => [{"title" => "Moss", "symbol" => {"fill" => {"colour" => "#c9d6b0"}}}]
        }
      ],
      "layout" => {
        "page" => page,
        "elements" => elements
      },
      "key_layout" => {
        "page" => page,
        "elements" => key
      },
      "index" => {
        "kind" => "grid",
        "area" => "moss",
        "room" => "50 m",
        "scale" => 2500,
        "held" => "ground",
        "step" => {
          "x" => "500 m"
        },
        "start" => {
          "kind" => "point",
          "x" => 0,
          "y" => 0
        },
        "turn" => 20,
        "lead_mm" => 8,
        "most_turn_deg" => 40,
        "gap" => "30 m",
        "rule" => {
          "kind" => "ladder",
          "ladder" => [1000, 5000]
        },
        "naming" => {
          "kind" => "attribute",
          "attribute" => "name",
          "between" => "-"
        },
        "order" => {
          "kind" => "as_woven"
        }
      }
    }
  end

  it "names everything as version 2 does, and the schema accepts it" do
    fresh = described_class.book(old_book)
    expect(TileLoom::Document::Schema.findings(fresh)).to eq([])
    expect(fresh.values_at("version", "crs")).to eq([2, "EPSG:25829"])
    expect(fresh["layers"][0]).to include(
      "version" => 3,
      "visible_scales" => {
        "largest" => 500,
        "smallest" => 50_000
      }
    )
    expect(fresh["index"]).to include(
      "buffer" => "50 m",
      "held" => "ellipsoid",
      "rotation_deg" => -20,
      "scale_rule" => {
        "kind" => "standard_scales",
        "standard_scales" => [1000, 5000]
      },
      "naming" => {
        "kind" => "field",
        "field" => "name",
        "separator" => "-"
      },
      "order" => {
        "kind" => "as_generated"
      }
    )
    frame, bar, text = fresh["layout"]["elements"]
    expect(frame["grids"][0]).to include("crs" => "utm", "draw_order" => "below", "drawn_on" => "rotated")
    expect(bar).to include("style" => "two_units", "extension" => 2, "true_at" => {"x_mm" => 100, "y_mm" => 90})
    expect(text["text"]).to eq("{{ sheet.fraction }} {{ crs.name | upcase }}")
    expect(fresh["index_layout"]["elements"][0]["kind"]).to eq("index_frame")
  end

  it "leaves documents of version 2 and what it does not know as they are" do
    fresh = described_class.book(old_book)
    expect(described_class.book(fresh)).to equal(fresh)
    odd = described_class.book(old_book.merge("colour" => "red", "layers" => "none"))
    expect(odd.values_at("colour", "layers")).to eq(%w[red none])
  end

  # Values of a field stay as they are in the data; that they count the other way is told.
  it "keeps the sense of rotations that data give" do
    index = described_class.index({"kind" => "layer", "turn_attribute" => "turn"})
    expect(index).to include("rotation_field" => "turn", "rotation_sense" => "counter_clockwise")
  end

  it "is what reading a book of version 1 does" do
    book = TileLoom::Document::Book.parse(JSON.generate(old_book))
    expect(book.layout.main_frame.grids.first.labels.orientation).to eq("level")
    expect(book.index.buffer).to eq(TileLoom::Units::Length.new(50, "m"))
  end
end
