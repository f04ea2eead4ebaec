# frozen_string_literal: true

module TileLoom
  module Symbology
    module LayerKinds
      # Lines.
      class Line < LayerKind
        kind "line", "line", rank: 2
        types 2, 5

        def self.strokes? = true

        def self.symbol(colour) = {"strokes" => [{"colour" => colour, "width_mm" => 0.3, "cap" => "round"}]}
      end
    end
  end
end
