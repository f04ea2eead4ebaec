# frozen_string_literal: true

module TileLoom
  module Labelling
    # In which direction a text along a line is read: from left to right, and upwards where the line is nearly upright
    # (common practice: such a text is read from the right side of the sheet).
    module Upright
      # Radians from the vertical within which a line counts as upright.
      STEEP = 10 * Math::PI / 180

      module_function

      # Is a text in the direction (dx, dy) of the page read against it?
      def against?(dx, dy)
        angle = Math.atan2(dy, dx)
        angle > Math::PI / 2 - STEEP || angle <= -Math::PI / 2 - STEEP
      end

      # Of a direction or its opposite, in radians clockwise, the one in which a text is read.
      def angle(radians) =
        if against?(Math.cos(radians), Math.sin(radians))
          (radians.positive? ? radians - Math::PI : radians + Math::PI)
        else
          radians
        end
    end
  end
end
