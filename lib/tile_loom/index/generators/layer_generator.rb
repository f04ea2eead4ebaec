# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Cells from polygons that were drawn elsewhere.
      class LayerGenerator < Generator
        def cells
          weaver =
            FromLayer.new(
              size: ->(scale) { size(scale) },
              scale: @index.scale,
              scale_attribute: settings["scale_attribute"],
              turn_attribute: settings["turn_attribute"]
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
