# frozen_string_literal: true

module TileLoom
  module Geometry
    # A rectangle about its centre, turned clockwise by rotation_deg (ground planes: y up).
    TurnedRectangle =
      Struct.new(:centre_x, :centre_y, :width, :height, :rotation_deg) do
        def initialize(...)
          super
          freeze
        end

        # ccw_deg: counter-clockwise, as angles of the plane count.
        def self.turned(centre_x, centre_y, width, height, ccw_deg) =
          new(centre_x, centre_y, width, height, 0.0 - ccw_deg)

        # Counter-clockwise, as angles of the plane count.
        def ccw_deg = 0.0 - rotation_deg

        # The same place and turn with other sides.
        def sized(width, height) = self.class.new(centre_x, centre_y, width, height, rotation_deg)

        # The same elsewhere, by so much.
        def moved(dx, dy) = self.class.new(centre_x + dx, centre_y + dy, width, height, rotation_deg)

        # An upright one.
        def self.of(box) = new(*box.centre, box.width, box.height, 0.0)

        # Flat corners: lower left, lower right, upper right, upper left, as seen on the sheet.
        def corners
          cos, sin = turn
          [[-1, -1], [1, -1], [1, 1], [-1, 1]].flat_map do |sx, sy|
            x = sx * width / 2.0
            y = sy * height / 2.0
            [centre_x + x * cos - y * sin, centre_y + x * sin + y * cos]
          end
        end

        def box = Box.around(corners)

        # How far it is from another (below nothing: how deep they overlap), in ground units, along that of their axes
        # which parts them most. Separating axis theorem: C. Ericson, Real-Time Collision Detection (2005), 5.2.1.
        def apart(other)
          [*axes, *other.axes].map do |axis|
            (mine_low, mine_high), (its_low, its_high) = reach(axis), other.reach(axis)
            [its_low - mine_high, mine_low - its_high].max
          end
            .max
        end

        # As a GEOS polygon.
        def shape = Geos.polygon(corners)

        def upright? = (rotation_deg % 360).abs < 1e-12

        # The affine map that takes ground to a page frame (mm, y down) whose box this rectangle fills.
        def onto(frame)
          cos, sin = turn
          scale_x = frame.width / width.to_f
          scale_y = frame.height / height.to_f
          frame_x, frame_y = frame.centre
          a = cos * scale_x
          c = sin * scale_x
          b = sin * scale_y
          d = -cos * scale_y
          Affine.new(a, b, c, d, frame_x - a * centre_x - c * centre_y, frame_y - b * centre_x - d * centre_y)
        end

        # Unit vectors along its sides.
        def axes
          cos, sin = turn
          [[cos, sin], [-sin, cos]]
        end

        # [lowest, highest] of its corners along an axis.
        def reach(axis) = corners.each_slice(2).map { |x, y| x * axis[0] + y * axis[1] }.minmax

        private

        def turn
          angle = ccw_deg * Math::PI / 180
          upright? ? [1.0, 0.0] : [Math.cos(angle), Math.sin(angle)]
        end
      end
  end
end
