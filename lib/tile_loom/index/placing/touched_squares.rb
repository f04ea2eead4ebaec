# frozen_string_literal: true

module TileLoom
  module Index
    # The squares of a fine raster, along a grid's axes, that an area touches, with a table of sums.
    class TouchedSquares
      # Looking a cell up in the table is this much of the work of looking at its geometry.
      LOOK_UPS = 0.02

      # steps: squares along each side of a cell's pitch.
      def initialize(area, grid, steps)
        @area, @grid, @steps = area, grid, steps
        @side = grid.pitch.map { |pitch| pitch / steps }
        @cell = grid.extent.zip(@side).map { |extent, side| (extent / side - 1e-9).ceil }
        box = grid.bounds
        @low = [box.min_x, box.min_y]
        @wide, @high = [box.width / @side[0], box.height / @side[1]].map { |squares| [(squares - 1e-9).ceil, 1].max }
        @sums = sums(touched)
      end

      # All shifts, as [squares along, squares up], by which a cell's corner may lie before the area's.
      def shifts = (0...@steps).to_a.product((0...@steps).to_a)

      # Cells that show a touched square when the first cell begins so many squares before the area does.
      def count((along, up))
        Pulse.step(LOOK_UPS * @wide * @high / @steps / @steps)
        (-up...@high)
          .step(@steps)
          .sum do |bottom|
            (-along...@wide).step(@steps).count { |left| any?(left, bottom, left + @cell[0], bottom + @cell[1]) }
          end
      end

      # What a shift means to Grid#cells: its distance from the centred grid along the axes.
      def length((along, up))
        [along, up].each_with_index.map do |squares, axis|
          (@low[axis] - squares * @side[axis] - @grid.corner[axis]) % @grid.pitch[axis]
        end
      end

      private

      def any?(left, bottom, right, top)
        left, right = left.clamp(0, @wide), right.clamp(0, @wide)
        bottom, top = bottom.clamp(0, @high), top.clamp(0, @high)
        @sums[top][right] - @sums[bottom][right] - @sums[top][left] + @sums[bottom][left] > 0
      end

      # Blocks that lie wholly outside or inside are settled at once; only those on the edge are quartered.
      def touched
        squares = Array.new(@high) { Array.new(@wide, 0) }
        blocks = [[0, 0, @wide, @high]]
        until blocks.empty?
          left, bottom, right, top = blocks.pop
          Pulse.step
          shape = block(left, bottom, right, top)
          next unless @area.touches?(shape)
          if @area.holds?(shape) || (right - left == 1 && top - bottom == 1)
            (bottom...top).each { |row| squares[row].fill(1, left...right) }
          else
            quarter(left, bottom, right, top, blocks)
          end
        end
        squares
      end

      def quarter(left, bottom, right, top, blocks)
        middle = (right - left > 1) ? (left + right) / 2 : right
        centre = (top - bottom > 1) ? (bottom + top) / 2 : top
        [[left, middle], [middle, right]].product([[bottom, centre], [centre, top]])
          .each { |(from, to), (low, high)| blocks << [from, low, to, high] if to > from && high > low }
      end

      # Drawn in by a hair, as cells are: what only touches an edge does not count.
      HAIR = 1e-7

      def block(left, bottom, right, top)
        dx, dy = @side[0] * HAIR, @side[1] * HAIR
        x1, x2 = @low[0] + left * @side[0] + dx, @low[0] + right * @side[0] - dx
        y1, y2 = @low[1] + bottom * @side[1] + dy, @low[1] + top * @side[1] - dy
        Geometry::Geos.polygon(@grid.axes.ground([x1, y1, x2, y1, x2, y2, x1, y2]))
      end

      def sums(squares)
        table = [Array.new(@wide + 1, 0)]
        squares.each do |row|
          above = table.last
          sum = 0
          table << [0, *row.each_with_index.map { |value, column| above[column + 1] + (sum += value) }]
        end
        table
      end
    end
  end
end
