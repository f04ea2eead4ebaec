# frozen_string_literal: true

module TileLoom
  module Layout
    # Standard sizes of paper, upright, in millimetres.
    # A and B: ISO 216, table 1; ANSI: ASME Y14.1 (inches); ARCH: the architectural series of the same
    # standard (inches).
    module PageSize
      inch = Rational(254, 10)
      ALL =
        {
          "A0" => [841, 1189],
          "A1" => [594, 841],
          "A2" => [420, 594],
          "A3" => [297, 420],
          "A4" => [210, 297],
          "A5" => [148, 210],
          "A6" => [105, 148],
          "B0" => [1000, 1414],
          "B1" => [707, 1000],
          "B2" => [500, 707],
          "B3" => [353, 500],
          "B4" => [250, 353],
          "B5" => [176, 250],
          "B6" => [125, 176],
          "ANSI A" => [inch * 17 / 2, inch * 11],
          "ANSI B" => [inch * 11, inch * 17],
          "ANSI C" => [inch * 17, inch * 22],
          "ANSI D" => [inch * 22, inch * 34],
          "ANSI E" => [inch * 34, inch * 44],
          "ARCH A" => [inch * 9, inch * 12],
          "ARCH B" => [inch * 12, inch * 18],
          "ARCH C" => [inch * 18, inch * 24],
          "ARCH D" => [inch * 24, inch * 36],
          "ARCH E" => [inch * 36, inch * 48]
        }.transform_values { |size| size.map(&:to_f) }.freeze

      CUSTOM = "custom"

      module_function

      def names = ALL.keys + [CUSTOM]
    end
  end
end
