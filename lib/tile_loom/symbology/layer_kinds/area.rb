# frozen_string_literal: true

module TileLoom
  module Symbology
    module LayerKinds
      # Areas.
      class Area < LayerKind
        kind "area", "area", rank: 3
        types 3, 6

        def self.strokes? = true

        def self.fills? = true

        def self.symbol(colour) =
          {
            "fill" => {
              "colour" => colour,
              "opacity" => 0.18
            },
            "strokes" => [{"colour" => colour, "width_mm" => 0.3}]
          }
      end
    end
  end
end
