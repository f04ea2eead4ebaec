# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Where labels stand round a frame: turned rectangles on the page, none over another.
    class Placement
      # A rectangle about (x, y), turned clockwise by turn_deg.
      Spot = Struct.new(:x, :y, :width, :height, :turn_deg, keyword_init: true) do
        # Flat corners in page mm.
        def corners = Geometry::Affine.turn(turn_deg, x, y).map(Geometry::Box.at(x - width / 2, y - height / 2, width, height).corners)

        def box = Geometry::Box.around(corners)

        def grow(margin) = self.class.new(x: x, y: y, width: width + 2 * margin, height: height + 2 * margin, turn_deg: turn_deg)

        # How far it reaches from its middle in a direction (a unit vector).
        def reach(dx, dy)
          angle = turn_deg * Math::PI / 180
          (width / 2 * (dx * Math.cos(angle) + dy * Math.sin(angle)).abs) + (height / 2 * (dy * Math.cos(angle) - dx * Math.sin(angle)).abs)
        end

        # Two rectangles are apart when a line along a side of one of them parts them (separating axes).
        def touches?(other)
          return false unless box.intersects?(other.box)
          [turn_deg, turn_deg + 90, other.turn_deg, other.turn_deg + 90].none? do |angle|
            dx, dy = Math.cos(angle * Math::PI / 180), Math.sin(angle * Math::PI / 180)
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

      def on_paper?(spot) = @paper.nil? || spot.box.then { |box| box.min_x >= @paper.min_x && box.max_x <= @paper.max_x && box.min_y >= @paper.min_y && box.max_y <= @paper.max_y }

      def free?(spot) = spot.grow(GAP_MM / 2).then { |wide| @spots.none? { |taken| taken.touches?(wide) } }

      def take(spot) = @spots << spot

      # Takes the place if it is free and on the paper; says whether it did.
      def claim(spot) = (on_paper?(spot) && free?(spot)) ? !!take(spot) : false
    end
  end
end
