# frozen_string_literal: true

module TileLoom
  module Geometry
    # Lines and rings of a geometry as they are in a window, thinned (GEOS). A drawing does this to each feature, so it
    # is done on GEOS's own pointers: an object for each step takes as long as the step.
    class Trimming
      F = ::Geos::FFIGeos
      # A geometry of fewer bytes than this is not worth thinning.
      FEW_BYTES = 120
      private_constant :F

      # Is a geometry of so many bytes of well-known binary left as it is?
      def self.few?(bytesize) = bytesize <= FEW_BYTES

      # window: Box; tolerance: how far a thinned line may leave the true one, in the unit of the coordinates, or nil.
      def initialize(window, tolerance)
        @window, @tolerance = window, tolerance
      end

      # Well-known binary, or nil where nothing is left. bytes: of a geometry.
      def lines(bytes) = trimmed(bytes) { |shape| shape }

      # The same of the rings of areas.
      def rings(bytes)
        trimmed(bytes) do |shape|
          (F.GEOSArea_r(@handle, shape, number) && number.read_double.zero?) ? nil : boundary(shape)
        end
      end

      private

      def trimmed(bytes)
        @handle, @made = ::Geos.current_handle_pointer, []
        shape = cut(made(Geos.read_pointer(bytes)))
        return nil if empty?(shape)
        shape = yield(shape) or return nil
        return nil if empty?(shape)
        written = Geos.write_pointer(shape)
        return written if @tolerance.nil? || self.class.few?(written.bytesize)
        Geos.write_pointer(made(F.GEOSSimplify_r(@handle, shape, @tolerance)))
      ensure
        @made.each { |pointer| F.GEOSGeom_destroy_r(@handle, pointer) }
      end

      # One that GEOS could not make is told as its classes tell it.
      def made(pointer)
        raise ::Geos::NullPointerError if pointer.null?
        @made << pointer
        pointer
      end

      def number = @number ||= FFI::MemoryPointer.new(:double)

      def empty?(shape) = F.GEOSisEmpty_r(@handle, shape) == 1

      def boundary(shape) = made(F.GEOSBoundary_r(@handle, shape))

      def cut(shape)
        return shape if inside?(shape)
        made(F.GEOSClipByRect_r(@handle, shape, @window.min_x, @window.min_y, @window.max_x, @window.max_y))
      end

      def inside?(shape)
        return true if empty?(shape)
        F.GEOSGeom_getXMin_r(@handle, shape, number)
        return false if number.read_double < @window.min_x
        F.GEOSGeom_getXMax_r(@handle, shape, number)
        return false if number.read_double > @window.max_x
        F.GEOSGeom_getYMin_r(@handle, shape, number)
        return false if number.read_double < @window.min_y
        F.GEOSGeom_getYMax_r(@handle, shape, number)
        number.read_double <= @window.max_y
      end
    end
  end
end
