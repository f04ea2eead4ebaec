# frozen_string_literal: true

module TileLoom
  module View
    # Interrupts lines where labels stand on them.
    class LineBreaks
      # Room before and behind a label, in mm.
      ROOM_MM = 0.5

      # rings: flat rings of the labels in page mm.
      def initialize(rings)
        @holes =
          rings.map do |ring|
            area = Geometry::Geos.polygon(ring).buffer(ROOM_MM)
            [Geometry::Geos.envelope(area), area]
          end
      end

      # Runs of page mm, each as it is or in pieces.
      def cut(runs)
        runs.flat_map do |run|
          box = Geometry::Box.around(run)
          near = @holes.select { |hole, _| hole.intersects?(box) }
          near.empty? ? [run] : pieces(run, near.map(&:last))
        end
      end

      private

      def pieces(run, areas)
        rest = Geometry::Geos.read(Geometry::Wkb.line(run)).difference(Geometry::Geos.union(areas))
        return [] if rest.empty?
        Geometry::Wkb.each_run(Geometry::Geos.write(rest)).map { |_, coordinates, _| coordinates }
      end
    end
  end
end
