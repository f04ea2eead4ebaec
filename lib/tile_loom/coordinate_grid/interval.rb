# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # A fixed interval or offset of a coordinate grid with its unit, exact: a length ("100 m", "500 ft") or an
    # angle ("30 sec", "5 min", "1 deg"; ″ ′ ° are read too). It keeps its meaning whatever reference the grid
    # has: 100 m are never taken for 100 degrees.
    class Interval
      ANGLES = {"deg" => 1r, "min" => 1 / 60r, "sec" => 1 / 3600r}.freeze
      SIGNS = {"°" => "deg", "′" => "min", "'" => "min", "″" => "sec", "\"" => "sec"}.freeze
      PATTERN = /\A(.*?\d)\s*([a-z-]+|[°′'″"])\s*\z/i
      # No line of a larger interval could ever be a second one: half round the earth.
      LARGEST_DEG = 180
      LARGEST_M = 20_037_508

      attr_reader :value, :unit

      # least: :positive for an interval, :any for an offset.
      def self.parse(text, path: nil, least: :positive)
        match = PATTERN.match(text.to_s)
        number = match && Units::NumberText.read(match[1]) or
          raise Refusal.new("grid.interval_unreadable", text: text, at: path)
        new(number, match[2].downcase, path: path, least: least)
      end

      def initialize(value, unit, path: nil, least: :positive)
        @value, @unit = value, SIGNS.fetch(unit, unit)
        unless angle? || Units::LengthUnit::ALL.key?(@unit)
          raise Refusal.new(
            "grid.interval_unit",
            unit: @unit,
            known: [*Units::LengthUnit::ALL.keys, *ANGLES.keys].join(", "),
            at: path
          )
        end
        if least == :positive && !value.positive?
          raise Refusal.new("grid.interval_not_positive", interval: self, at: path)
        end
        if angle? ? degrees.abs > LARGEST_DEG : metres.abs > LARGEST_M
          raise Refusal.new("grid.interval_too_large", interval: self, at: path)
        end
        freeze
      end

      def angle? = ANGLES.key?(@unit)

      def degrees = value * ANGLES.fetch(@unit)

      def metres = value * Units::LengthUnit.find(@unit).metres

      # Counted in units of a reference, a Rational; Refusal when a length is to count degrees or the other way
      # round.
      def in(crs, path: nil)
        raise mismatch(crs, at: path) unless angle? == crs.geographic?
        return degrees if angle?
        metres / (crs.unit&.metres || crs.metres_per_unit.rationalize(Rational(1, 10**12)))
      end

      # As an interval of a reference is typed: "100 m", "30 sec". step: a Rational in units of crs.
      def self.typed(step, crs)
        if crs.geographic?
          unit = %w[deg min sec].find { |known| (step / ANGLES.fetch(known) % 1).zero? } || "sec"
          return "#{Units::Number.plain((step / ANGLES.fetch(unit)).to_f)} #{unit}"
        end
        "#{Units::Number.plain(step.to_f)} #{crs.unit&.code || "m"}"
      end

      def to_s = "#{Units::Number.plain(value.to_f)} #{unit}"

      private

      def mismatch(crs, at:)
        return Refusal.new("grid.length_for_degrees", interval: to_s, crs: crs.name, at: at) unless angle?
        Refusal.new(
          "grid.angle_for_lengths",
          interval: to_s,
          crs: crs.name,
          unit: crs.unit&.plural || "#{crs.unit_name}s",
          at: at
        )
      end
    end
  end
end
