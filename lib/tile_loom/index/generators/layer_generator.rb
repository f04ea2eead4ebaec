# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Cells from polygons that were drawn elsewhere.
      class LayerGenerator < Generator
        kind "layer", "Cells of a layer", rank: 4
        named_by "field"
        part :scale_field, Values::Text.new(least: 1, most: 200), about: "From a layer: where the scale is."
        part :rotation_field,
          Values::Text.new(least: 1, most: 200),
          about: "From a layer: where the rotation in degrees is."
        part :rotation_sense,
          Values::Choice.new(clockwise: "clockwise", counter_clockwise: "counter-clockwise"),
          default: "clockwise",
          about: "From a layer: which way its rotation counts from north up."

        def cells
          generator =
            FromLayer.new(
              size: ->(scale) { size(scale) },
              scale: @index.scale,
              scale_field: @index.scale_field,
              rotation_field: @index.rotation_field,
              clockwise: @index.rotation_sense == "clockwise"
            )
          cells = generator.cells(features) { |feature| name_of(feature) }
          if generator.misfits.any?
            @notes << "#{generator.misfits.length} of #{cells.length} polygons are not of the frame’s shape at their " \
              "scale (#{listed(generator.misfits)}); their sheets show what the frame covers about their middle."
          end
          [cells, cells.map(&:name)]
        end
      end
    end
  end
end
