# frozen_string_literal: true

module TileLoom
  module Furniture
    # A shadow that an element's area casts on the page: its outline put aside, flat or with a soft edge, which is made
    # of outlines one over another, so that it is sharp in any output.
    class Shadow < Values::Value
      # So many outlines make a soft edge.
      STEPS = 12

      define "shadow"
      part :dx_mm, number(-100..100), default: 0.8, about: "To the right."
      part :dy_mm, number(-100..100), default: 0.8, about: "Down."
      part :soft_mm, number(0..50), default: 0, about: "How wide its edge is."
      part :colour, Values::Types::COLOUR, default: "#1f2a30"
      part :opacity, Values::Types::OPACITY, default: 0.35

      # Scene nodes under an area of rings in page mm.
      def nodes(rings)
        aside = rings.map { |ring| ring.each_slice(2).flat_map { |x, y| [x + dx_mm, y + dy_mm] } }
        return [painted(aside, opacity)] if soft_mm.zero?
        area = Geometry::Geos.union(aside.map { |ring| Geometry::Geos.polygon(ring).buffer(0) })
        # All together are as opaque as it is.
        each = 1 - (1 - opacity)**(1.0 / STEPS)
        (0...STEPS).filter_map do |step|
          grown = area.buffer(soft_mm * (0.5 - (step + 0.5) / STEPS))
          grown.empty? ? nil : painted(outlines(grown), each)
        end
      end

      private

      def painted(runs, opacity) =
        Scene::Path.new(runs: runs, closed: true, fill: Scene::Fill.new(colour: colour, opacity: opacity))

      def outlines(area)
        runs = []
        Geometry::Wkb.each_run(Geometry::Geos.write(area)) { |_, run| runs << run }
        runs
      end
    end
  end
end
