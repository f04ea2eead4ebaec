# frozen_string_literal: true

module TileLoom
  module Index
    # The usual scales of plans and maps (common practice), as denominators.
    module StandardScales
      ALL = [
        100,
        200,
        250,
        500,
        1000,
        1250,
        2000,
        2500,
        4000,
        5000,
        10_000,
        12_500,
        20_000,
        25_000,
        50_000,
        100_000,
        250_000,
        500_000,
        1_000_000,
        2_500_000,
        5_000_000,
        10_000_000,
        25_000_000,
        50_000_000
      ].freeze

      module_function

      # A scale between the two standard ones on either side of it, so that nobody finds a scale by trial and error.
      def beside(scale) =
        [*ALL.select { |other| other < scale }.last(2), scale, *ALL.select { |other| other > scale }.first(2)]
    end
  end
end
