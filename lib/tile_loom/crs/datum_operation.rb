# frozen_string_literal: true

module TileLoom
  module Crs
    # A way from the longitudes and latitudes of one datum to those of another, by PROJ's database with the grids that
    # are here. Between two datums one serves a book, whatever the data came in, so that one point has one place.
    class DatumOperation
      attr_reader :name, :accuracy_m

      # Codes that stand for the same datum with its axes the other way round.
      SAME = {"OGC:CRS84" => "EPSG:4326", "OGC:CRS83" => "EPSG:4269", "OGC:CRS27" => "EPSG:4267"}.freeze

      KEPT = PerThread.new(:operations, most: 100)

      # operation: of PROJ, from the first datum to the second, by their names in order; covers: is it made for an area
      # that holds all of the ground which it is for?
      def initialize(operation, covers)
        @operation, @covers = operation, covers
        @name = Context.text(operation.name)
        @accuracy_m = operation.accuracy.negative? ? nil : operation.accuracy
        @ballpark = operation.ballpark_transformation?
      end

      # Is it no more than putting the numbers of one datum for those of the other?
      def ballpark? = @ballpark

      # Is its accuracy known for the ground that it is for?
      def covers? = @covers

      # Metres by which places on that ground may be off; nil where that is not known.
      def accuracy_here = (covers? && !ballpark?) ? accuracy_m : nil

      # What it is made for, in the register's words; nothing where that is not told.
      def area = area_of_use ? Context.text(area_of_use.name).split(/ - |[:;.]/).first.to_s.strip : ""

      # Degrees from its area to the middle of a box; 0 inside.
      def away(box)
        return Float::INFINITY unless area_of_use
        lon, lat = (box[0] + box[2]) / 2.0, (box[1] + box[3]) / 2.0
        east = [area_of_use.west_lon_degree - lon, lon - area_of_use.east_lon_degree, 0].max
        Math.hypot(
          east * Math.cos(lat * Math::PI / 180),
          [area_of_use.south_lat_degree - lat, lat - area_of_use.north_lat_degree, 0].max
        )
      end

      # What PROJ applies, longitude before latitude in degrees.
      def applied = @applied ||= @operation.normalize_for_visualization

      # Pair of geographic references in the order of their datums' names, and whether they were given so.
      def self.ordered(from, to)
        pair = [from, to].map { |crs| System.find(SAME.fetch(crs.geographic.code, crs.geographic.code)) }
        sorted = pair.sort_by(&:datum)
        [sorted, sorted.first.equal?(pair.first)]
      end

      # All between two references over a box of degrees [west, south, east, north], or anywhere with nil: those made
      # for an area that holds the box, the most accurate first; then what PROJ has elsewhere, the nearest first.
      def self.candidates(from, to, box)
        (one, other), = ordered(from, to)
        KEPT.fetch([one.code, other.code, box]) do
          whole = listed(one, other, box, :PROJ_SPATIAL_CRITERION_STRICT_CONTAINMENT, !box.nil?).reject(&:ballpark?)
          parts = listed(one, other, box, :PROJ_SPATIAL_CRITERION_PARTIAL_INTERSECTION, false)
          all = listed(one, other, nil, :PROJ_SPATIAL_CRITERION_PARTIAL_INTERSECTION, false)
          (by_accuracy(whole) + by_distance(parts + all, box) + parts + all).uniq(&:name)
        end
      end

      def self.by_accuracy(list) =
        list
          .each_with_index
          .sort_by { |operation, index| [operation.accuracy_m || Float::INFINITY, index] }
          .map(&:first)

      def self.by_distance(list, box)
        rough = list.reject(&:ballpark?)
        box ? rough.each_with_index.sort_by { |operation, index| [operation.away(box), index] }.map(&:first) : rough
      end

      def self.listed(one, other, box, criterion, covers)
        factory = Proj::OperationFactoryContext.new(Proj::Context.current)
        factory.set_area_of_interest(*box) if box
        factory.grid_availability = :PROJ_GRID_AVAILABILITY_DISCARD_OPERATION_IF_MISSING_GRID
        factory.spatial_criterion = criterion
        list = factory.create_operations(one.proj_object, other.proj_object)
        Array.new(list.count) { |index| new(list[index], covers) }
      rescue Proj::Error
        []
      end
      private_class_method :listed, :by_accuracy, :by_distance

      private

      # PROJ tells none of an operation put together of several.
      def area_of_use
        return @area_of_use if defined?(@area_of_use)
        @area_of_use = @operation.area_of_use
      rescue Proj::Error, FFI::NullPointerError
        @area_of_use = nil
      end
    end
  end
end
