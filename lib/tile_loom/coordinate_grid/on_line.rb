# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Places on a line inside its frame where a label can stand when no side of the frame has room for it.
    class OnLine
      # As shares of the longest piece, the middle first.
      SHARES = [0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.12, 0.88].freeze

      def initialize(line) = @line = line

      # mm of all of it in the frame.
      def length = @line.pieces.sum { |piece| length_of(piece) }

      # Lazy list of [x, y, direction in degrees], page mm.
      def places
        piece = @line.pieces.max_by { |run| length_of(run) }
        SHARES.lazy.map { |share| at(piece, share) }
      end

      private

      def length_of(run) = stretches(run).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) }

      def stretches(run) = run.each_slice(2).each_cons(2)

      def at(run, share)
        left = length_of(run) * share
        from, to =
          stretches(run).find do |(x1, y1), (x2, y2)|
            length = Math.hypot(x2 - x1, y2 - y1)
            next true if left <= length
            left -= length
            false
          end || run.each_slice(2).to_a.last(2)
        dx, dy = to[0] - from[0], to[1] - from[1]
        along = left / Math.hypot(dx, dy)
        [from[0] + dx * along, from[1] + dy * along, Math.atan2(dy, dx) * 180 / Math::PI]
      end
    end
  end
end
