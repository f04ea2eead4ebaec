# frozen_string_literal: true

module TileLoom
  module Index
    # What the index must cover: the union of features, with a buffer round it.
    class StudyArea
      attr_reader :geometry

      # features: Data::Feature list; buffer: its width in reference units.
      def initialize(features, buffer: 0.0, name: "study area")
        empty = Refusal.new("index.area_empty", name: name, at: "/index/area")
        raise empty if features.empty?
        geometry = Geometry::Geos.union(features.map { |feature| Geometry::Geos.read(feature.wkb) })
        @geometry = buffer.positive? ? geometry.buffer(buffer) : geometry
        raise empty if @geometry.empty?
      end

      def box = Geometry::Geos.envelope(geometry)

      # All its vertices, flat.
      def coordinates =
        @coordinates ||= Geometry::Wkb.each_run(Geometry::Geos.write(geometry)).flat_map { |_, run| run }

      # A cell must reach this share of its size into a surface; touching its edge alone does not count.
      LEAST_REACH = 1e-7

      # True where the rectangle shows part of the area. For surfaces the cell is drawn in by a hair in
      # place of asking whether it merely touches, which GEOS cannot prepare for; points and lines have no
      # inside: one that lies on the edge of a cell needs that cell.
      def meets?(rectangle) = touch?(surfaces, drawn_in(rectangle)) || touch?(others, rectangle)

      # How much of a rectangle is area, 0…1. Points and lines have none: where they are all there is, what
      # shows any of them counts as whole.
      def share_of(rectangle)
        return touch?(others, rectangle) ? 1.0 : 0.0 if surfaces.nil?
        shape = rectangle.shape
        return 1.0 if surfaces.covers?(shape)
        return 0.0 unless surfaces.intersects?(shape)
        surface.intersection(shape).area / shape.area
      end

      # The angle (counter-clockwise, from -45 to 45 degrees) of the smallest rectangle round the area.
      # It has a side along one of the hull's edges (Freeman and Shapira 1975); counted from the area's middle,
      # so that large coordinates do not blur the angle.
      def best_ccw_deg
        x, y = box.centre
        hull =
          Geometry::Wkb.each_run(Geometry::Geos.write(geometry.convex_hull)).first[1]
            .each_slice(2)
            .map { |px, py| [px - x, py - y] }
        return 0.0 if hull.length < 2
        angles =
          hull
            .each_cons(2)
            .map { |(x1, y1), (x2, y2)| (Math.atan2(y2 - y1, x2 - x1) * 180 / Math::PI + 45) % 90 - 45 }
            .uniq
        flat = hull.flatten
        angles
          .min_by do |angle|
            Axes.new(angle).box(flat).then { |round| [(round.width * round.height).round(6), angle.abs, angle] }
          end
          .round(9)
      end

      # Of the surfaces, in square reference units.
      def surface_area = surface.area

      # Does a shape meet the area, or lie wholly in its surfaces?
      def touches?(shape) = [surfaces, others].compact.any? { |part| part.intersects?(shape) }

      def holds?(shape) = !surfaces.nil? && surfaces.covers?(shape)

      # The part of the surfaces on none of the rectangles.
      def left_out(rectangles) = outside(Geometry::Geos.union(rectangles.map { |rectangle| rectangle.shape }))

      # The surfaces without a shape.
      def outside(shape) = shape.empty? ? surface : surface.difference(shape)

      # How much of a shape is area, in square reference units; where there are points and lines alone, the whole
      # shape counts as soon as it shows any.
      def shown_in(shape)
        return touches?(shape) ? shape.area : 0.0 if surfaces.nil?
        surface.intersection(shape).area
      end

      # Rings of the surfaces, simplified to a share of the larger side; flat coordinates.
      def outline(share)
        return [] if surface.empty?
        Geometry::Wkb
          .each_run(Geometry::Geos.write(surface.simplify([box.width, box.height].max * share)))
          .map { |_, coordinates| coordinates }
      end

      # Ground area in square metres on the reference's ellipsoid; points and lines have none.
      def ground_m2(crs) = Crs::GeodesicArea.new(crs).of(surface)

      private

      def touch?(shapes, rectangle) = !shapes.nil? && shapes.intersects?(rectangle.shape)

      def surface = @surface ||= Geometry::Geos.union(parts.select { |part| surface?(part) })

      def surfaces = @surfaces ||= prepared(parts.select { |part| surface?(part) })

      def others = @others ||= prepared(parts.reject { |part| surface?(part) })

      def prepared(shapes) = shapes.empty? ? nil : Geometry::Geos.union(shapes).to_prepared

      def parts = @parts ||= Geometry::Geos.parts(geometry)

      def surface?(part) = part.is_a?(::Geos::Polygon)

      def drawn_in(rectangle)
        share = 1 - 2 * LEAST_REACH
        rectangle.sized(rectangle.width * share, rectangle.height * share)
      end
    end
  end
end
