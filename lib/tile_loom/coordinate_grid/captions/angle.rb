# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Captions
      # Longitudes and latitudes: degrees, degrees and minutes, or degrees, minutes and seconds, as the interval
      # needs it or as it is wanted; or decimal degrees. Short: only what changes from one label to the next.
      class Angle
        NOTATIONS = %w[d dm dms decimal].freeze
        WAYS = {x: %w[east west], y: %w[north south]}.freeze

        # spec: a LabelSpec; language, tolerance: see Caption.of.
        def initialize(spec, language, tolerance = nil)
          @spec, @language, @tolerance = spec, language, tolerance
        end

        # Parts of a degree that labels of such an interval count in the end: 1, 60 or 3600.
        def self.parts(spec, step) = PARTS.fetch(new(spec, nil).notation(step), 1)

        # A Caption. value, step: Rationals in degrees.
        def of(axis, value, step, _crs, full: true)
          value = Units::Angle.wrapped(value) if axis == :x
          value = 180r if axis == :x && value == -180
          return Caption.new([decimal(axis, value, step)]) if notation(step) == "decimal"
          Caption.new([dms(axis, value, step, full || !@spec.short?)])
        end

        # As few parts as the interval needs.
        def notation(step)
          return @spec.notation if @spec.notation
          return "d" if (step % 1).zero?
          (step * 60 % 1).zero? ? "dm" : "dms"
        end

        # As many as the values need, of the last part.
        def decimals(step, value, parts_of_degree)
          return @spec.decimals if @spec.decimals
          tolerance = @tolerance && @tolerance * parts_of_degree
          Units::Number.places_within(step * parts_of_degree, value * parts_of_degree, tolerance) || 3
        end

        def decimal(axis, value, step)
          text = @language.number(value.abs, separator: "", decimals: decimals(step, value, 1))
          after = text.length - text[/\A\d+/].length
          text = text.rjust(width(axis) + after, "0") if @spec.zeros?
          signed(axis, value, "#{text}°", !text.match?(/[1-9]/))
        end

        PARTS = {"d" => 1, "dm" => 60, "dms" => 3600}.freeze

        # All is counted in the smallest unit that is shown, so that a carry goes through to the degrees.
        def dms(axis, value, step, full)
          kind = notation(step)
          places = decimals(step, value, PARTS.fetch(kind))
          unit = 10**places
          total = (value.abs * PARTS.fetch(kind) * unit).round
          degrees, rest = total.divmod(PARTS.fetch(kind) * unit)
          minutes, seconds = (kind == "dms") ? rest.divmod(60 * unit) : [rest, 0]
          text =
            case kind
            when "d"
              "#{degree(axis, degrees, rest, places, unit)}°"
            when "dm"
              if short?(full, rest)
                "#{two(minutes, places, unit)}′"
              else
                "#{degree(axis, degrees)}°#{two(minutes, places, unit)}′"
              end
            else
              seconds_text(axis, degrees, minutes, seconds, places, unit, full)
            end
          short?(full, rest) ? text : signed(axis, value, text, total.zero?)
        end

        def seconds_text(axis, degrees, minutes, seconds, places, unit, full)
          tail = "#{two(seconds, places, unit)}″"
          return "#{degree(axis, degrees)}°#{two(minutes, 0, 1)}′#{tail}" unless short?(full, minutes + seconds)
          seconds.zero? ? "#{two(minutes, 0, 1)}′" : tail
        end

        # A whole degree is always told with its degrees.
        def short?(full, rest) = !full && !rest.zero?

        def degree(axis, degrees, rest = 0, places = 0, unit = 1)
          whole = @spec.zeros? ? degrees.to_s.rjust(width(axis), "0") : degrees.to_s
          places.zero? ? whole : "#{whole}#{@language.decimal_sign}#{rest.to_s.rjust(places, "0")}"
        end

        # Longitudes have three digits before the point, latitudes two.
        def width(axis) = (axis == :x) ? 3 : 2

        def two(count, places, unit)
          whole, part = count.divmod(unit)
          places.zero? ? format("%02d", whole) : format("%02d%s%0#{places}d", whole, @language.decimal_sign, part)
        end

        # Zero has no hemisphere; nor has 180°.
        def signed(axis, value, text, zero)
          return text if zero || (axis == :x && value == 180)
          return value.negative? ? "\u2212#{text}" : text if @spec.hemisphere == "signs"
          text + @language.hemisphere(WAYS.fetch(axis)[value.negative? ? 1 : 0])
        end
      end
    end
  end
end
