# frozen_string_literal: true

module TileLoom
  module Data
    # Coarser levels of a large layer's geometry, so that a map of all of it is as quick as one of a corner. Each level
    # has a tolerance: lines are simplified to it, and of features that are smaller than it and lie together one stands
    # for all that look alike. Sheets and prints never use it.
    class Generalisation
      # Layers below both need none.
      VERTICES, FEATURES = 20_000, 5_000
      # The finest tolerance as a share of the layer's larger side, and how much each level is coarser.
      FINEST, STEP, MOST_LEVELS = 1.0 / 24_000, 4.0, 3
      # Points within so many tolerances of one another count as together.
      TOGETHER = 4.0
      # Fields of no more values than this may decide on a symbol, so what differs in them does not look alike.
      MOST_VALUES = 12

      # Is a layer large enough? extent: Geometry::Box, or nil while it holds nothing.
      def self.wanted?(extent, vertices:, features:) = !extent.nil? && (vertices > VERTICES || features > FEATURES)

      # [[level from 1, tolerance in units of the reference], …], the coarsest last.
      def self.levels(extent)
        finest = [extent.width, extent.height].max * FINEST
        Array.new(MOST_LEVELS) { |step| [step + 1, finest * STEP**step] }
      end

      # Names of the fields that may decide on a symbol. rows: Hashes of fields by name, each yielded once.
      def self.deciding_fields(rows)
        seen = Hash.new { |hash, name| hash[name] = {} }
        rows.each do |properties|
          properties.each { |name, value| seen[name][value] = true if seen[name].length <= MOST_VALUES }
        end
        seen.select { |_, values| values.length <= MOST_VALUES }.keys
      end

      # tolerance: in units of the reference; fields: that decide on symbols.
      def initialize(tolerance, fields)
        @tolerance, @fields, @taken = tolerance, fields, {}
      end

      # Well-known binary of a feature at this level, or nil where one that came before stands for it.
      def of(wkb, properties)
        geometry = Geometry::Geos.read(wkb)
        box = Geometry::Geos.envelope(geometry) or return nil
        point = POINTS.include?(wkb.getbyte(1))
        if point || [box.width, box.height].max < @tolerance
          return nil if taken?(box, properties.values_at(*@fields))
          return wkb if point
        end
        simple = geometry.simplify(@tolerance)
        simple.empty? ? Geometry::Wkb.box(box) : Geometry::Geos.write(simple)
      end

      private

      # Codes of well-known binary, little-endian (OGC 06-103r4, 8.2.3): Point, MultiPoint.
      POINTS = [1, 4].freeze

      def taken?(box, look)
        cell = @tolerance * TOGETHER
        place = [(box.min_x / cell).floor, (box.min_y / cell).floor, look]
        return true if @taken[place]
        @taken[place] = true
        false
      end
    end
  end
end
