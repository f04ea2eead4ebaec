# frozen_string_literal: true

module TileLoom
  module Crs
    # Puts vertices between those of edges that are straight in one reference and bend in another, so that no chord
    # leaves its edge there by more than a tolerance. Edges are halved all at once, as long as their middles are off
    # their chords.
    class Bends
      MOST_HALVINGS = 12

      # transform: from the one reference to the other; tolerance: in units of the other. The block is asked whether an
      # edge (from, to) is worth a look; without it all are.
      def initialize(transform, tolerance, &worth)
        @transform, @tolerance, @worth = transform, tolerance, worth || ->(_, _) { true }
      end

      # A flat run in the one reference with vertices between.
      def filled(run)
        points = run.each_slice(2).to_a
        edges = points.each_cons(2).to_a
        added = Array.new(edges.length) { [] }
        open =
          edges
            .each_with_index
            .select { |(from, to), _| @worth.call(from, to) }
            .map { |(from, to), index| [index, from, to] }
        MOST_HALVINGS.times do
          break if open.empty?
          open = halved(open, added)
        end
        flat =
          edges.each_with_index.flat_map { |(from, to), index| [from, *between(from, to, added[index])] } << points.last
        flat.flatten
      end

      private

      # added: what has been put on each edge so far; returns the halves that are to be looked at again.
      def halved(open, added)
        places = open.flat_map { |_, (x1, y1), (x2, y2)| [x1, y1, (x1 + x2) / 2, (y1 + y2) / 2, x2, y2] }
        @transform
          .forward(places)
          .each_slice(6)
          .zip(open)
          .flat_map do |(x1, y1, x, y, x2, y2), (index, from, to)|
            off = Math.hypot(x - (x1 + x2) / 2, y - (y1 + y2) / 2)
            next [] unless off.finite? && off > @tolerance
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
