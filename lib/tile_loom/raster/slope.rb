# frozen_string_literal: true

module TileLoom
  module Raster
    # Pixels of a level of a raster on the ground, in metres, for gradients of heights. Where a reference counts in
    # degrees a pixel narrows towards the poles, row by row.
    class Slope
      # B. K. P. Horn, Hill shading and the reflectance map (Proc. IEEE 69, 1981): sums to 8 pixels.
      ALONG = [[-1, 0, 1], [-2, 0, 2], [-1, 0, 1]].freeze
      DOWN = [[-1, -2, -1], [0, 0, 0], [1, 2, 1]].freeze

      # grid: of the finest level; factor: of the level; left, top: of the window's first pixel.
      def initialize(grid, factor, left, top)
        @grid, @factor, @left, @top = grid, factor, left, top
        @system = grid.system
      end

      # Rise a metre towards east and towards north: two Vips::Images. times: by which heights count.
      def gradient(heights, times)
        along = heights.conv(kernel(ALONG), precision: :float) * (times / 8.0)
        down = heights.conv(kernel(DOWN), precision: :float) * (times / 8.0)
        a, b, c, d = @grid.affine.to_a.first(4)
        a, b = [a, b].map { |number| number * @factor[0] }
        c, d = [c, d].map { |number| number * @factor[1] }
        det = a * d - b * c
        east = (along * (d / det)) - (down * (b / det))
        north = (down * (a / det)) - (along * (c / det))
        metres(east, north)
      end

      private

      def kernel(rows) = Vips::Image.new_from_array(rows)

      def metres(east, north)
        return [east, north].map { |image| image / @system.metres_per_unit } unless @system.geographic?
        widths, lengths = rows(east.height).transpose
        [east / column(widths, east), north / column(lengths, east)]
      end

      # Of each row's middle.
      def rows(count)
        (0...count).map do |row|
          _, latitude = @grid.affine.point((@left + 0.5) * @factor[0], (@top + row + 0.5) * @factor[1])
          Degrees.metres(latitude)
        end
      end

      def column(list, like)
        Vips::Image.new_from_memory(list.pack("f*"), 1, list.length, 1, :float).embed(
          0,
          0,
          like.width,
          list.length,
          extend: :copy
        )
      end
    end
  end
end
