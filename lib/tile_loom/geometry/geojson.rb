# frozen_string_literal: true

module TileLoom
  module Geometry
    # Well-known binary as a GeoJSON geometry (RFC 7946, 3.1), coordinates in full.
    module Geojson
      NAMES = {
        1 => "Point",
        2 => "LineString",
        3 => "Polygon",
        4 => "MultiPoint",
        5 => "MultiLineString",
        6 => "MultiPolygon"
      }.freeze

      module_function

      # A Feature (RFC 7946) with its number as "id".
      def feature(number, properties, wkb) =
        {"type" => "Feature", "id" => number, "properties" => properties, "geometry" => of(wkb)}

      def of(wkb) = of_geometry(Geos.read(wkb))

      # A GeoJSON geometry (RFC 7946) of a GEOS geometry.
      def of_geometry(geometry)
        if geometry.type_id == 7
          return (
            {"type" => "GeometryCollection", "geometries" => Geos.parts(geometry).map { |part| of_geometry(part) }}
          )
        end
        {"type" => NAMES.fetch(wkb_type(geometry)), "coordinates" => coordinates(geometry)}
      end

      # Its coordinates, nested as its type asks.
      def coordinates(geometry)
        return Geos.parts(geometry).map { |part| coordinates(part) } if geometry.is_a?(::Geos::GeometryCollection)
        runs = Wkb.each_run(Geos.write(geometry)).map { |_, flat, _| flat.each_slice(2).to_a }
        case wkb_type(geometry)
        when 1
          runs.first.first
        when 2
          runs.first
        else
          runs
        end
      end

      def wkb_type(geometry) = Geos.write(geometry).getbyte(1)
    end
  end
end
