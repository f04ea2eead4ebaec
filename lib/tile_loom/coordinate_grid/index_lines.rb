# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Every nth line of a grid, drawn heavier.
    class IndexLines < Values::Value
      # A stroke of which what is not given comes from the grid's own, twice as wide.
      define
      part :every, whole(2..100), required: true
      part :stroke, Values::Plain.new({"$ref" => "#/$defs/stroke"})

      # plain: the Scene::Stroke of the other lines.
      def stroke_over(plain)
        heavier = plain.with(width_mm: plain.width_mm * 2)
        own = (stroke || {}).transform_keys(&:to_sym)
        heavier.with(**own)
      end
    end
  end
end
