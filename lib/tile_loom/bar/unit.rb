# frozen_string_literal: true

module TileLoom
  module Bar
    # What a bar counts in: a unit of length, paces, or minutes of walking.
    class Unit
      # Families change to their larger unit where the bar is at least one of it long.
      FAMILIES = {
        "metric" => %w[km m],
        "imperial" => %w[mi ft],
        "survey" => %w[mi us-ft],
        "yards" => %w[mi yd],
        "nautical" => %w[nmi m]
      }.freeze
      # As a menu has them.
      TITLES = {
        "metric" => "m, km",
        "imperial" => "ft, miles",
        "survey" => "US survey ft, miles",
        "yards" => "yards, miles",
        "nautical" => "m, nautical miles",
        "m" => "metres",
        "km" => "kilometres",
        "ft" => "feet",
        "us-ft" => "US survey feet",
        "yd" => "yards",
        "mi" => "miles",
        "nmi" => "nautical miles",
        "paces" => "paces",
        "minutes" => "minutes of walking"
      }.freeze

      attr_reader :code, :metres

      # metres: a Rational
      def initialize(code, metres)
        @code, @metres = code, metres
      end

      # In a Languages::Language, after a number.
      def symbol(language, number)
        return language.word(:paces) if code == "paces"
        language.unit((code == "minutes") ? "min" : code, number)
      end

      # A Values::Choice of families and units.
      def self.choice = Values::Choice.new(**TITLES)

      # code: of a LengthUnit, "paces" or "minutes", which need the length of a pace or the speed of a walk.
      def self.find(code, pace_m: nil, walk_kmh: nil)
        case code
        when "paces"
          new(code, pace_m.to_s.to_r)
        when "minutes"
          new(code, walk_kmh.to_s.to_r * 1000 / 60)
        else
          new(code, Units::LengthUnit.find(code).metres)
        end
      end

      # The units that a setting stands for, the larger one first.
      def self.family(name, **walked) = FAMILIES.fetch(name, [name]).map { |code| find(code, **walked) }
    end
  end
end
