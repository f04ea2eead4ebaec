# frozen_string_literal: true

module TileLoom
  module Reference
    # A way from the longitudes and latitudes of one datum to those of another, by PROJ's database with the grids that
    # are here. Between two datums one serves a book, whatever the data came in, so that one point has one place.
    class DatumOperation
      attr_reader :name, :accuracy_m

      # Codes that stand for the same datum with its axes the other way round.
      SAME = {"OGC:CRS84" => "EPSG:4326", "OGC:CRS83" => "EPSG:4269", "OGC:CRS27" => "EPSG:4267"}.freeze

      # operation: of PROJ, from the first datum to the second, by their names in order.
      def initialize(operation)
        @operation = operation
        @name = Context.text(operation.name)
        @accuracy_m = operation.accuracy.negative? ? nil : operation.accuracy
        @ballpark = operation.ballpark_transformation?
      end

      # Is it no more than putting the numbers of one datum for those of the other?
      def ballpark? = @ballpark

      # What PROJ applies, longitude before latitude in degrees.
      def applied = @applied ||= @operation.normalize_for_visualization

      # Pair of geographic references in the order of their datums' names, and whether they were given so.
      def self.ordered(from, to)
        pair = [from, to].map { |crs| Crs.find(SAME.fetch(crs.geographic.code, crs.geographic.code)) }
        sorted = pair.sort_by(&:datum)
        [sorted, sorted.first.equal?(pair.first)]
      end

      # All between two references over a box of degrees [west, south, east, north], or anywhere with nil: those made
      # for an area that holds the box, the most accurate first; where there is none, what PROJ has for parts of it.
      def self.candidates(from, to, box)
        (one, other), = ordered(from, to)
        cache = Thread.current.thread_variable_get(:tile_loom_operations) || {}.tap { |fresh| Thread.current.thread_variable_set(:tile_loom_operations, fresh) }
        cache.clear if cache.size > 100
        cache[[one.code, other.code, box]] ||= begin
          whole = listed(one, other, box, :PROJ_SPATIAL_CRITERION_STRICT_CONTAINMENT).reject(&:ballpark?)
          whole = whole.each_with_index.sort_by { |operation, index| [operation.accuracy_m || Float::INFINITY, index] }.map(&:first)
          parts = listed(one, other, box, :PROJ_SPATIAL_CRITERION_PARTIAL_INTERSECTION)
          (whole + parts.reject(&:ballpark?) + parts).uniq(&:name)
        end
      end

      def self.listed(one, other, box, criterion)
        factory = Proj::OperationFactoryContext.new(Proj::Context.current)
        factory.set_area_of_interest(*box) if box
        factory.grid_availability = :PROJ_GRID_AVAILABILITY_DISCARD_OPERATION_IF_MISSING_GRID
        factory.spatial_criterion = criterion
        list = factory.create_operations(one.proj_object, other.proj_object)
        Array.new(list.count) { |index| new(list[index]) }
      rescue Proj::Error
        []
      end
      private_class_method :listed
    end
  end
end
