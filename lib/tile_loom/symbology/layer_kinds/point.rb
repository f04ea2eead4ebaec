# frozen_string_literal: true

module TileLoom
  module Symbology
    module LayerKinds
      # Places.
      class Point < LayerKind
        kind "point", "point", rank: 1
        types 1, 4

        def self.markers? = true

        def self.symbol(colour)
          outline = {"colour" => "#ffffff", "width_mm" => 0.2}
          {"marker" => {"shape" => "circle", "size_mm" => 1.6, "colour" => colour, "outline" => outline}}
        end
      end
    end
  end
end
