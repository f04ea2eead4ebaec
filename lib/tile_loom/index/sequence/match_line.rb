# frozen_string_literal: true

module TileLoom
  module Index
    # Where one sheet ends and its neighbour takes over: a line on the ground, the same for both, across the
    # middle of what both show, square to the way from one to the other.
    class MatchLine
      MAIN = %w[north east south west].freeze

      # neighbour: the Cell that takes over.
      attr_reader :neighbour

      # The match lines of a cell: with the cells beside it in its row or column (or along its line), or
      # straight above, below and beside it. neighbours: {direction → Cell}.
      def self.of(cell, neighbours)
        neighbours
          .filter_map { |direction, other| new(cell, other) if MAIN.include?(direction) || beside?(cell, other) }
          .select(&:there?)
      end

      # Do two cells share enough for a line between them?
      def self.beside?(one, other)
        (one.row == other.row && (one.column - other.column).abs == 1) ||
          (one.column == other.column && (one.row - other.row).abs == 1)
      end

      def initialize(cell, neighbour)
        @cell, @neighbour = cell, neighbour
      end

      # Do both show some of the same ground, or at least an edge of it?
      def there? = !ends.nil?

      # Flat ground coordinates [x1, y1, x2, y2] of the line inside the cell.
      def ends
        @ends ||=
          begin
            shared = shape(@cell).intersection(shape(@neighbour))
            shared.empty? ? nil : across(shared.centroid)
          end
      end

      private

      def shape(cell) = cell.ground.shape

      # Always from the lower numbered cell to the other, so that both reckon the same line.
      def across(middle)
        one, other = [@cell, @neighbour].sort_by(&:number).map(&:ground)
        dx, dy = direction(one, other)
        reach = @cell.ground.width + @cell.ground.height
        line =
          Geometry::Geos.read(
            Geometry::Wkb.line(
              [middle.x - dy * reach, middle.y + dx * reach, middle.x + dy * reach, middle.y - dx * reach]
            )
          )
        part = line.intersection(shape(@cell))
        if part.empty?
          nil
        else
          Geometry::Wkb.each_run(Geometry::Geos.write(part)).first[1].then do |run|
            (run.length >= 4) ? run.first(2) + run.last(2) : nil
          end
        end
      end

      # From one to the other, of length 1; cells of one turn are parted along their own axes.
      def direction(one, other)
        dx, dy = other.centre_x - one.centre_x, other.centre_y - one.centre_y
        if (one.rotation_deg - other.rotation_deg).abs < 1e-9
          axes = Axes.new(one.ccw_deg)
          u, v = axes.along([dx, dy])
          dx, dy = axes.ground((u.abs / one.width >= v.abs / one.height) ? [u, 0.0] : [0.0, v])
        end
        length = Math.hypot(dx, dy)
        length.zero? ? [1.0, 0.0] : [dx / length, dy / length]
      end
    end
  end
end
