# frozen_string_literal: true

module TileLoom
  module View
    # Interrupts lines where labels stand on them.
    class LineBreaks
      # Room before and behind a label, in mm.
      ROOM_MM = 0.5

      # rings: flat convex rings of the labels' parts in page mm.
      def initialize(rings)
        @holes =
          rings.map do |ring|
            ring = wider(ring)
            # Counter-clockwise, whichever way it came.
            ring = ring.each_slice(2).to_a.reverse.flatten if area(ring).negative?
            [Geometry::Box.around(ring), ring]
          end
      end

      # Runs of page mm, each as it is or in pieces.
      def cut(runs)
        runs.flat_map do |run|
          box = Geometry::Box.around(run)
          near = @holes.select { |hole, _| hole.intersects?(box) }
          near.empty? ? [run] : pieces(run, near)
        end
      end

      private

      # Away from its middle by the room.
      def wider(ring)
        x, y = Geometry::Box.around(ring).centre
        ring
          .each_slice(2)
          .flat_map do |u, v|
            size = Math.hypot(u - x, v - y)
            share = size.positive? ? 1 + ROOM_MM / size : 1
            [x + (u - x) * share, y + (v - y) * share]
          end
      end

      def pieces(run, holes)
        found, piece = [], run.first(2)
        run
          .each_slice(2)
          .each_cons(2) do |from, to|
            gaps = gaps(from, to, holes)
            gaps.each do |first, last|
              piece.concat(between(from, to, first)) if first.positive?
              found << piece if piece.length >= 4
              piece = (last < 1) ? between(from, to, last) : []
            end
            piece.concat(to) unless gaps.any? && gaps.last[1] >= 1
          end
        found << piece if piece.length >= 4
        found
      end

      def between((x1, y1), (x2, y2), share) = [x1 + (x2 - x1) * share, y1 + (y2 - y1) * share]

      # Shares of a straight piece that lie in holes, joined where they overlap, in order.
      def gaps((x1, y1), (x2, y2), holes)
        low_x, high_x = [x1, x2].minmax
        low_y, high_y = [y1, y2].minmax
        found =
          holes.filter_map do |box, ring|
            next if box.min_x > high_x || box.max_x < low_x || box.min_y > high_y || box.max_y < low_y
            within(x1, y1, x2 - x1, y2 - y1, ring)
          end
        found
          .sort
          .each_with_object([]) do |(first, last), joined|
            (joined.any? && first <= joined.last[1]) ?
              joined.last[1] = [joined.last[1], last].max :
              joined << [first, last]
          end
      end

      # [first, last] shares of a piece in a convex ring (M. Cyrus, J. Beck, Computers and Graphics 3, 1978), or nil.
      def within(x, y, dx, dy, ring)
        first, last = 0.0, 1.0
        corners = ring.each_slice(2).to_a
        corners.each_with_index do |(px, py), index|
          qx, qy = corners[(index + 1) % corners.length]
          inside = ((qx - px) * (y - py) - (qy - py) * (x - px))
          change = ((qx - px) * dy - (qy - py) * dx)
          if change.zero?
            return nil if inside.negative?
          else
            share = -inside / change
            change.positive? ? first = [first, share].max : last = [last, share].min
          end
        end
        (first < last) ? [first, last] : nil
      end

      def area(ring) =
        ring.each_slice(2).to_a.then { |list| list.zip(list.rotate).sum { |(x1, y1), (x2, y2)| x1 * y2 - x2 * y1 } }
    end
  end
end
