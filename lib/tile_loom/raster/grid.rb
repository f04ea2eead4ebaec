# frozen_string_literal: true

module TileLoom
  module Raster
    # Where the pixels of a raster lie: so many across and down, an affine map from corners of pixels (column, row from
    # the upper left) to the plane of a reference. crs: code or definition of it.
    Grid =
      Struct.new(:width, :height, :affine, :crs) do
        # numbers: as GDAL has a geotransform, x = [0] + column × [1] + row × [2], y = [3] + column × [4] + row × [5].
        def self.of(width, height, numbers, crs)
          x, a, c, y, b, d = numbers.map(&:to_f)
          new(width, height, Geometry::Affine.new(a, b, c, d, x, y), crs)
        end

        def system(operations: nil) = Crs::System.find(crs, operations: operations)

        # Ground units → [column, row] of corners of pixels.
        def inverse = affine.inverse

        # Flat corners in the reference's units, from the upper left round.
        def corners = affine.map([0, 0, width, 0, width, height, 0, height])

        # The Geometry::Box about all of it.
        def box = Geometry::Box.around(corners)

        # Do rows run along the first axis and columns along the second?
        def upright? = affine.b.zero? && affine.c.zero?

        # [width, height] of a pixel in the reference's units.
        def pixel = [Math.hypot(affine.a, affine.b), Math.hypot(affine.c, affine.d)]

        # Pixels an inch of paper at a scale (its denominator), by the finer of its directions.
        def ppi_at(scale) = 0.0254 * scale / pixel_m.min

        # [width, height] of a pixel in the middle, in metres on the ground.
        def pixel_m
          system = self.system
          across, down = pixel
          return [across, down].map { |units| units * system.metres_per_unit } unless system.geographic?
          middle = affine.point(width / 2.0, height / 2.0)
          along, up = Degrees.metres(middle[1])
          [across * along, down * up]
        end
      end
  end
end
