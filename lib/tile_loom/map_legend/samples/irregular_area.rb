# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Samples
      # An outline with bays: a circle whose radius swings twice and three times on its way round.
      class IrregularArea < Sample
        kind "irregular_area", "irregular area", rank: 2
        shape :area

        STEPS = 48

        def runs(box) = [within(box, OUTLINE)]

        OUTLINE =
          (0...STEPS)
            .flat_map do |step|
              angle = 2 * Math::PI * step / STEPS
              radius = 1 + 0.16 * Math.cos(2 * angle + 0.7) + 0.11 * Math.sin(3 * angle)
              [radius * Math.cos(angle), radius * Math.sin(angle)]
            end
            .each_slice(2)
            .to_a
            .transpose
            .map { |list| list.map { |value| (value - list.min) / (list.max - list.min) } }
            .transpose
            .flatten
            .freeze
      end
    end
  end
end
