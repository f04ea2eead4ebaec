# frozen_string_literal: true

# OGC 21-065r2 (CQL2): the examples of its clauses 6 to 8 in their JSON encoding, from memory.
RSpec.describe TileLoom::Conditions::Condition do
  property = ->(name) { {"property" => name} }
  define_method(:property) { property }

  def holds?(expression, attributes) = described_class.new(expression).match?(attributes)

  {
    "city = 'Toronto'" => [
      {"op" => "=", "args" => [property["city"], "Toronto"]},
      {"city" => "Toronto"},
      {"city" => "Bonn"}
    ],
    "avgWind < 4" => [
      {"op" => "<", "args" => [property["windSpeed"], 4]},
      {"windSpeed" => 3.9},
      {"windSpeed" => 4}
    ],
    "balance - 150.0 > 0" => [
      {"op" => ">", "args" => [{"op" => "-", "args" => [property["balance"], 150.0]}, 0]},
      {"balance" => 151},
      {"balance" => 150}
    ],
    "updated >= DATE('2021-04-10')" => [
      {"op" => ">=", "args" => [property["updated"], {"date" => "2021-04-10"}]},
      {"updated" => "2021-04-11"},
      {"updated" => "2021-04-09"}
    ],
    "name LIKE 'Smith.%'" => [
      {"op" => "like", "args" => [property["name"], "Smith.%"]},
      {"name" => "Smith. John"},
      {"name" => "Smithers"}
    ],
    "depth BETWEEN 100.0 AND 150.0" => [
      {"op" => "between", "args" => [property["depth"], 100.0, 150.0]},
      {"depth" => 150},
      {"depth" => 150.1}
    ],
    "cityName IN ('Toronto', 'Frankfurt', 'Tokyo', 'New York')" => [
      {"op" => "in", "args" => [property["cityName"], ["Toronto", "Frankfurt", "Tokyo", "New York"]]},
      {"cityName" => "Tokyo"},
      {"cityName" => "Bonn"}
    ],
    "category NOT IN (1, 2, 3, 4)" => [
      {"op" => "not", "args" => [{"op" => "in", "args" => [property["category"], [1, 2, 3, 4]]}]},
      {"category" => 5},
      {"category" => 4}
    ],
    "geometry IS NOT NULL" => [
      {"op" => "not", "args" => [{"op" => "isNull", "args" => [property["geometry"]]}]},
      {"geometry" => "x"},
      {}
    ],
    "floors > 5 AND swimming_pool = true" => [
      {
        "op" => "and",
        "args" => [
          {"op" => ">", "args" => [property["floors"], 5]},
          {"op" => "=", "args" => [property["swimming_pool"], true]}
        ]
      },
      {"floors" => 6, "swimming_pool" => true},
      {"floors" => 6, "swimming_pool" => false}
    ],
    "swimming_pool = true AND (floors > 5 OR material LIKE 'brick%')" => [
      {
        "op" => "and",
        "args" => [
          {"op" => "=", "args" => [property["swimming_pool"], true]},
          {
            "op" => "or",
            "args" => [
              {"op" => ">", "args" => [property["floors"], 5]},
              {"op" => "like", "args" => [property["material"], "brick%"]},
              {"op" => "like", "args" => [property["material"], "%brick"]}
            ]
          }
        ]
      },
      {"floors" => 2, "swimming_pool" => true, "material" => "red brick"},
      {"floors" => 2, "swimming_pool" => true, "material" => "stone"}
    ],
    "CASEI(road_class) IN ('ostatní', …)" => [
      {
        "op" => "in",
        "args" => [
          {"op" => "casei", "args" => [property["road_class"]]},
          [{"op" => "casei", "args" => ["Οδος"]}, {"op" => "casei", "args" => ["Straße"]}]
        ]
      },
      {"road_class" => "STRASSE".sub("SS", "ß")},
      {"road_class" => "road"}
    ],
    "vehicle_height > (bridge_clearance - 1)" => [
      {
        "op" => ">",
        "args" => [property["vehicle_height"], {"op" => "-", "args" => [property["bridge_clearance"], 1]}]
      },
      {"vehicle_height" => 4, "bridge_clearance" => 4.5},
      {"vehicle_height" => 3, "bridge_clearance" => 4.5}
    ]
  }.each do |text, (expression, met, unmet)|
    # Common practice: yes and no are equal or not, and in no order.
    it "takes no and yes as equal or not, and never as one before the other" do
      found =
        %w[= <> < <= > >=].map { |op| holds?({"op" => op, "args" => [property["dry"], true]}, {"dry" => false}) }
      expect(found).to eq([false, true, false, false, false, false])
      expect(holds?({"op" => "<", "args" => [property["code"], "B"]}, {"code" => 4})).to be(false)
    end

    it "reads #{text}" do
      expect(holds?(expression, met)).to be(true)
      expect(holds?(expression, unmet)).to be(false)
    end
  end

  it "divides by zero without a word, and holds nothing then" do
    expect(holds?({"op" => ">", "args" => [{"op" => "div", "args" => [property["a"], 0]}, 1]}, {"a" => 5})).to be(
      false
    )
  end

  it "takes _ for one character and \\ for the next as it is" do
    like = ->(pattern, text) { holds?({"op" => "like", "args" => [property["n"], pattern]}, {"n" => text}) }
    expect([like["D_1", "D11"], like["D_1", "D1"], like["5\\%", "5%"], like["5\\%", "50"]]).to eq(
      [true, false, true, false]
    )
  end

  types = {"depth" => "real", "name" => "text", "seen" => "date", "open" => "boolean", "stamp" => "date and time"}
  {
    "an attribute that is not there" => [
      {"op" => "=", "args" => [property["deep"], 1]},
      /asks for “deep”, which the layer does not have; it has depth, name/
    ],
    "a number beside text" => [
      {"op" => "=", "args" => [property["depth"], "deep"]},
      /compares “depth”, which is number, with "deep", which is text/
    ],
    "text beside a number" => [
      {"op" => "and", "args" => [{"op" => ">", "args" => [property["name"], 3]}]},
      /compares “name”, which is text, with 3, which is number/
    ],
    "a pattern in numbers" => [
      {"op" => "like", "args" => [property["depth"], property["depth"]]},
      /patterns are for text/
    ],
    "text beside a date" => [
      {"op" => ">", "args" => [property["seen"], "2021"]},
      /“seen”, which is date, with "2021", which is text/
    ],
    "a list with a stranger in it" => [
      {"op" => "in", "args" => [property["depth"], [1, "two"]]},
      /“depth”, which is number, with "two"/
    ]
  }.each do |name, (expression, sentence)|
    it("refuses #{name}") do
      expect { described_class.new(expression, path: "/x").check_types(types) }.to invalid(sentence, path: "/x")
    end
  end

  it "lets conditions pass that fit their attributes" do
    fitting = [
      {"op" => "between", "args" => [property["depth"], 1, 2.5]},
      {"op" => ">=", "args" => [property["stamp"], {"timestamp" => "2021-04-10T00:00:00Z"}]},
      {"op" => "=", "args" => [property["open"], true]},
      {"op" => "isNull", "args" => [property["name"]]}
    ]
    expect { fitting.each { |expression| described_class.new(expression).check_types(types) } }.not_to raise_error
  end

  {
    "a part that is nothing" => {
      "op" => "=",
      "args" => [{"what" => 1}, 2]
    },
    "too few arguments" => {
      "op" => "between",
      "args" => [1, 2]
    },
    "a list that is none" => {
      "op" => "in",
      "args" => [1, 2]
    }
  }.each do |name, expression|
    it("refuses #{name}") { expect { described_class.new(expression) }.to invalid(/cannot be read|wrong number/) }
  end

  # CQL2, 7.1: a filter is a booleanExpression; arithmetic is for what it compares.
  it "is true or false itself, and compares what is not" do
    plus = {"op" => "+", "args" => [1, 2]}
    equal = {"op" => "=", "args" => [1, 1]}
    [
      plus,
      {"op" => "casei", "args" => ["a"]},
      {"op" => "and", "args" => [plus]},
      {"op" => "not", "args" => ["a"]}
    ].each { |node| expect { described_class.new(node) }.to invalid(/where it needs a comparison/) }
    [
      {"op" => "=", "args" => [equal, true]},
      {"op" => "in", "args" => [1, [{"op" => "isNull", "args" => [1]}]]}
    ].each { |node| expect { described_class.new(node) }.to invalid(/join conditions by and, or, not/) }
    expect { described_class.new({"op" => "=", "args" => [{"property" => nil}, 1]}) }.to invalid(/cannot be read/)
    expect(
      holds?({"op" => "not", "args" => [{"op" => "and", "args" => [property["a"], equal]}]}, {"a" => false})
    ).to be(true)
    definitions = {}.tap { |known| TileLoom::Conditions::ConditionType.new.schema(known) }
    operations = definitions.dig("condition", "properties", "op", "enum")
    expect(operations).to include("=", "between", "isSheetFeature")
    expect(operations & %w[+ casei]).to be_empty
  end
end
