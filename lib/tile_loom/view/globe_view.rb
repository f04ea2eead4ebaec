# frozen_string_literal: true

module TileLoom
  module View
    # A frame that shows a globe: a disc in the middle of its box.
    class GlobeView < FrameView
      # Chords of the disc: of one of 200 mm, 0.02 mm off.
      CHORDS = 240

      attr_reader :horizon

      # radius_m: of the disc on the plane; clearance_mm: between the disc and the nearest side of the box.
      def initialize(box:, crs:, horizon:, radius_m:, rotation_deg:, clearance_mm: 0.0)
        @horizon, @radius_m, @clearance_mm = horizon, radius_m, clearance_mm
        per_mm = radius_m / crs.metres_per_unit / (([box.width, box.height].min / 2.0) - clearance_mm)
        super(
          frame: box,
          ground: Geometry::TurnedRectangle.new(0.0, 0.0, box.width * per_mm, box.height * per_mm, rotation_deg),
          crs: crs
        )
      end

      def globe? = true

      def radius_mm = [frame.width, frame.height].min / 2.0 - @clearance_mm

      # The flat ring of the disc in page mm.
      def disc
        x, y = frame.centre
        Geometry::Box.new(x - radius_mm, y - radius_mm, x + radius_mm, y + radius_mm).ellipse(CHORDS)
      end
    end
  end
end
