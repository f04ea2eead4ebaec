# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # An ellipse that fills its box.
      class Ellipse < Element
        STEPS = 72

        def nodes(_sheet, box)
          x, y = box.centre
          ring =
            (0...STEPS).flat_map do |i|
              [
                x + box.width / 2 * Math.cos(2 * Math::PI * i / STEPS),
                y + box.height / 2 * Math.sin(2 * Math::PI * i / STEPS)
              ]
            end
          painted([ring], settings, {"width_mm" => 0.3})
        end
      end
    end
  end
end
