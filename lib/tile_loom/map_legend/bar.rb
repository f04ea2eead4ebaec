# frozen_string_literal: true

module TileLoom
  module MapLegend
    # How a ramp of colours is drawn out in a legend.
    class Bar < Values::Value
      define "legend_bar"
      part :direction, choice(level: "level", upright: "upright"), default: "level"
      part :length_mm, number(5..500), default: 40
      part :thickness_mm, number(0.5..50), default: 3
      part :labels,
        list(Values::Number.new(-1e12..1e12), most: 30),
        default: [],
        about: "The values that are labelled; without any, its two ends."
      part :decimals, whole(0..12), default: 0
      part :unit, text(most: 20), about: "In place of the ramp's own."
    end
  end
end
