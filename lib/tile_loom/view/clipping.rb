# frozen_string_literal: true

module TileLoom
  module View
    # The part of a geometry in a ground window, simplified: GEOS does the cutting and thinning, so that
    # each vertex that is left is touched once. Polygons come as rings to be filled even-odd.
    class Clipping
      POINT, LINE, RING = Geometry::Wkb::POINT, Geometry::Wkb::LINE, Geometry::Wkb::POLYGON

      # tolerance: in ground units; nil leaves the geometry as it is.
      def initialize(wkb, window, tolerance)
        @wkb, @window, @tolerance = wkb, window, tolerance
      end

      # Yields (kind, flat coordinates in ground units).
      def each_run(&block)
        return whole(&block) if @tolerance.nil? && inside?
        case @wkb.getbyte(1)
        when 1, 4
          points(@wkb, &block)
        when 2, 5
          lines(&block)
        when 3, 6
          rings(&block)
        else
          mixed(&block)
        end
      end

      private

      def inside?
        box = Geometry::Wkb.extent([@wkb])
        box && @window.include?(box.min_x, box.min_y) && @window.include?(box.max_x, box.max_y)
      end

      # Neither cut nor thinned: GEOS has nothing to do.
      def whole
        Geometry::Wkb.each_run(@wkb) { |kind, coordinates, _| yield kind, coordinates }
      end

      def points(bytes)
        Geometry::Wkb.each_run(bytes) { |_, coordinates, _| yield POINT, coordinates if @window.include?(*coordinates) }
      end

      def lines
        each_of(trimming.lines(@wkb)) { |coordinates| yield LINE, coordinates if coordinates.length >= 4 }
      end

      def rings
        each_of(trimming.rings(@wkb)) { |coordinates| yield RING, coordinates if coordinates.length >= 8 }
      end

      def trimming = Geometry::Trimming.new(@window, @tolerance)

      def each_of(bytes)
        Geometry::Wkb.each_run(bytes) { |_, coordinates, _| yield coordinates } if bytes
      end

      # Members of a collection, each by its own kind.
      def mixed(&block)
        Geometry::Geos
          .parts(Geometry::Geos.read(@wkb))
          .each { |part| self.class.new(Geometry::Geos.write(part), @window, @tolerance).each_run(&block) }
      end
    end
  end
end
