# frozen_string_literal: true

module TileLoom
  module Conditions
    # A sheet as the conditions of what is drawn on it know it.
    class OnSheet
      # values: gives name of SheetProperties → value when a condition asks for one; metres_per_unit: of the features'
      # reference; the block gives [id of its layer, Feature] of the feature that the sheet is of, or nil.
      def initialize(values, metres_per_unit, &own)
        @work_out, @metres_per_unit, @find = values, metres_per_unit, own
      end

      # What tells its answers from those of another sheet.
      def key = @key ||= [*values.values.map(&:to_s), own_layer.to_s, own ? own.id : ""]

      # The Feature that the sheet is of, and the id of its layer.
      def own = found&.last

      def own_layer = found&.first

      # A feature of a layer, or nothing, as it stands to this sheet.
      def see(layer = nil, feature = nil) = Seen.new(self, layer, feature)

      # The value of a name of SheetProperties; nil where there is none.
      def fact(name)
        field = SheetProperties.field(name)
        field ? own&.attributes&.fetch(field, nil) : values[name]
      end

      # Does a geometry meet that of the own feature?
      def meets?(feature) = !!shape && prepared.intersects?(Geometry::Geos.read(feature.wkb))

      # Is it no further off than so many metres on the map plane?
      def within?(feature, metres)
        return false unless shape
        shape.distance(Geometry::Geos.read(feature.wkb)) <= metres / @metres_per_unit
      end

      # The GEOS geometry of the own feature, or nil.
      def shape = @shape ||= own && Geometry::Geos.read(own.wkb)

      # One feature beside it.
      Seen =
        Struct.new(:on, :layer, :feature) do
          def fact(name) = on.fact(name)

          def own? = !!on.own && on.own.id == feature&.id && on.own_layer == layer

          # Does it meet the own feature, and is it another?
          def touching? = !!feature && !own? && on.meets?(feature)

          def within?(metres) = !!feature && on.within?(feature, metres)
        end

      private

      def values = @values ||= @work_out.call

      def found
        @found = @find.call unless defined?(@found)
        @found
      end

      def prepared = @prepared ||= shape.to_prepared
    end
  end
end
