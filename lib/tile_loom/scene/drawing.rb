# frozen_string_literal: true

module TileLoom
  module Scene
    # A whole page as data. width_mm, height_mm; nodes in drawing order; viewports: the map frames
    # with where on earth they lie; title: the page's entry in an outline; bleed_mm: how far the drawing
    # may go beyond the trimmed page; trim_marks: are there marks to cut by?
    Drawing =
      Struct.new(:width_mm, :height_mm, :nodes, :viewports, :title, :bleed_mm, :trim_marks, keyword_init: true) do
        prepend Node

        # Length of a trim mark, and what stays free between it and the bleed.
        MARK_MM, GAP_MM = 5.0, 1.0

        def initialize(width_mm:, height_mm:, nodes:, viewports: [], title: "", bleed_mm: 0.0, trim_marks: false) =
          super

        # Paper beyond the trimmed page on each side.
        def outside_mm = trim_marks ? bleed_mm + GAP_MM + MARK_MM : bleed_mm

        # Lines to cut by, outside the bleed at each corner: flat [x1, y1, x2, y2] in page mm.
        def trim_lines
          return [] unless trim_marks
          near, far = bleed_mm + GAP_MM, bleed_mm + GAP_MM + MARK_MM
          [0, width_mm].product([0, height_mm])
            .flat_map do |x, y|
              sign_x, sign_y = x.zero? ? -1 : 1, y.zero? ? -1 : 1
              [[x + sign_x * near, y, x + sign_x * far, y], [x, y + sign_y * near, x, y + sign_y * far]]
            end
        end
      end
  end
end
