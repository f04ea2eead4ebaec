# frozen_string_literal: true

module TileLoom
  module Labelling
    # Where in a frame labels may stand: wholly in it, and on nothing that is taken.
    class FreeSpace
      # Clear of the frame's edge, in mm.
      EDGE_MM = 0.3

      # What of the page it is of, as a Geometry::Box.
      attr_reader :box

      # frame: Geometry::Box in page mm; ring: the frame's flat ring where it is no rectangle, or nil; taken:
      # Footprints.
      def initialize(frame, ring: nil, taken: [])
        @box = frame.grow(-EDGE_MM)
        @ring = ring
        @taken = Nearby.new
        taken.each { |footprint| @taken.add(footprint, footprint) }
        @any = taken.any?
      end

      def holds?(place) =
        place.footprints.all? { |footprint| in_frame?(footprint) && !(@any && @taken.touched?(footprint)) }

      private

      def in_frame?(footprint)
        min_x, min_y, max_x, max_y = footprint
        return false if min_x < @box.min_x || min_y < @box.min_y || max_x > @box.max_x || max_y > @box.max_y
        @ring.nil? || Footprint.corners(footprint).each_slice(2).all? { |x, y| in_ring?(x, y) }
      end

      # By crossings of a ray to the right.
      def in_ring?(x, y)
        inside = false
        px, py = @ring.last(2)
        @ring.each_slice(2) do |qx, qy|
          inside = !inside if (qy > y) != (py > y) && x < (px - qx) * (y - qy) / (py - qy) + qx
          px, py = qx, qy
        end
        inside
      end
    end
  end
end
