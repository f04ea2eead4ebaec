# frozen_string_literal: true

module TileLoom
  module Units
    # Numbers as people write them, exact: what is shown anywhere reads back. Digits are grouped by commas or spaces, as
    # they are shown; a comma that groups nothing is a decimal sign; the minus may be a true one. The front end reads
    # alike (web/src/numbers/read.ts).
    module NumberText
      SPACES = /[[:space:]]+/
      # "1,189", "402 265.1": the first group has no zero in front, as none that is shown has.
      GROUPED = /\A[+-]?[1-9]\d{0,2}(?:(?:,\d{3})+|(?: \d{3})+)(?:\.\d+)?\z/
      # "1.189,5", "1.189.000": grouped by points, as much of Europe has it, where that is beyond doubt.
      POINTS = /\A[+-]?[1-9]\d{0,2}(?:(?:\.\d{3}){2,}(?:,\d+)?|\.\d{3},\d+)\z/
      SPACED = /\A[+-]?[1-9]\d{0,2}(?: \d{3})+,\d+\z/
      PLAIN = /\A[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)\z/
      FRACTION = %r{\A([+-]?)(?:(\d+) )?(\d+) ?/ ?(\d+)\z}
      # Longer ones are none that anybody writes.
      LONGEST = 60
      private_constant :SPACES, :GROUPED, :POINTS, :SPACED, :PLAIN, :FRACTION, :LONGEST

      module_function

      # A Rational; nil for what is not a number.
      def read(text)
        plain = text.to_s.strip.tr("\u2212\u2013", "-").gsub(SPACES, " ").sub(/\A([+-]) /, "\\1")
        return nil if plain.length > LONGEST
        return fraction(plain) if FRACTION.match?(plain)
        return plain.delete(", ").to_r if GROUPED.match?(plain)
        return plain.delete(". ").tr(",", ".").to_r if POINTS.match?(plain) || SPACED.match?(plain)
        PLAIN.match?(plain) ? plain.tr(",", ".").sub(/\A([+-]?)\./, "\\10.").to_r : nil
      end

      # The denominator of a scale as it is shown, "1:2,500", alone, "2500", or as a number; nil for what is not one
      # above nothing.
      def denominator(given)
        value = (given.is_a?(Numeric) ? given : read(given.to_s.sub(/\A\s*1\s*:/, "")))&.to_f
        (value&.finite? && value.positive?) ? Number.tidy(value) : nil
      end

      # "1 1/4"
      def fraction(plain)
        sign, whole, part, of = FRACTION.match(plain).captures
        return nil if of.to_i.zero?
        value = whole.to_i + Rational(part.to_i, of.to_i)
        (sign == "-") ? -value : value
      end
      private_class_method :fraction
    end
  end
end
