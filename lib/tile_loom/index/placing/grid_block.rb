# frozen_string_literal: true

module TileLoom
  module Index
    # Places of a grid that lie together, which are looked at as a whole: most blocks of a large index lie wholly in
    # the study area or wholly beside it.
    class GridBlock
      # Rows and columns of a block.
      SIDE = 16
      # Of a cell's size, by which the ground of a block is larger than its cells, so that no rounding matters.
      MARGIN = 1e-6
      private_constant :MARGIN

      # rows: of [row, column, Geometry::TurnedRectangle], all turned alike.
      def initialize(rows) = @rectangles = rows.flat_map { |row| row.map(&:last) }

      # How much of each of its cells is area: 1.0 or 0.0; nil where it is not the same for all for sure.
      def share_of(area)
        shape = ground.shape
        return 1.0 if area.holds?(shape)
        area.touches?(shape) ? nil : 0.0
      end

      private

      # What holds all of its cells, however much their sizes differ.
      def ground
        first, last = @rectangles.values_at(0, -1)
        dx, dy = last.centre_x - first.centre_x, last.centre_y - first.centre_y
        along, across = Axes.new(first.ccw_deg).along([dx, dy])
        width, height = @rectangles.map(&:width).max, @rectangles.map(&:height).max
        Geometry::TurnedRectangle.new(
          first.centre_x + dx / 2,
          first.centre_y + dy / 2,
          along.abs + width * (1 + MARGIN),
          across.abs + height * (1 + MARGIN),
          first.rotation_deg
        )
      end
    end
  end
end
