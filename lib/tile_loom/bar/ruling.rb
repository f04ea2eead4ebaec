# frozen_string_literal: true

module TileLoom
  module Bar
    # What a bar counts: divisions of a round length to the right of zero, and one more to the left of it, parted
    # more finely, where it has subdivisions.
    class Ruling
      # Parts of a total of 1, 2 or 5: each part is itself a round length.
      PARTS = {"1" => 5, "2" => 4, "5" => 5}.freeze

      attr_reader :unit, :division, :count, :left

      # unit: Unit; division: Rational in it; count: divisions right of zero; left: subdivisions left of zero.
      def initialize(unit:, division:, count:, left: 0)
        @unit, @division, @count, @left = unit, division, count, left
      end

      # Values of all marks in the unit, ascending; those left of zero are negative.
      def values = (1..left).map { |n| -division * n / left }.reverse + (0..count).map { |n| division * n }

      # What is measured right of zero.
      def total = division * count

      # From the first mark to the last.
      def whole = total + (left.positive? ? division : 0)

      def metres(value = whole) = (value * unit.metres).to_f

      # Rulings for a room, the longest first. metres: what fits into it; style: a Style; family: units; free: whatever
      # lengths and numbers of divisions the style has fixed. Lazy, since a shorter one may have to do.
      def self.fitting(metres, family, style, free: false)
        return [fixed(style)] if style.division_length && !free
        divisions = style.divisions unless free
        (0..MOST_STEPS).lazy.map { |step| chosen(metres, family, divisions, style.extension, step) }
      end

      # So many shorter lengths are tried.
      MOST_STEPS = 12

      # The ruling of a style that states its division length.
      def self.fixed(style)
        length = style.fixed_division
        new(
          unit: Unit.find(length.unit.code),
          division: length.value,
          count: style.divisions || Style::DIVISIONS,
          left: style.extension
        )
      end

      # step: 0 for the longest round length that fits, 1 for the next shorter one …
      def self.chosen(metres, family, divisions, left, step)
        parts = divisions || 4
        # Left of zero there is one division more.
        share = left.positive? ? parts / (parts + 1.0) : 1.0
        unit = (family.length > 1 && metres * share < family.first.metres) ? family.last : family.first
        room = metres * share / unit.metres.to_f
        round =
          if divisions
            shorter(Units::Series.at_most(room / divisions), step)
          else
            shorter(Units::Series.at_most(room), step)
          end
        return new(unit: unit, division: round, count: divisions, left: left) if divisions
        count = PARTS.fetch(round.to_f.to_s[/[1-9]/])
        new(unit: unit, division: round / count, count: count, left: left)
      end

      def self.shorter(round, steps) = steps.times.reduce(round) { |length, _| Units::Series.at_most(length * 0.99) }
      private_class_method :fixed, :chosen, :shorter
    end
  end
end
