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

      # True where the rectangle shows part of the area; for an area with a surface, touching edges
      # alone do not count.
      def meets?(rectangle)
        cell = Geometry::Geos.polygon(rectangle.corners)
        return false unless prepared.intersects?(cell)
        geometry.area.zero? || !prepared.touches?(cell)
      end

      # The share of the area, in square reference units, on none of the rectangles.
      def left_out(rectangles)
        cover = Geometry::Geos.union(rectangles.map { |rectangle| Geometry::Geos.polygon(rectangle.corners) })
        geometry.difference(cover)
      end
    end
  end
end
