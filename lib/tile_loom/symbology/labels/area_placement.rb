# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # Where the labels of areas may stand.
      class AreaPlacement < Values::Value
        define "label_area_places"
        part :course,
          choice(
            level: "level, at the widest place",
            axis: "straight along the long axis",
            curved: "curved along the middle"
          ),
          default: "level",
          about: "Level at the widest place, straight along the long axis, or curved along the middle."
        part :letterspaced, flag, default: false, about: "Are its letters spaced so that the label spans the area?"
        part :maximum_spacing,
          number(0..20),
          default: 3,
          about: "At most so many times the type's size between letters."
        part :outside, flag, default: true, about: "Beside an area that is too small for it, with a leader line?"
        part :leader_mm, number(1..100), default: 9, about: "So far from it at the most."

        # Round one that is too small.
        def around = PointPlacement.new({"gap_mm" => 0.6, "leader_mm" => leader_mm})

        def scaled(factor) = reckoned(leader_mm: leader_mm * factor)
      end
    end
  end
end
