# frozen_string_literal: true

module TileLoom
  module Bar
    # A scale in a sentence: "1 cm represents 100 m", "1 inch represents 2,000 feet". It says "about" where the number
    # that it tells is rounded.
    module VerbalScale
      INCHES_PER_FOOT, FEET_PER_MILE, INCHES_PER_MILE = 12, 5280, 63_360

      # A half and a quarter of a mile are told as such.
      PARTS_OF_MILE = [2, 4].freeze

      module_function

      # Where the round number holds all over a sheet to this share, it is told as it is.
      UNTOLD = 0.001
      # Off by more per cent somewhere in a frame, one number is none for all of it.
      MOST_OFF = 50

      # By how many per cent a length may be rounded again where it is told in another unit.
      ROUNDED = {"imperial" => 0.05}.freeze
      # Figures of a length that holds only about.
      FIGURES = 3

      # What a centimetre or an inch of a view stands for on the ground, as its scale bar has it. stated: the scale that
      # the sheet is held at, told where it holds all over the view; else the length where the bar is read, with by how
      # much it is off at most elsewhere. measure: a Measure of the view; language: a Languages::Language.
      def on(measure, stated, language:, units: "metric")
        return of(stated, language: language, units: units) if measure.error_of(stated / 1000.0).share.abs <= UNTOLD
        true_scale = figures(measure.per_mm * 1000)
        off = measure.error_of(true_scale / 1000.0).share.abs * 100 + ROUNDED.fetch(units, 0.0)
        words = of(true_scale, language: language, units: units, about: true)
        return words if off < UNTOLD * 100
        if off > MOST_OFF
          language.word(:in_the_middle, scale: words)
        else
          language.word(:within, scale: words, percent: language.plain(ceiling(off), decimals: 4))
        end
      end

      def figures(value) = value.round(FIGURES - 1 - Math.log10(value).floor)

      # Up to two figures.
      def ceiling(value)
        step = 10.0**(Math.log10(value).floor - 1)
        (value / step - 1e-9).ceil * step
      end

      # scale: the denominator; units: "metric" or "imperial"; about: the scale is a rounded one itself.
      def of(scale, language:, units: "metric", about: false)
        exact = scale.is_a?(Float) ? scale.round(6).to_s.to_r : Rational(scale)
        (units == "imperial") ? imperial(exact, language, about) : metric(exact, language, about)
      end

      def metric(scale, language, about)
        metres = scale / 100
        length, unit = (metres >= 1000) ? [metres / 1000, "km"] : [metres, "m"]
        sentence(language, "cm", length, unit, about)
      end

      def imperial(scale, language, about)
        miles = scale / INCHES_PER_MILE
        whole = miles >= 1 || PARTS_OF_MILE.include?(1 / miles)
        sentence(language, "in", whole ? miles : scale / INCHES_PER_FOOT, whole ? "mi" : "ft", about)
      end

      # English says the units of its own in full, where other languages have their symbols.
      ENGLISH = {"in" => %w[inch inches], "ft" => %w[foot feet], "mi" => %w[mile miles]}.freeze

      def unit(language, code, number)
        return language.unit(code, number) unless language.english? && ENGLISH.key?(code)
        ENGLISH.fetch(code)[(number == 1) ? 0 : 1]
      end

      # Two decimals at least below a hundred, one below a thousand, where they are needed.
      def sentence(language, paper, value, unit, about)
        decimals =
          if value >= 1000
            0
          elsif value >= 100
            1
          else
            2
          end
        # One figure more than a length has that holds about alone.
        decimals = [decimals, FIGURES - Math.log10(value).floor].max
        rounded = value.round(decimals)
        number = language.number(rounded, decimals: Units::Number.places(rounded.rationalize))
        language.word(
          (about || rounded != value) ? :represents_about : :represents,
          paper: "1 #{unit(language, paper, 1)}",
          length: "#{number} #{unit(language, unit, rounded)}"
        )
      end
    end
  end
end
