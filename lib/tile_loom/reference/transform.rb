# frozen_string_literal: true

module TileLoom
  module Reference
    # Batched coordinate transforms between two references.
    class Transform
      DOUBLE = 8

      attr_reader :from, :to

      # A transform for this thread (PROJ objects are not shared between threads).
      def self.between(from, to)
        cache = Thread.current.thread_variable_get(:tile_loom_transforms) ||
          {}.tap { |fresh| Thread.current.thread_variable_set(:tile_loom_transforms, fresh) }
        cache.clear if cache.size > 200
        cache[[from.code, to.code]] ||= new(from, to)
      end

      # Longitude and latitude on WGS 84, which magnetic north and military references are reckoned on.
      def self.to_wgs84(crs) = between(crs, Crs.find("EPSG:4326"))

      def initialize(from, to)
        @from, @to = from, to
        @same = from == to
        return if @same
        plain = Proj::Transformation.new(from.proj_object, to.proj_object)
        @operation = plain.normalize_for_visualization
      rescue Proj::Error => error
        raise Invalid.new("There is no way from #{from.name} to #{to.name}: #{error.message}.")
      end

      # coordinates: flat [x, y, x, y, …] in units of `from`; returns the same shape in units of `to`.
      # A point outside the domain of the operation comes back as infinity, or is refused with strict.
      def forward(coordinates, strict: false) = run(coordinates, :PJ_FWD, strict)

      def inverse(coordinates, strict: false) = run(coordinates, :PJ_INV, strict)

      # One point, [x, y]; Invalid when it lies outside the domain.
      def point(x, y) = forward([x, y], strict: true)

      private

      def run(coordinates, direction, strict)
        return coordinates if coordinates.empty?
        result = @same ? coordinates : through_proj(coordinates, direction)
        if strict && (index = result.index { |number| !number.finite? })
          first = index - index % 2
          place = coordinates[first, 2].map { |number| Units::Number.plain(number, decimals: 6) }.join(", ")
          raise Invalid.new("The point #{place} lies outside what #{to.name} can show.")
        end
        result
      end

      def through_proj(coordinates, direction)
        count = coordinates.length / 2
        buffer = FFI::MemoryPointer.new(:double, coordinates.length)
        buffer.write_bytes(coordinates.pack("E*"))
        stride = 2 * DOUBLE
        Proj::Api.proj_errno_reset(@operation)
        Proj::Api.proj_trans_generic(@operation, direction,
          buffer, stride, count, buffer + DOUBLE, stride, count, nil, 0, 0, nil, 0, 0)
        buffer.read_bytes(coordinates.length * DOUBLE).unpack("E*")
      end
    end
  end
end
