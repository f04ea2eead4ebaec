# frozen_string_literal: true

module TileLoom
  module Weave
    # What the index must cover: the union of features, with room for growth round it.
    class StudyArea
      attr_reader :geometry

      # features: Ground::Feature list; room: width of the room in reference units.
      def initialize(features, room: 0.0, name: "study area")
        raise Invalid.new("The #{name} is empty; choose a layer that holds features.", path: "/index/area") if features.empty?
        geometry = Geometry::Geos.union(features.map { |feature| Geometry::Geos.read(feature.wkb) })
        @geometry = room.positive? ? geometry.buffer(room) : geometry
        raise Invalid.new("The #{name} is empty; choose a layer that holds features.", path: "/index/area") if @geometry.empty?
      end

      def box = Geometry::Geos.envelope(geometry)

      def prepared = @prepared ||= geometry.to_prepared

      # A cell must reach this share of its size into a surface; touching its edge alone does not count.
      LEAST_REACH = 1e-7

      # True where the rectangle shows part of the area. The cell is drawn in by a hair in place of asking
      # whether it merely touches, which GEOS cannot prepare for.
      def meets?(rectangle)
        prepared.intersects?(Geometry::Geos.polygon(surface? ? drawn_in(rectangle).corners : rectangle.corners))
      end

      # The share of the area, in square reference units, on none of the rectangles.
      def left_out(rectangles)
        cover = Geometry::Geos.union(rectangles.map { |rectangle| Geometry::Geos.polygon(rectangle.corners) })
        geometry.difference(cover)
      end

      private

      # Points and lines have no inside: one that lies on the edge of a cell needs that cell.
      def surface? = geometry.is_a?(::Geos::Polygon) || geometry.is_a?(::Geos::MultiPolygon)

      def drawn_in(rectangle)
        share = 1 - 2 * LEAST_REACH
        Geometry::TurnedRectangle.new(rectangle.centre_x, rectangle.centre_y, rectangle.width * share, rectangle.height * share, rectangle.rotation_deg)
      end
    end
  end
end
