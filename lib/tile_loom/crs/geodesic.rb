# frozen_string_literal: true

module TileLoom
  module Crs
    # Shortest lines on the ellipsoid (Karney 2013, as in PROJ).
    class Geodesic
      attr_reader :crs

      def initialize(crs) = @crs = crs

      # Two points in degrees; returns [metres, azimuth at the first point in degrees 0…360].
      def inverse_deg(lon1, lat1, lon2, lat2)
        from, to =
          [[lon1, lat1], [lon2, lat2]].map do |lon, lat|
            Proj::Coordinate.new(lam: lon * Math::PI / 180, phi: lat * Math::PI / 180)
          end
        answer = crs.proj_object.geod_distance(from, to)
        [answer.x, answer.y % 360]
      end

      # Ground length in metres of a flat polyline in the reference's own units.
      def length_m(coordinates)
        lonlat = Transform.between(crs, crs.geographic).forward(coordinates, strict: true)
        lonlat.each_slice(2).each_cons(2).sum { |(lon1, lat1), (lon2, lat2)| inverse_deg(lon1, lat1, lon2, lat2).first }
      end

      # Ground length in metres between two points given in the reference's own units.
      def distance_m(x1, y1, x2, y2)
        lonlat = Transform.between(crs, crs.geographic).forward([x1, y1, x2, y2], strict: true)
        inverse_deg(*lonlat).first
      end
    end
  end
end
