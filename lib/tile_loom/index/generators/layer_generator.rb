# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Cells from polygons that were drawn elsewhere.
      class LayerGenerator < Generator
        kind "layer", "Cells of a layer", rank: 4
        named_by "attribute"
        part :scale_attribute, Values::Text.new(least: 1, most: 200), about: "From a layer: where the scale is."
        part :turn_attribute,
          Values::Text.new(least: 1, most: 200),
          about: "From a layer: where the turn is, counter-clockwise in degrees."

        def cells
          weaver =
            FromLayer.new(
              size: ->(scale) { size(scale) },
              scale: @index.scale,
              scale_attribute: @index.scale_attribute,
              turn_attribute: @index.turn_attribute
            )
          cells = weaver.cells(features) { |feature| name_of(feature) }
          if weaver.misfits.any?
            @notes << "#{weaver.misfits.length} of #{cells.length} polygons are not of the frame’s shape at their " \
              "scale (#{listed(weaver.misfits)}); their sheets show what the frame covers about their middle."
          end
          [cells, cells.map(&:name)]
        end
      end
    end
  end
end
