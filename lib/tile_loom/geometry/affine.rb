# frozen_string_literal: true

module TileLoom
  module Geometry
    # An affine map of the plane: x′ = a·x + c·y + e, y′ = b·x + d·y + f (the order of PDF and SVG).
    Affine = Struct.new(:a, :b, :c, :d, :e, :f) do
      # Maps a flat [x, y, …] to a new flat array.
      def map(coordinates)
        a, b, c, d, e, f = to_a
        result = Array.new(coordinates.length)
        index = 0
        size = coordinates.length
        while index < size
          x = coordinates[index]
          y = coordinates[index + 1]
          result[index] = a * x + c * y + e
          result[index + 1] = b * x + d * y + f
          index += 2
        end
        result
      end

      def point(x, y) = [a * x + c * y + e, b * x + d * y + f]

      def inverse
        det = a * d - b * c
        self.class.new(d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det)
      end
    end
  end
end
