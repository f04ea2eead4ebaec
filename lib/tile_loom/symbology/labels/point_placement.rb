# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # Where the labels of points may stand.
      class PointPlacement < Values::Value
        # In the order of preference that is common for maps: upper right, upper left, lower left, lower right, right,
        # above, left, below (from memory: E. Imhof, Positioning Names on Maps, The American Cartographer 2, 1975, has
        # the upper right first; P. Yoeli, The Logic of Automated Map Lettering, 1972; the whole order as J.
        # Christensen, J. Marks, S. Shieber, ACM Transactions on Graphics 14, 1995, give it).
        ORDER = %w[upper_right upper_left lower_left lower_right right above left below].freeze
        # As they lie round the symbol, row by row.
        TITLES = {
          upper_left: "upper left",
          above: "above",
          upper_right: "upper right",
          left: "left",
          centred: "on the point",
          right: "right",
          lower_left: "lower left",
          below: "below",
          lower_right: "lower right"
        }.freeze

        define "label_point_places"
        part :positions,
          list(choice(**TITLES), least: 1, most: TITLES.length, unique: true),
          default: ORDER,
          about: "Round the symbol, the best first."
        part :gap_mm, number(0..50), default: 0.5, about: "Between the symbol and the text."
        part :leader, flag, default: true, about: "May it be moved away, with a leader line?"
        part :leader_mm, number(1..100), default: 9, about: "So far at the most."

        def scaled(factor) = reckoned(gap_mm: gap_mm * factor, leader_mm: leader_mm * factor)
      end
    end
  end
end
