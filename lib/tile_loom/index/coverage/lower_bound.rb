# frozen_string_literal: true

module TileLoom
  module Index
    # How many cells any cover needs at least. Two bounds, the larger counts: the area over the area of a
    # cell; and the number of places, each so far from all others that no cell shows two of them.
    class LowerBound
      # Places that are tried, in each direction.
      PLACES = 60

      # extent: of a cell, in reference units; turns: may cells be turned?
      def initialize(area:, extent:, turns: false)
        @area, @extent, @turns = area, extent, turns
      end

      def cells = [by_area, apart, 1].max

      private

      def by_area = (@area.surface_area / (@extent[0] * @extent[1]) - 1e-9).ceil

      # Greedily, row by row; any set of such places is a bound.
      def apart
        chosen = []
        places.each do |place|
          Pulse.step
          chosen << place if chosen.all? { |other| parted?(place, other) }
        end
        chosen.length
      end

      def parted?(one, other)
        dx, dy = (one[0] - other[0]).abs, (one[1] - other[1]).abs
        if @turns
          Math.hypot(dx, dy) > Math.hypot(*@extent) * (1 + 1e-9)
        else
          dx > @extent[0] * (1 + 1e-9) || dy > @extent[1] * (1 + 1e-9)
        end
      end

      # Vertices of the area, the outermost first, and a lattice of places inside it.
      def places
        box = @area.box
        step = [[box.width, box.height].max / PLACES, 1e-9].max
        lattice =
          (0..(box.height / step).floor).flat_map do |j|
            (0..(box.width / step).floor).map { |i| [box.min_x + i * step, box.min_y + j * step] }
          end
        inside = lattice.select { |x, y| @area.holds?(Geometry::Geos.read(Geometry::Wkb.point(x, y))) }
        every = [(@area.coordinates.length / 2 / 400), 1].max
        vertices = @area.coordinates.each_slice(2).each_slice(every).map(&:first)
        (vertices + inside).sort_by { |x, y| [((y - box.min_y) / @extent[1]).floor, x, y] }
      end
    end
  end
end
