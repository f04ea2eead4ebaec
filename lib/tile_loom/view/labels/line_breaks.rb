# frozen_string_literal: true

module TileLoom
  module View
    module Labels
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
              ring = Geometry::Runs.backwards(ring) if area(ring).negative?
              [Geometry::Box.around(ring), ring]
            end
        end

        # Runs of page mm, each as it is or in pieces.
        def cut(runs)
          runs.flat_map do |run|
            near = near(Geometry::Box.around(run), @holes)
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

        def near(box, holes) = holes.select { |hole, _| hole.intersects?(box) }

        def pieces(run, holes)
          @found, @piece = [], run.first(2)
          Geometry::Runs
            .parts(run)
            .each do |box, part|
              near = near(box, holes)
              near.empty? ? @piece.concat(part.drop(2)) : through(part, near)
            end
          finish
          @found
        end

        def finish = (@found << @piece if @piece.length >= 4)

        def through(part, holes)
          index, size = 2, part.length
          while index < size
            x1, y1, x2, y2 = part[index - 2], part[index - 1], part[index], part[index + 1]
            index += 2
            gaps = gaps(x1, y1, x2, y2, holes)
            next @piece << x2 << y2 unless gaps
            gaps.each do |first, last|
              @piece << x1 + (x2 - x1) * first << y1 + (y2 - y1) * first if first.positive?
              finish
              @piece = (last < 1) ? [x1 + (x2 - x1) * last, y1 + (y2 - y1) * last] : []
            end
            @piece << x2 << y2 if gaps.last[1] < 1
          end
        end

        # Shares of a straight piece that lie in holes, joined where they overlap, in order; nil where none does.
        def gaps(x1, y1, x2, y2, holes)
          found = nil
          holes.each do |box, ring|
            next if (x1 < box.min_x && x2 < box.min_x) || (x1 > box.max_x && x2 > box.max_x)
            next if (y1 < box.min_y && y2 < box.min_y) || (y1 > box.max_y && y2 > box.max_y)
            share = within(x1, y1, x2 - x1, y2 - y1, ring)
            (found ||= []) << share if share
          end
          found && joined(found)
        end

        def joined(shares) =
          shares
            .sort
            .each_with_object([]) do |(first, last), joined|
              (joined.any? && first <= joined.last[1]) ?
                joined.last[1] = [joined.last[1], last].max :
                joined << [first, last]
            end

        # [first, last] shares of a piece in a convex ring (M. Cyrus, J. Beck, Computers and Graphics 3, 1978), or nil.
        def within(x, y, dx, dy, ring)
          first, last = 0.0, 1.0
          index, size = 0, ring.length
          px, py = ring[size - 2], ring[size - 1]
          while index < size
            qx, qy = ring[index], ring[index + 1]
            inside = (qx - px) * (y - py) - (qy - py) * (x - px)
            change = (qx - px) * dy - (qy - py) * dx
            px, py = qx, qy
            index += 2
            if change.zero?
              return nil if inside.negative?
            else
              share = -inside / change
              if change.positive?
                first = share if share > first
              elsif share < last
                last = share
              end
              return nil if first >= last
            end
          end
          (first < last) ? [first, last] : nil
        end

        def area(ring) =
          ring.each_slice(2).to_a.then { |list| list.zip(list.rotate).sum { |(x1, y1), (x2, y2)| x1 * y2 - x2 * y1 } }
      end
    end
  end
end
