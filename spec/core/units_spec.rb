# frozen_string_literal: true

RSpec.describe TileLoom::Units do
  length = TileLoom::Units::Length

  # NIST SP 811 (from memory), appendix B.8.
  it "knows the foot, the yard and the miles exactly" do
    expect(length.new(1, "ft").metres).to eq(Rational(3048, 10_000))
    expect(length.new(1, "us-ft").metres).to eq(Rational(1200, 3937))
    expect(length.new(1, "yd").metres).to eq(Rational(9144, 10_000))
    expect(length.new(1, "mi").metres).to eq(Rational("1609.344"))
    expect(length.new(1, "nmi").metres).to eq(1852)
    expect(length.new(1, "in").in("mm")).to eq(Rational("25.4"))
    expect(length.new(72, "pt").in("in")).to eq(1)
  end

  # Common practice: five miles in metres.
  it("turns five miles into 8,046.72 m") { expect(length.new(5, "mi").metres).to eq(Rational("8046.72")) }

  # Common practice: the handbook example of a 20.55 in × 12.99 in frame at 1:500.
  it "gives the ground of a frame without rounding" do
    expect([length.parse("20.55 in"), length.parse("12.99 in")].map { |side| (side * 500).metres }).to eq(
      [Rational("260.985"), Rational("164.973")]
    )
  end

  it("loses nothing going there and back") do
    expect(length.new(0.1, "us-ft").to("nmi").to("us-ft")).to eq(length.new(Rational(1, 10), "us-ft"))
  end

  it "refuses what is not a length, in words" do
    expect { length.parse("fifty") }.to invalid(/“fifty” is not a length/)
    expect { length.parse("5 furlongs") }.to invalid(/“furlongs” is not a unit/)
  end

  # Worked by hand.
  it "carries seconds and minutes of arc" do
    angle = TileLoom::Units::Angle
    expect(angle.dms(59 + 59 / 60.0 + 59.9999 / 3600, positive: "N", negative: "S")).to eq("60°00′00″N")
    expect(angle.dms(-12.5, positive: "E", negative: "W")).to eq("12°30′00″W")
    expect(angle.dms(-0.00001, positive: "E", negative: "W")).to eq("0°00′00″E")
    expect(angle.dms(10.25, positive: "N", negative: "S", step_deg: Rational(1, 4))).to eq("10°15′N")
    expect(angle.dms(10, positive: "N", negative: "S", step_deg: Rational(1))).to eq("10°N")
    expect(angle.dms(1.99999, positive: "N", negative: "S", decimals: 1)).to eq("2°00′00.0″N")
  end

  it "writes numbers as people read them" do
    number = TileLoom::Units::Number
    expect(number.plain(12.5)).to eq("12.5")
    expect(number.plain(-0.0000001)).to eq("0")
    expect(number.grouped(1_234_567.4)).to eq("1,234,567")
  end
end
