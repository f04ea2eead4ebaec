# frozen_string_literal: true

module TileLoom
  module View
    # Many features cut to a ground window and thinned. What Clipping does to each of them is done here to small areas
    # without holes that lie in the window as a whole (the buildings of a town) together: there is nothing to cut of
    # them, and GEOS thins their rings as parts of one geometry.
    class Cutting
      RING = Geometry::Wkb::POLYGON
      # Well-known binary of an area of one ring; its points are counted in the next four bytes, and follow.
      ONE_RING = [1, RING, 1].pack("CVV").freeze
      HEAD = ONE_RING.bytesize
      LINE = [1, Geometry::Wkb::LINE].pack("CV").freeze
      # Rings that are thinned at once.
      AT_ONCE = 2_000
      private_constant :ONE_RING, :HEAD, :LINE, :AT_ONCE

      # tolerance: in ground units; nil leaves all as it is.
      def initialize(features, window, tolerance)
        @features, @window, @tolerance = features, window, tolerance
      end

      # Yields each feature, in their order, with [kind, flat coordinates in ground units] of what is left of it.
      def each
        @features.each_slice(AT_ONCE) do |some|
          rings = thinned(some)
          some.each { |feature| yield feature, rings[feature] || runs(feature) }
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

      # {feature → its runs} of those that need no cutting.
      def thinned(features)
        whole = features.select { |feature| whole?(feature) }
        found = {}.compare_by_identity
        many = []
        whole.each do |feature|
          bytes = feature.wkb
          next many << feature if @tolerance && !feature.thinned && !Geometry::Trimming.few?(bytes.bytesize - 4)
          found[feature] = [[RING, bytes.unpack("E*", offset: HEAD + 4)]]
        end
        many.zip(simple(many)) { |feature, ring| found[feature] = (ring.length < 8) ? [] : [[RING, ring]] }
        found
      end

      # Of the rings of areas, thinned.
      def simple(features)
        return [] if features.empty?
        lines = features.map { |feature| LINE + feature.wkb.byteslice(HEAD..) }
        thin = Geometry::Geos.write(Geometry::Geos.read(Geometry::Wkb.collection(5, lines)).simplify(@tolerance))
        Geometry::Wkb.each_run(thin).map { |_, coordinates| coordinates }
      end

      # Is it an area of one ring, some of it wide and high, all of it in the window?
      def whole?(feature)
        bytes = feature.wkb
        return false unless bytes.start_with?(ONE_RING) && bytes.bytesize > HEAD + 4
        min_x, min_y, max_x, max_y = feature.sides
        min_x >= @window.min_x && min_y >= @window.min_y && max_x <= @window.max_x && max_y <= @window.max_y &&
          max_x > min_x && max_y > min_y
      end
    end
  end
end
