# frozen_string_literal: true

module TileLoom
  module Units
    # Numbers as people read them on a sheet.
    module Number
      # What may stand between groups of three.
      SEPARATORS = {"thin" => "\u2009", "comma" => ",", "point" => ".", "none" => ""}.freeze

      module_function

      # As few decimals as tell a Rational exactly; nil where `most` are not enough.
      def places(value, most: 6) = (0..most).find { |count| (value * 10**count % 1).zero? }

      # At most `decimals` places, no trailing zeros: 12.5, 1000.
      def plain(value, decimals: 6)
        text = format("%.#{decimals}f", value)
        text = text.sub(/\.?0+\z/, "") if text.include?(".")
        (text == "-0") ? "0" : text
      end

      # A Float that is whole as an Integer, so that 2500.0 reads 2500.
      def tidy(value) = (value == value.to_i) ? value.to_i : value

      # Groups of three, from five digits on or always: 12,500.
      def grouped(value, separator: ",", decimals: 0)
        whole, part = format("%.#{decimals}f", value).split(".")
        whole = whole.gsub(/(\d)(?=(\d{3})+\z)/, "\\1#{separator}")
        part ? "#{whole}.#{part}" : whole
      end
    end
  end
end
