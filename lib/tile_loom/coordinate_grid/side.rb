# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # The four sides of a frame on the page.
    module Side
      ALL = %w[top right bottom left].freeze
      # Away from the frame, page mm, y down.
      OUTWARD = {"top" => [0.0, -1.0], "right" => [1.0, 0.0], "bottom" => [0.0, 1.0], "left" => [-1.0, 0.0]}.freeze

      module_function

      def level?(side) = %w[top bottom].include?(side)

      # The two ends of a side of a box, from left to right or from top to bottom.
      def ends(side, box)
        case side
        when "top"
          [[box.min_x, box.min_y], [box.max_x, box.min_y]]
        when "bottom"
          [[box.min_x, box.max_y], [box.max_x, box.max_y]]
        when "left"
          [[box.min_x, box.min_y], [box.min_x, box.max_y]]
        else
          [[box.max_x, box.min_y], [box.max_x, box.max_y]]
        end
      end
    end
  end
end
