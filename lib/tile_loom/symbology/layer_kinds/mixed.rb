# frozen_string_literal: true

module TileLoom
  module Symbology
    module LayerKinds
      # Shapes of several kinds.
      class Mixed < LayerKind
        kind "mixed", "shape", rank: 4
        def self.markers? = true

        def self.strokes? = true

        def self.fills? = true

        def self.symbol(colour) = Area.symbol(colour).merge(Point.symbol(colour))
      end
    end
  end
end
