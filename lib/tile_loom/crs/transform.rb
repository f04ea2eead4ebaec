# frozen_string_literal: true

module TileLoom
  module Crs
    # Batched coordinate transforms between two references.
    class Transform
      DOUBLE = 8
      KEPT = PerThread.new(:transforms, most: 200)

      attr_reader :from, :to

      # A transform for this thread (PROJ objects are not shared between threads).
      def self.between(from, to) =
        KEPT.fetch([from.code, to.code, (from.operations || to.operations)&.key]) { new(from, to) }

      # Longitude and latitude on WGS 84, which magnetic north and military references are reckoned on.
      def self.to_wgs84(crs) = between(crs, System.find("EPSG:4326"))

      def initialize(from, to)
        @from, @to = from, to
        @same = from == to
        return if @same
        @steps = shift ? [plain(from, from.geographic), shift, plain(to.geographic, to)].compact : [plain(from, to)]
      rescue Proj::Error => error
        raise Refusal.new("crs.no_transformation", from: from.name, to: to.name, trouble: error.message)
      end

      # The DatumOperation on the way, or nil where the datum stays.
      attr_reader :operation

      # coordinates: flat [x, y, x, y, …] in units of `from`; returns the same shape in units of `to`.
      # A point outside the domain of the operation comes back as infinity, or is refused with strict.
      def forward(coordinates, strict: false) = run(coordinates, :PJ_FWD, strict)

      def inverse(coordinates, strict: false) = run(coordinates, :PJ_INV, strict)

      # One point, [x, y]; Refusal when it lies outside the domain.
      def point(x, y) = forward([x, y], strict: true)

      # The Box about the corners of a box.
      def box(box, strict: false) = Geometry::Box.around(forward(box.corners, strict: strict))

      private

      def run(coordinates, direction, strict)
        return coordinates if coordinates.empty?
        result = @same ? coordinates : through_proj(coordinates, direction)
        if strict && (index = result.index { |number| !number.finite? })
          first = index - index % 2
          place = coordinates[first, 2].map { |number| Units::Number.plain(number, decimals: 6) }.join(", ")
          raise Refusal.new("crs.point_outside", point: place, name: to.name)
        end
        result
      end

      # [what PROJ applies, is it applied forward?], or nil where nothing is to be done.
      def plain(from, to) =
        if from == to
          nil
        else
          [Proj::Transformation.new(from.proj_object, to.proj_object).normalize_for_visualization, true]
        end

      # From datum to datum, by the book's operation; nil where the datum stays, or a reference brings its own way
      # along.
      def shift
        return @shift if defined?(@shift)
        @shift = nil
        return if from.bound? || to.bound? || from.datum == to.datum
        _, forward = DatumOperation.ordered(from, to)
        @operation = (from.operations || to.operations || Operations::NONE).between(from, to, own)
        @shift = [@operation.applied, forward]
      end

      # The book's reference of the two, by whose area it is chosen; else the one for a smaller part of the earth.
      def own = [from, to].find(&:operations) || [to, from].find(&:projected?) || to

      def through_proj(coordinates, direction)
        steps = (direction == :PJ_FWD) ? @steps : @steps.reverse
        steps.reduce(coordinates) do |places, (operation, forward)|
          applied(operation, places, (forward == (direction == :PJ_FWD)) ? :PJ_FWD : :PJ_INV)
        end
      end

      def applied(operation, coordinates, direction)
        count = coordinates.length / 2
        buffer = FFI::MemoryPointer.new(:double, coordinates.length)
        buffer.write_bytes(coordinates.pack("E*"))
        stride = 2 * DOUBLE
        Proj::Api.proj_errno_reset(operation)
        Proj::Api.proj_trans_generic(
          operation,
          direction,
          buffer,
          stride,
          count,
          buffer + DOUBLE,
          stride,
          count,
          nil,
          0,
          0,
          nil,
          0,
          0
        )
        buffer.read_bytes(coordinates.length * DOUBLE).unpack("E*")
      end
    end
  end
end
