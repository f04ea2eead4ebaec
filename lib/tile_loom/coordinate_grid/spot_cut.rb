# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Cuts a turned rectangle out of a polyline.
    module SpotCut
      module_function

      # run: flat page mm; spot: a Placement::Spot. Returns the flat parts outside it.
      def outside(run, spot)
        return [run] unless Geometry::Box.around(run).intersects?(spot.box)
        # In the rectangle's own directions it is an upright box about the origin.
        to = Geometry::Affine.turn(-spot.rotation_deg, spot.x, spot.y)
        local = to.map(run)
        box = Geometry::Box.at(spot.x - spot.width / 2, spot.y - spot.height / 2, spot.width, spot.height)
        parts(local, box).map { |part| to.inverse.map(part) }
      end

      # The parts of a flat run [x, y, …] outside a box.
      def parts(run, box)
        found, part = [], run[0, 2]
        (0..run.length - 4).step(2) do |at|
          x1, y1, x2, y2 = run[at, 4]
          inside = Geometry::SegmentClip.segment(x1, y1, x2, y2, box)
          next part.push(x2, y2) unless inside
          found << [*part, inside[0], inside[1]] if inside[0] != x1 || inside[1] != y1
          part = [inside[2], inside[3]]
          part.push(x2, y2) if inside[2] != x2 || inside[3] != y2
        end
        found << part
        found.select { |known| known.length >= 4 && known.each_slice(2).to_a.uniq.length > 1 }
      end
    end
  end
end
