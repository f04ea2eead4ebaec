# frozen_string_literal: true

module TileLoom
  module Data
    # Puts vertices between those of edges that run straight in degrees (RFC 7946, 3.1.1) and bend on the map plane, so
    # that no chord leaves its edge by more than a tolerance. Edges of a file that counts in a plane of its own stay.
    class Densifier
      # Of paper, at the book's scale; what is drawn is thinned to 0.05 mm on top of it.
      TOLERANCE_MM = 0.01
      METRES_PER_DEG = 111_320.0

      # transform: a Crs::Transform; scale: denominator, or nil to leave all edges alone.
      def initialize(transform, scale)
        @transform = transform
        @tolerance =
          (scale && transform.from.geographic? && transform.to.projected?) ? TOLERANCE_MM * scale / 1000.0 : nil
        @bends =
          @tolerance &&
          Crs::Bends.new(transform, @tolerance / transform.to.metres_per_unit) { |from, to| long?(from, to) }
      end

      # Well-known binary in degrees, its bending edges with vertices between.
      def dense(wkb)
        if @tolerance.nil? ||
            Geometry::Wkb.each_run(wkb).none? { |kind, run, _| kind != Geometry::Wkb::POINT && bends?(run) }
          return wkb
        end
        Geometry::Wkb.map_runs(wkb) { |kind, run| (kind == Geometry::Wkb::POINT) ? run : @bends.filled(run) }
      end

      private

      # A first look without PROJ: an edge of so many metres leaves its chord by no more than an eighth of its square
      # over the radius of the curve, which is the earth's, less towards the poles.
      def bends?(run)
        run.each_slice(2).each_cons(2).any? { |from, to| long?(from, to) }
      end

      def long?((lon1, lat1), (lon2, lat2))
        return false if (lon2 - lon1).abs > 180
        length = Math.hypot((lon2 - lon1) * Math.cos((lat1 + lat2) / 2 * Math::PI / 180), lat2 - lat1) * METRES_PER_DEG
        steep = 1 + Math.tan([lat1.abs, lat2.abs].max.clamp(0, 89) * Math::PI / 180)
        length**2 / 8 / 6_371_000 * steep * 2 > @tolerance
      end
    end
  end
end
