# frozen_string_literal: true

module TileLoom
  module View
    # Many features cut to a ground window and thinned. What Clipping does to each of them is done here to single lines
    # and to areas without holes that lie in the window as a whole (the roads and buildings of a town) together: there
    # is nothing to cut of them, and GEOS thins lines and rings as parts of one geometry.
    class Cutting
      RING, LINE = Geometry::Wkb::POLYGON, Geometry::Wkb::LINE
      # kind → how well-known binary of it begins where it is one run of points, which are counted in the next four
      # bytes, and follow; the shortest that is left of it, in numbers.
      HEADS = {RING => [1, RING, 1].pack("CVV").freeze, LINE => [1, LINE].pack("CV").freeze}.freeze
      SHORTEST = {RING => 8, LINE => 4}.freeze
      # Runs that are thinned at once.
      AT_ONCE = 2_000
      private_constant :HEADS, :SHORTEST, :AT_ONCE

      # tolerance: in ground units; nil leaves all as it is.
      def initialize(features, window, tolerance)
        @features, @window, @tolerance = features, window, tolerance
      end

      # Yields each feature, in their order, with [kind, flat coordinates in ground units] of what is left of it.
      def each
        @features.each_slice(AT_ONCE) do |some|
          thin = thinned(some)
          some.each { |feature| yield feature, thin[feature] || runs(feature) }
        end
      end

      private

      def runs(feature)
        found = []
        Clipping
          .new(feature.wkb, @window, feature.thinned ? nil : @tolerance)
          .each_run { |kind, coordinates| found << [kind, coordinates] }
        found
      end

      # One run of points that lies in the window as a whole; at: where its count stands in the well-known binary.
      Run =
        Struct.new(:feature, :kind, :at) do
          # Bytes of it as a line.
          def bytesize = feature.wkb.bytesize - at + HEADS[LINE].bytesize

          def line = HEADS[LINE] + feature.wkb.byteslice(at..)

          # Flat coordinates.
          def places = feature.wkb.unpack("E*", offset: at + 4)
        end
      private_constant :Run

      # {feature → its runs} of those that need no cutting.
      def thinned(features)
        found = {}.compare_by_identity
        many, few = features.filter_map { |feature| run(feature) }.partition { |run| thin?(run) }
        few.each { |run| found[run.feature] = [[run.kind, run.places]] }
        many.zip(simple(many)) do |run, places|
          found[run.feature] = (places.length < SHORTEST.fetch(run.kind)) ? [] : [[run.kind, places]]
        end
        found
      end

      def thin?(run) = @tolerance && !run.feature.thinned && !Geometry::Trimming.few?(run.bytesize)

      # Flat coordinates of each, thinned.
      def simple(runs)
        return [] if runs.empty?
        lines = Geometry::Geos.read(Geometry::Wkb.collection(5, runs.map(&:line)))
        Geometry::Wkb.each_run(Geometry::Geos.write(lines.simplify(@tolerance))).map { |_, coordinates| coordinates }
      end

      # nil for a feature that is more than one run, or lies beyond the window in part, or an area without any width or
      # height.
      def run(feature)
        bytes = feature.wkb
        kind = bytes.getbyte(1)
        head = HEADS[kind]
        return nil unless head && bytes.start_with?(head) && bytes.bytesize > head.bytesize + 4
        min_x, min_y, max_x, max_y = feature.sides
        return nil if min_x < @window.min_x || min_y < @window.min_y || max_x > @window.max_x || max_y > @window.max_y
        Run.new(feature, kind, head.bytesize) if kind == LINE || (max_x > min_x && max_y > min_y)
      end
    end
  end
end
