# frozen_string_literal: true

module TileLoom
  module Crs
    # The area of polygons on the ellipsoid, sides being geodesics (Karney 2013, geod_polygonarea of the
    # library that PROJ carries).
    class GeodesicArea
      # The C library's own structure is smaller than this.
      STRUCT_BYTES = 1024

      # Functions of libproj that proj4rb does not offer.
      module Library
        extend FFI::Library

        ffi_lib Proj::Api.ffi_libraries.map(&:name)
        attach_function :geod_init, %i[pointer double double], :void
        attach_function :geod_polygonarea, %i[pointer pointer pointer int pointer pointer], :void
      end

      def initialize(crs) = @crs = crs

      # geometry: of GEOS, in units of the reference; holes are taken off. Square metres.
      def of(geometry)
        return 0.0 if geometry.empty?
        Geometry::Geos
          .parts(geometry)
          .grep(::Geos::Polygon)
          .sum { |polygon| ring(polygon.exterior_ring) - polygon.interior_rings.sum { |hole| ring(hole) } }
      end

      private

      def ring(geometry)
        coordinates = Geometry::Wkb.each_run(Geometry::Geos.write(geometry)).first[1]
        lonlat = Transform.between(@crs, @crs.geographic).forward(coordinates[0...-2], strict: true)
        measured(lonlat.each_slice(2).to_a)
      end

      def measured(lonlat)
        lons, lats = lonlat.transpose
        area, perimeter = Array.new(2) { FFI::MemoryPointer.new(:double) }
        Library.geod_polygonarea(ellipsoid, doubles(lats), doubles(lons), lonlat.length, area, perimeter)
        area.read_double.abs
      end

      def doubles(numbers) = FFI::MemoryPointer.new(:double, numbers.length).write_array_of_double(numbers)

      def ellipsoid
        @ellipsoid ||=
          FFI::MemoryPointer
            .new(STRUCT_BYTES)
            .tap do |memory|
              a, e2 = @crs.ellipsoid
              Library.geod_init(memory, a, 1 - Math.sqrt(1 - e2))
            end
      end
    end
  end
end
