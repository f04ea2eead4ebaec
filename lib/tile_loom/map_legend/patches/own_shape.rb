# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Patches
      # The outlines of a drawing of the book's own, as large as the room lets it be.
      class OwnShape < Patch
        kind "own", "Own shape", rank: 3
        shape :area

        def runs(box)
          return [box.corners] unless @drawing
          outlines = @drawing.shapes.flat_map(&:runs)
          extent = Geometry::Box.around(outlines.flatten)
          size = [box.width / extent.width, box.height / extent.height].min
          x, y = box.centre
          middle_x, middle_y = extent.centre
          outlines.map do |run|
            run.each_slice(2).flat_map { |px, py| [x + (px - middle_x) * size, y + (py - middle_y) * size] }
          end
        end
      end
    end
  end
end
