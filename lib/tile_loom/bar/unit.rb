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
      # A pace of 0.75 m and a walk of 4 km an hour, where nothing else is said (common practice).
      PACE_M, WALK_KMH = 0.75, 4.0

      attr_reader :code, :symbol, :metres

      # metres: a Rational
      def initialize(code, symbol, metres)
        @code, @symbol, @metres = code, symbol, metres
      end

      # code: of a LengthUnit, "paces" or "minutes"; settings: pace_m and walk_kmh of a scale bar.
      def self.find(code, settings = {})
        case code
        when "paces"
          new(code, "paces", settings.fetch("pace_m", PACE_M).to_s.to_r)
        when "minutes"
          new(code, "min", settings.fetch("walk_kmh", WALK_KMH).to_s.to_r * 1000 / 60)
        else
          Units::LengthUnit.find(code).then { |known| new(code, known.symbol, known.metres) }
        end
      end

      # The units that a setting stands for, the larger one first.
      def self.family(name, settings = {}) = FAMILIES.fetch(name, [name]).map { |code| find(code, settings) }
    end
  end
end
