# frozen_string_literal: true

module TileLoom
  module Index
    # A line to be followed, with places along it counted in reference units from its start.
    class Chain
      attr_reader :points, :length

      # coordinates: flat; points that repeat the one before are left out.
      def initialize(coordinates)
        @points = coordinates.each_slice(2).chunk_while { |one, other| one == other }.map(&:first)
        @at = [0.0]
        @points.each_cons(2) { |(x1, y1), (x2, y2)| @at << @at.last + Math.hypot(x2 - x1, y2 - y1) }
        @length = @at.last
      end

      # Chains of all lines of features: joined where they meet end to end, or where a gap is at most as wide as
      # bridged; branches are chains of their own. Rings of areas count as lines. Longest first; each begins at
      # its western end (the southern one where both are as far west), or the other way round.
      def self.of(features, gap: 0.0, reverse: false)
        lines =
          features.flat_map do |feature|
            Geometry::Wkb
              .each_run(feature.wkb)
              .select { |kind, run, _| kind != Geometry::Wkb::POINT && run.length >= 4 }
              .map { |_, run| run }
          end
        return [] if lines.empty?
        merged = Geometry::Geos.union(lines.map { |run| Geometry::Geos.read(Geometry::Wkb.line(run)) })
        merged = merged.line_merge if merged.is_a?(::Geos::GeometryCollection)
        chains =
          Geometry::Geos
            .parts(merged)
            .map { |part| Geometry::Wkb.each_run(Geometry::Geos.write(part)).first[1].each_slice(2).to_a }
        bridge(chains, gap)
          .map { |points| directed(points, reverse) }
          .map { |points| new(points.flatten) }
          .select { |chain| chain.length.positive? }
          .sort_by { |chain| [-chain.length, *chain.points.first] }
      end

      # Ends that lie nearest are joined first, by a straight stretch.
      def self.bridge(chains, gap)
        return chains unless gap.positive?
        loop do
          pair =
            chains
              .combination(2)
              .flat_map do |one, other|
                [[one, other], [one, other.reverse], [one.reverse, other], [one.reverse, other.reverse]].map do |a, b|
                  [Math.hypot(a.last[0] - b.first[0], a.last[1] - b.first[1]), a, b, one, other]
                end
              end
              .min_by(&:first)
          return chains if pair.nil? || pair[0] > gap
          _, a, b, one, other = pair
          chains = chains.reject { |chain| chain.equal?(one) || chain.equal?(other) } + [a + b]
        end
      end
      private_class_method :bridge

      # The points of a chain from its western end, or from the other; those of a ring as they are, or
      # the other way round.
      def self.directed(points, reverse)
        closed = points.first == points.last
        forward = closed || (points.first <=> points.last) <= 0
        (forward ^ reverse) ? points : points.reverse
      end
      private_class_method :directed

      # The place [x, y] at a distance along it.
      def at(distance)
        index = segment(distance)
        share = (distance - @at[index]) / (@at[index + 1] - @at[index])
        (x1, y1), (x2, y2) = points[index], points[index + 1]
        [x1 + (x2 - x1) * share, y1 + (y2 - y1) * share]
      end

      # Points of the stretch between two distances, its ends among them.
      def between(from, to)
        first, last = segment(from), segment(to)
        [at(from), *points[(first + 1)..last], at(to)]
      end

      private

      # Which segment a distance lies on.
      def segment(distance)
        index = @at.bsearch_index { |place| place > distance }
        (index.nil? ? points.length - 2 : index - 1).clamp(0, points.length - 2)
      end
    end
  end
end
