# frozen_string_literal: true

module TileLoom
  module Table
    # The records of a layer for a table: those of which a sheet shows something, or all.
    class Records
      # Records of a table, and features that are looked through for them.
      MOST, MOST_SEARCHED = 2_000, 20_000

      # layer: its id; ground: a Geometry::TurnedRectangle, or nil for all; condition: Conditions::Condition or nil;
      # sortings: Sorting list; on_sheet: the Conditions::OnSheet that the condition asks.
      def initialize(source, layer, ground:, condition: nil, sortings: [], on_sheet: nil)
        @source, @layer, @ground, @condition, @sortings = source, layer, ground, condition, sortings
        @on_sheet = on_sheet
      end

      # {field → value} list in their order.
      def to_a = @to_a ||= Sorting.sorted(features.map(&:attributes), @sortings).first(MOST)

      # What of it is left out as too much: [how many there are, how many it has], or nil.
      def cut
        return searched, 0 if searched > MOST_SEARCHED
        (features.length > MOST) ? [features.length, MOST] : nil
      end

      private

      def searched = @searched ||= @source.count(@layer, @ground&.box)

      def features = @features ||= (searched > MOST_SEARCHED) ? [] : sought

      def sought
        found = @source.features(@layer, @ground&.box)
        if @condition
          found = found.select { |feature| @condition.match?(feature.attributes, @on_sheet&.see(@layer, feature)) }
        end
        @ground ? found.select { |feature| on_ground?(feature) } : found
      end

      def window = @window ||= @ground.shape

      def on_ground?(feature)
        Geometry::Geos.read(feature.wkb).intersects?(window)
      rescue ::Geos::GEOSException
        # A geometry that cannot be computed with counts by its box, by which it was found.
        true
      end
    end
  end
end
