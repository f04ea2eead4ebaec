# frozen_string_literal: true

module TileLoom
  module Crs
    # Ways in which geometry of one reference comes into a view of another, each a file in passages/. They answer
    #   rings(runs)    closed flat runs of an area, the outer one first → those of what can be shown of it
    #   lines(run)     a flat run → runs
    #   points(flat)   flat places → those that can be shown
    #   back(box)      a Geometry::Box of the view → the Box from which something can come into it; nil for everywhere
    #   key            what tells it from others
    module Passages
      SAME = Same.new

      module_function

      # Well-known binary in the other reference; nil where nothing of it can be shown.
      def wkb(passage, wkb)
        parts =
          Geometry::Geos
            .parts(Geometry::Geos.read(wkb))
            .flat_map { |part| brought(passage, Geometry::Geos.write(part)) }
        return nil if parts.empty?
        return parts.first if parts.one?
        kinds = parts.map { |part| part.getbyte(1) }.uniq
        Geometry::Wkb.collection(kinds.one? ? kinds.first + 3 : 7, parts)
      end

      def brought(passage, wkb)
        runs = Geometry::Wkb.each_run(wkb).map { |_, run, _| run }
        case wkb.getbyte(1)
        when Geometry::Wkb::POINT
          passage.points(runs.first.to_a).each_slice(2).map { |x, y| Geometry::Wkb.point(x, y) }
        when Geometry::Wkb::LINE
          runs.flat_map { |run| passage.lines(run) }.map { |run| Geometry::Wkb.line(run) }
        when Geometry::Wkb::POLYGON
          rings = passage.rings(runs)
          # Of several rings GEOS makes out which lie in which.
          rings.empty? ? [] : [areas(rings)].compact
        else
          Geometry::Geos
            .parts(Geometry::Geos.read(wkb))
            .flat_map { |part| brought(passage, Geometry::Geos.write(part)) }
        end
      end

      def areas(rings)
        return Geometry::Wkb.polygon(rings) if rings.one?
        shape = Geometry::Geos.read(Geometry::Wkb.polygon(rings))
        shape = shape.make_valid unless shape.valid?
        shape.empty? ? nil : Geometry::Geos.write(shape)
      end
    end
  end
end
