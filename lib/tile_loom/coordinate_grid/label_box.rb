# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Where labels stand round a frame: turned rectangles on the page, none over another.
    class LabelBox
      # A rectangle about (x, y), turned clockwise by rotation_deg. It does not change.
      class Spot
        attr_reader :x, :y, :width, :height, :rotation_deg

        def initialize(x:, y:, width:, height:, rotation_deg:)
          @x, @y, @width, @height, @rotation_deg = x, y, width, height, rotation_deg
          angle = rotation_deg * Math::PI / 180
          @cos, @sin = upright? ? [1.0, 0.0] : [Math.cos(angle), Math.sin(angle)]
        end

        def upright? = rotation_deg.zero?

        def box
          @box ||=
            begin
              across, down = reach(1.0, 0.0), reach(0.0, 1.0)
              Geometry::Box.new(x - across, y - down, x + across, y + down)
            end
        end

        def grow(margin) =
          self.class.new(x: x, y: y, width: width + 2 * margin, height: height + 2 * margin, rotation_deg: rotation_deg)

        # The same one, moved.
        def move(dx, dy) =
          self.class.new(x: x + dx, y: y + dy, width: width, height: height, rotation_deg: rotation_deg)

        # How far it reaches from its middle in a direction (a unit vector).
        def reach(dx, dy) = width / 2 * (dx * @cos + dy * @sin).abs + height / 2 * (dy * @cos - dx * @sin).abs

        # Unit vectors along its sides.
        def directions = [[@cos, @sin], [-@sin, @cos]]

        # Two rectangles are apart when a line along a side of one of them parts them (separating axes).
        def touches?(other)
          return false unless box.intersects?(other.box)
          (directions + other.directions).none? do |dx, dy|
            ((x - other.x) * dx + (y - other.y) * dy).abs > reach(dx, dy) + other.reach(dx, dy)
          end
        end
      end

      # Between two labels in mm.
      GAP_MM = 0.8

      attr_reader :spots

      # paper: the page's Box, beyond which nothing is printed, or nil.
      def initialize(paper: nil)
        @paper = paper
        @spots = []
      end

      # Does a spot lie on the page?
      def on_paper?(spot) =
        @paper.nil? ||
          spot.box.then do |box|
            box.min_x >= @paper.min_x && box.max_x <= @paper.max_x && box.min_y >= @paper.min_y &&
              box.max_y <= @paper.max_y
          end

      def free?(spot) = spot.grow(GAP_MM / 2).then { |wide| @spots.none? { |taken| taken.touches?(wide) } }

      def take(spot) = @spots << spot

      # Takes the place if it is free and on the paper; says whether it did.
      def claim(spot) = (on_paper?(spot) && free?(spot)) ? !!take(spot) : false
    end
  end
end
