# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A straight line across its box: from the upper left to the lower right corner, or rising.
      class Line < Element
        kind "line", "Line", rank: 8
        size_mm 40, 0
        start "stroke" => {"colour" => "#1f2a30", "width_mm" => 0.3}
        part :stroke, Scene::Stroke::TYPE, default: {"width_mm" => 0.3}
        part :slope, choice("down", "up"), default: "down"

        def nodes(_sheet, box)
          run = rising? ? [box.min_x, box.max_y, box.max_x, box.min_y] : [box.min_x, box.min_y, box.max_x, box.max_y]
          [Scene::Path.new(runs: [run], closed: false, stroke: stroke)]
        end

        # A line may be flat: its box then has no height, or no width.
        def least_mm = 0.0

        private

        def rising? = slope == "up"
      end
    end
  end
end
