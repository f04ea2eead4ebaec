# frozen_string_literal: true

module TileLoom
  module Data
    # Puts vertices between those of edges that run straight in degrees (RFC 7946, 3.1.1) and bend on the map plane, so
    # that no chord leaves its edge by more than a tolerance. Edges of a file that counts in a plane of its own stay.
    class Densifier
      # Of paper, at the book's scale; a scale five times as large still has it to 0.05 mm.
      TOLERANCE_MM = 0.01
      MOST_HALVINGS = 12
      METRES_PER_DEG = 111_320.0

      # transform: a Crs::Transform; scale: denominator, or nil to leave all edges alone.
      def initialize(transform, scale)
        @transform = transform
        @tolerance =
          (scale && transform.from.geographic? && transform.to.projected?) ? TOLERANCE_MM * scale / 1000.0 : nil
        @units = @tolerance && @tolerance / transform.to.metres_per_unit
      end

      # Well-known binary in degrees, its bending edges with vertices between.
      def dense(wkb)
        if @tolerance.nil? ||
            Geometry::Wkb.each_run(wkb).none? { |kind, run, _| kind != Geometry::Wkb::POINT && bends?(run) }
          return wkb
        end
        Geometry::Wkb.map_runs(wkb) { |kind, run| (kind == Geometry::Wkb::POINT) ? run : filled(run) }
      end

      private

      # A first look without PROJ: an edge of so many metres leaves its chord by no more than an eighth of its square
      # over the radius of the curve, which is the earth's, less towards the poles.
      def bends?(run)
        run.each_slice(2).each_cons(2).any? { |from, to| long?(from, to) }
      end

      def long?((lon1, lat1), (lon2, lat2))
        return false if (lon2 - lon1).abs > 180
        length = Math.hypot((lon2 - lon1) * Math.cos((lat1 + lat2) / 2 * Math::PI / 180), lat2 - lat1) * METRES_PER_DEG
        steep = 1 + Math.tan([lat1.abs, lat2.abs].max.clamp(0, 89) * Math::PI / 180)
        length**2 / 8 / 6_371_000 * steep * 2 > @tolerance
      end

      # Edges are halved all at once, as long as their middles on the plane are off their chords.
      def filled(run)
        points = run.each_slice(2).to_a
        edges = points.each_cons(2).to_a
        added = Array.new(edges.length) { [] }
        open =
          edges.each_with_index.select { |(from, to), _| long?(from, to) }.map { |(from, to), index| [index, from, to] }
        MOST_HALVINGS.times do
          break if open.empty?
          open = halved(open, added)
        end
        flat =
          edges.each_with_index.flat_map { |(from, to), index| [from, *between(from, to, added[index])] } << points.last
        flat.flatten
      end

      # added: what has been put on each edge so far; returns the halves that are to be looked at again.
      def halved(open, added)
        places = open.flat_map { |_, (x1, y1), (x2, y2)| [x1, y1, (x1 + x2) / 2, (y1 + y2) / 2, x2, y2] }
        @transform
          .forward(places)
          .each_slice(6)
          .zip(open)
          .flat_map do |(x1, y1, x, y, x2, y2), (index, from, to)|
            off = Math.hypot(x - (x1 + x2) / 2, y - (y1 + y2) / 2)
            next [] unless off.finite? && off > @units
            middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
            added[index] << middle
            [[index, from, middle], [index, middle, to]]
          end
      end

      # In the order of the edge.
      def between((x1, y1), (x2, y2), list) = list.sort_by { |x, y| (x - x1) * (x2 - x1) + (y - y1) * (y2 - y1) }
    end
  end
end
