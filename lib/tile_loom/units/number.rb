# frozen_string_literal: true

module TileLoom
  module Units
    # Numbers as people read them on a sheet.
    module Number
      # What may stand between groups of three; nil: what the language of the page has.
      SEPARATORS = {"language" => nil, "thin" => "\u2009", "comma" => ",", "point" => ".", "none" => ""}.freeze

      module_function

      # As few decimals as tell a Rational exactly; nil where `most` are not enough.
      def places(value, most: 6) = (0..most).find { |count| (value * 10**count % 1).zero? }

      # Decimals for the values that come every `step` from `value`: as many as tell them exactly, where that takes no
      # more than a few or a rounded value would be off by more than a tolerance; else as many as keep within it.
      # All Rational or Float in one unit; tolerance: nil where none is known; nil where nothing up to `most` does.
      def places_within(step, value, tolerance, most: 9)
        exact =
          [step, value % step].map { |number| places(number, most: most) }.then { |found| found.max if found.all? }
        return exact if tolerance.nil? || !tolerance.positive?
        # A rounded number is off by half its last place at most.
        needed = (-Math.log10(2 * tolerance)).ceil.clamp(0, most)
        (exact && exact <= [needed, FEW].max) ? exact : needed
      end

      FEW = 3

      # At most `decimals` places, no trailing zeros: 12.5, 1000.
      def plain(value, decimals: 6)
        text = format("%.#{decimals}f", value)
        text = text.sub(/\.?0+\z/, "") if text.include?(".")
        (text == "-0") ? "0" : text
      end

      # A Float that is whole as an Integer, so that 2500.0 reads 2500.
      def tidy(value) = (value == value.to_i) ? value.to_i : value

      # "1:2,500"; a denominator that is not whole keeps up to three decimals.
      def ratio(scale) = "1:#{denominator(scale).then { |exact, decimals| grouped(exact, decimals: decimals) }}"

      # [a scale's denominator as a Rational, how many decimals tell it, three at most].
      def denominator(scale)
        exact = scale.is_a?(Float) ? scale.round(3).to_s.to_r : scale.to_r
        [exact, places(exact, most: 3) || 3]
      end

      # Groups of three: 12,500. point: the decimal sign.
      def grouped(value, separator: ",", decimals: 0, point: ".")
        whole, part = format("%.#{decimals}f", value).split(".")
        [whole.gsub(/(\d)(?=(\d{3})+\z)/, "\\1#{separator}"), part].compact.join(point)
      end
    end
  end
end
