# frozen_string_literal: true

module TileLoom
  module Index
    # The ground of many cells as few shapes, which together are what the cells are together: cells of one height that
    # stand in a row and touch or overlap are one rectangle.
    class JoinedGround
      # Of a cell's size, within which two are as high and stand in one row: far less than can be drawn.
      SAME = 1e-9

      # cells: Cell list.
      def initialize(cells) = @cells = cells

      # GEOS polygons.
      def shapes = @shapes ||= rows.flat_map { |row| joined(row) }

      # All of it as one.
      def union = @union ||= Geometry::Geos.union(shapes)

      private

      # A rectangle along its own axes: where it begins and ends, and its middle across.
      Span = Struct.new(:from, :to, :across, :rectangle)
      private_constant :Span

      # Lists of Spans that stand in one row, from its beginning.
      def rows = @cells.map(&:ground).group_by(&:ccw_deg).flat_map { |turn, alike| in_rows(spans(alike, turn)) }

      def spans(rectangles, turn)
        middles = Axes.new(turn).along(rectangles.flat_map { |one| [one.centre_x, one.centre_y] })
        rectangles
          .zip(middles.each_slice(2))
          .map do |rectangle, (along, across)|
            Span.new(along - rectangle.width / 2.0, along + rectangle.width / 2.0, across, rectangle)
          end
      end

      def in_rows(spans) =
        spans
          .sort_by { |span| [span.across, span.from] }
          .slice_when { |one, other| !row?(one, other) }
          .map { |row| row.sort_by(&:from) }

      def row?(one, other)
        least = one.rectangle.height * SAME
        other.across - one.across <= least && (other.rectangle.height - one.rectangle.height).abs <= least
      end

      # Shapes of the runs of a row that have no gap.
      def joined(row)
        shapes, first, to = [], row.first, row.first.to
        row.each do |span|
          if span.from > to + first.rectangle.width * SAME
            shapes << run(first, to)
            first, to = span, span.to
          end
          to = [to, span.to].max
        end
        shapes << run(first, to)
      end

      # One that begins as a Span does, and ends elsewhere.
      def run(first, to)
        one = first.rectangle
        return one.shape if to == first.to
        middle = Axes.new(one.ccw_deg).ground([(first.from + to) / 2, first.across])
        Geometry::TurnedRectangle.turned(*middle, to - first.from, one.height, one.ccw_deg).shape
      end
    end
  end
end
