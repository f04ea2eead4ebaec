# frozen_string_literal: true

module TileLoom
  module Geometry
    # An affine map of the plane: x′ = a·x + c·y + e, y′ = b·x + d·y + f (the order of PDF and SVG).
    Affine =
      Struct.new(:a, :b, :c, :d, :e, :f) do
        # A turn about a point, clockwise as it looks on a page (y down).
        def self.turn(angle_deg, x, y)
          cos, sin = Math.cos(angle_deg * Math::PI / 180), Math.sin(angle_deg * Math::PI / 180)
          new(cos, sin, -sin, cos, x - cos * x + sin * y, y - sin * x - cos * y)
        end

        # The other map first, then this one.
        def *(other)
          self.class.new(
            a * other.a + c * other.b,
            b * other.a + d * other.b,
            a * other.c + c * other.d,
            b * other.c + d * other.d,
            a * other.e + c * other.f + e,
            b * other.e + d * other.f + f
          )
        end

        # By how much lengths grow, on the average of directions.
        def growth = Math.sqrt((a * d - b * c).abs)

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

    Affine::IDENTITY = Affine.new(1.0, 0.0, 0.0, 1.0, 0.0, 0.0).freeze
  end
end
