# frozen_string_literal: true

module TileLoom
  module Labelling
    # A convex piece of paper that something takes: [min_x, min_y, max_x, max_y] in page mm, with the flat corners of
    # its ring behind them where it is not upright. Plain arrays, as tens of thousands are compared.
    module Footprint
      module_function

      def upright(min_x, min_y, max_x, max_y) = [min_x, min_y, max_x, max_y]

      def of(box) = [box.min_x, box.min_y, box.max_x, box.max_y]

      # ring: flat corners in order.
      def ring(ring)
        box = Geometry::Box.around(ring)
        [box.min_x, box.min_y, box.max_x, box.max_y, ring]
      end

      # A rectangle of text: from (x, y) on its baseline, turned clockwise, reaching from `left` to `right` along it
      # and from `top` (negative: above) to `bottom` across it.
      def along(x, y, angle, left, right, top, bottom)
        return x + left, y + top, x + right, y + bottom if angle.zero?
        cos, sin = Math.cos(angle), Math.sin(angle)
        left_x, left_y = x + left * cos, y + left * sin
        right_x, right_y = x + right * cos, y + right * sin
        top_x, top_y, bottom_x, bottom_y = top * sin, top * cos, bottom * sin, bottom * cos
        ring(
          [
            left_x - top_x,
            left_y + top_y,
            right_x - top_x,
            right_y + top_y,
            right_x - bottom_x,
            right_y + bottom_y,
            left_x - bottom_x,
            left_y + bottom_y
          ]
        )
      end

      # A line from one place to another, half as wide as given to either side.
      def segment(x1, y1, x2, y2, half)
        length = Math.hypot(x2 - x1, y2 - y1)
        return x1 - half, y1 - half, x1 + half, y1 + half if length < 1e-9
        angle = Math.atan2(y2 - y1, x2 - x1)
        along(x1, y1, (angle.abs < 1e-12) ? 0 : angle, 0.0, length, -half, half)
      end

      def corners(footprint)
        min_x, min_y, max_x, max_y, ring = footprint
        ring || [min_x, min_y, max_x, min_y, max_x, max_y, min_x, max_y]
      end

      # Have two an inner point in common?
      def touch?(one, other)
        return false if one[0] >= other[2] || one[2] <= other[0] || one[1] >= other[3] || one[3] <= other[1]
        return true unless one[4] || other[4]
        !(apart?(corners(one), corners(other)) || apart?(corners(other), corners(one)))
      end

      # Is there a side of the first beyond which all of the second lies?
      def apart?(ring, other)
        size, area = ring.length, 0.0
        index = 0
        px, py = ring[size - 2], ring[size - 1]
        while index < size
          x, y = ring[index], ring[index + 1]
          area += px * y - x * py
          px, py = x, y
          index += 2
        end
        sign = area.negative? ? -1.0 : 1.0
        px, py = ring[size - 2], ring[size - 1]
        index = 0
        while index < size
          x, y = ring[index], ring[index + 1]
          dx, dy = (x - px) * sign, (y - py) * sign
          return true if beyond?(other, px, py, dx, dy)
          px, py = x, y
          index += 2
        end
        false
      end

      def beyond?(other, px, py, dx, dy)
        index, size = 0, other.length
        while index < size
          return false if dx * (other[index + 1] - py) - dy * (other[index] - px) > 1e-9
          index += 2
        end
        true
      end
    end
  end
end
