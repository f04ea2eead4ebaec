# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Captions
      # Eastings and northings. In full: 404 000, with the unit where it is wanted. Short: the principal digits
      # from the ten thousands down to those of the interval, what leads them small and raised, as topographic
      # sheets have it (DMA TM 8358.1, chapter 3; from memory); the full number of such a label has its last
      # zeros small too, with the axis letter: ⁴04⁰⁰⁰ᵐE.
      class Length
        # Up to ten thousands digits are principal ones.
        PRINCIPAL = 5

        # spec: a LabelSpec; language, tolerance: see Caption.of.
        def initialize(spec, language, tolerance = nil)
          @spec, @language, @tolerance = spec, language, tolerance
        end

        # A Caption. axis: :x or :y; value, step: Rationals in units of crs.
        def of(axis, value, step, crs, full: true)
          if @spec.short? && (value % 1).zero? && (step % 1).zero? && !value.negative?
            return topographic(axis, value, step, crs, full)
          end
          Caption.new([plain(axis, value, step, crs)])
        end

        private

        def plain(axis, value, step, crs)
          shown = letters? ? value.abs : value
          text =
            @language.number(
              shown,
              separator: Units::Number::SEPARATORS.fetch(@spec.thousands),
              decimals: decimals(step, value)
            )
          text += "\u202f#{unit(crs, shown)}" if @spec.unit?
          text += letter(axis, value, crs) if letters?
          text
        end

        # As many as the values need.
        def decimals(step, value) = @spec.decimals || Units::Number.places_within(step, value, @tolerance) || 3

        # Signs are plain numbers; letters say which way.
        def letters? = @spec.hemisphere == "letters"

        OPPOSITE = {"east" => "west", "west" => "east", "north" => "south", "south" => "north"}.freeze

        # The symbol of what a reference counts in.
        def unit(crs, number) = crs.unit ? @language.unit(crs.unit.code, number) : crs.unit_symbol

        # By the way that the axis counts; round a pole, as in any other reference.
        def letter(axis, value, crs)
          ways = (crs.directions.uniq.length == 1) ? %w[east north] : crs.ways
          way = ways[(axis == :x) ? 0 : 1]
          @language.letter(value.negative? ? OPPOSITE.fetch(way) : way)
        end

        def topographic(axis, value, step, crs, full)
          digits = value.to_i.to_s
          zeros = [trailing(step), digits.length - 1].min
          kept = digits[0, digits.length - zeros]
          places = [PRINCIPAL - zeros, 1].max
          lead, principal = kept[0...-places].to_s, kept[-places..] || kept
          return Caption.new([lead, true], [principal, false]) unless full
          Caption.new(
            [lead, true],
            [principal, false],
            ["0" * zeros + unit(crs, value), true],
            [letter(axis, value, crs), false]
          )
        end

        # How many zeros all values of an interval end with.
        def trailing(step) = step.to_i.to_s[/0*\z/].length
      end
    end
  end
end
