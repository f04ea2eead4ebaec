# frozen_string_literal: true

RSpec.describe TileLoom::Compose::LiveText do
  def filled(template, **values) =
    described_class.new(template, path: "/t").fill({"sheet" => values.transform_keys(&:to_s)})

  # Hand-worked: 260.985 m is 856.25 international feet (0.3048 m) and 0.162167 miles (1609.344 m).
  it "turns lengths into other units and writes numbers as people read them" do
    expect(filled('{{ sheet.width_m | to_unit: "ft" | decimals: 2 }}', width_m: 260.985)).to eq("856.25")
    expect(filled('{{ sheet.width_m | to_unit: "mi" | decimals: 4 }}', width_m: 260.985)).to eq("0.1622")
    expect(filled("{{ sheet.scale | decimals }}", scale: 24_000)).to eq("24,000")
    expect(filled("{{ sheet.number | padded: 3 }}", number: 7)).to eq("007")
    expect(filled("{{ sheet.width_m | decimals: 1 }}", width_m: -0.04)).to eq("-0.0").or eq("0.0")
  end

  # Carries by hand: 59.9996 seconds round to a full minute.
  it "writes angles in degrees, minutes and seconds, with hemispheres and carries" do
    expect(filled('{{ sheet.latitude | dms: "N,S" }}', latitude: -(33 + 59 / 60.0 + 59.9996 / 3600))).to eq(
      "34°00′00″S"
    )
    expect(filled('{{ sheet.longitude | dms: "E,W", 1 }}', longitude: 10.5)).to eq("10°30′00.0″E")
  end

  it "knows Liquid’s own filters, and says what it does not know" do
    expect(filled('{{ sheet.name | upcase }}, {{ "2026-04-01" | date: "%-d %B %Y" }}', name: "b3")).to eq(
      "B3, 1 April 2026"
    )
    expect { filled("{{ sheet.name | shout }}", name: "b3") }.to invalid(
      /uses the filter “shout”, which is not known; use one of decimals, dms, long_date, padded, to_unit/,
      path: "/t"
    )
    expect { filled("{{ sheet.name | decimals: 2 }}", name: "b3") }.to invalid(/“decimals” needs a number, not “b3”/)
    expect { filled('{{ sheet.width_m | to_unit: "rod" }}', width_m: 3) }.to invalid(/“rod” is not a unit of length/)
  end

  # What a filter makes stands in drawings and in names of files.
  it "holds UTF-8 text without control characters, whatever filters make" do
    expect { filled("{{ '/w==' | base64_decode }}") }.to invalid(/“base64_decode” gives bytes that are not UTF-8 text/)
    expect { filled("{{ '_w==' | base64_url_safe_decode }}") }.to invalid(/bytes that are not UTF-8 text/)
    expect(filled("{{ 'w6k=' | base64_decode }}")).to eq("é")
    expect(filled("{{ 'a%00b' | url_decode }}")).to eq("ab")
  end
end
