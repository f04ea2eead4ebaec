# frozen_string_literal: true

module TileLoom
  module Geometry
    # Between GEOS geometries and well-known binary, one reader and writer a thread.
    module Geos
      # What the library's own writer leaves behind is given back.
      module Memory
        extend FFI::Library

        ffi_lib ::Geos::FFIGeos.geos_library_path
        attach_function :GEOSFree_r, %i[pointer pointer], :void
      end
      private_constant :Memory

      module_function

      # A GEOS geometry of well-known binary; Refusal for bytes that are none.
      def read(bytes) = reader.read(bytes)

      # Well-known binary of a GEOS geometry.
      def write(geometry) = write_pointer(geometry.ptr)

      # The same of a pointer to one.
      def write_pointer(pointer)
        handle, size = ::Geos.current_handle_pointer, FFI::MemoryPointer.new(:size_t)
        found = ::Geos::FFIGeos.GEOSWKBWriter_write_r(handle, writer.ptr, pointer, size)
        found.get_bytes(0, size.get(:size_t, 0))
      ensure
        Memory.GEOSFree_r(handle, found) if found
      end

      # A pointer to the geometry of well-known binary, to be given back by the caller.
      def read_pointer(bytes) =
        ::Geos::FFIGeos.GEOSWKBReader_read_r(::Geos.current_handle_pointer, reader.ptr, bytes, bytes.bytesize)

      def polygon(coordinates) = read(Wkb.polygon([coordinates + coordinates[0, 2]]))

      def box(box) = read(Wkb.box(box))

      # The members of a collection, or the geometry itself.
      def parts(geometry)
        return [geometry] unless geometry.is_a?(::Geos::GeometryCollection)
        (0...geometry.num_geometries).map { |index| geometry.get_geometry_n(index) }
      end

      # The union of GEOS geometries.
      def union(geometries)
        geometries = geometries.reject(&:empty?)
        return ::Geos.create_empty_geometry_collection if geometries.empty?
        return geometries.first if geometries.one?
        ::Geos.create_collection(::Geos::GeomTypes::GEOS_GEOMETRYCOLLECTION, geometries).unary_union
      end

      # The Box of many geometries in well-known binary, or nil where all are empty.
      def extent(all) = all.filter_map { |bytes| envelope(read(bytes)) }.reduce { |box, other| box.union(other) }

      # The Box round a GEOS geometry, or nil where it is empty.
      def envelope(geometry)
        return nil if geometry.empty?
        Box.new(geometry.x_min, geometry.y_min, geometry.x_max, geometry.y_max)
      end

      def reader
        Thread.current.thread_variable_get(:tile_loom_wkb_reader) ||
          ::Geos::WkbReader.new.tap { |made| Thread.current.thread_variable_set(:tile_loom_wkb_reader, made) }
      end
      private_class_method :reader

      def writer = Thread.current.thread_variable_get(:tile_loom_wkb_writer) || new_writer
      private_class_method :writer

      def new_writer
        writer = ::Geos::WkbWriter.new
        writer.output_dimensions = 2
        writer.byte_order = 1
        writer.include_srid = false
        Thread.current.thread_variable_set(:tile_loom_wkb_writer, writer)
        writer
      end
      private_class_method :new_writer
    end
  end
end
