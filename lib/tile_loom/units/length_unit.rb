# frozen_string_literal: true

module TileLoom
  module Units
    # A unit of length, exact: its size in metres is a Rational.
    # Foot, yard, miles: NIST SP 811, appendix B.8; the US survey foot is 1200/3937 m.
    # Point: 1/72 inch (PDF, ISO 32000).
    class LengthUnit
      attr_reader :code, :symbol, :name, :metres

      def initialize(code, symbol, name, metres)
        @code, @symbol, @name, @metres = code, symbol, name, Rational(metres)
        freeze
      end

      def to_s = symbol

      # "US survey feet"
      def plural =
        if name.end_with?("foot")
          name.sub(/foot\z/, "feet")
        else
          name.end_with?("inch") ? "#{name}es" : "#{name}s"
        end

      ALL =
        [
          new("mm", "mm", "millimetre", Rational(1, 1000)),
          new("in", "in", "inch", Rational(254, 10_000)),
          new("pt", "pt", "point", Rational(254, 720_000)),
          new("m", "m", "metre", 1),
          new("km", "km", "kilometre", 1000),
          new("ft", "ft", "international foot", Rational(3048, 10_000)),
          new("us-ft", "ft", "US survey foot", Rational(1200, 3937)),
          new("yd", "yd", "yard", Rational(9144, 10_000)),
          new("mi", "mi", "statute mile", Rational(1_609_344, 1000)),
          new("nmi", "nmi", "nautical mile", 1852)
        ].to_h { |unit| [unit.code, unit] }.freeze

      # The unit with this code; Refusal names the known ones.
      def self.find(code)
        ALL.fetch(code.to_s) { raise Refusal.new("units.no_unit", code: code, known: ALL.keys.join(", ")) }
      end

      # The unit whose size in metres is nearest to the given one within 1 part in 10^9, or nil.
      # (References state their axis unit as a number of metres.)
      def self.of_size(metres)
        ALL.values.find { |unit| ((unit.metres.to_f - metres) / metres).abs < 1e-9 }
      end
    end
  end
end
