# frozen_string_literal: true

module TileLoom
  module Units
    # A length with its unit, kept as a Rational so that conversions lose nothing.
    class Length
      include Comparable

      PATTERN = /\A(.*?\d)\s*([a-z-]+)\s*\z/i

      attr_reader :value, :unit

      # value: Integer, Rational, or Float (taken as the decimal it prints as).
      def initialize(value, unit)
        @value = value.is_a?(Float) ? value.to_s.to_r : Rational(value)
        @unit = unit.is_a?(LengthUnit) ? unit : LengthUnit.find(unit)
        freeze
      end

      # "20.55 in", "1 1/4 mi", "1,200 m" → Length; Refusal when it does not read as a number and a unit.
      def self.parse(text)
        match = PATTERN.match(text.to_s)
        number = match && NumberText.read(match[1]) or raise Refusal.new("units.no_length", text: text)
        new(number, match[2].downcase)
      end

      def self.mm(value) = new(value, "mm")

      def self.metres(value) = new(value, "m")

      def metres = value * unit.metres

      # This length counted in another unit, a Rational.
      def in(other) = metres / LengthUnit.find(other).metres

      def to(other) = Length.new(self.in(other), other)

      def *(other) = Length.new(value * (other.is_a?(Float) ? other.to_s.to_r : other), unit)

      def <=>(other) = other.is_a?(Length) ? metres <=> other.metres : nil

      def to_s = "#{Number.plain(value.to_f)} #{unit.symbol}"
    end
  end
end
