# frozen_string_literal: true

module TileLoom
  module Compose
    # The feature that a sheet was made for, or else that of the study area which it shows most of: by area
    # where there are surfaces, else by length, else by number.
    class ShownFeature
      # area: a Index::AreaChoice; cell: the sheet's.
      def initialize(area, source, cell)
        @area, @source, @cell, @ground = area, source, cell, cell.ground
      end

      # Its attributes; empty where the sheet shows none.
      def attributes = found&.last&.attributes || {}

      # [id of its layer, or nil where it was drawn by hand, Data::Feature]; nil where the sheet shows none.
      def found = defined?(@found) ? @found : @found = own || most

      # Is it the one that the sheet was made for?
      def own? = !own.nil?

      private

      def features = @features ||= @area.by_layer(@source, @ground.box)

      def own = @own ||= @cell.feature && features.find { |_, feature| feature.id == @cell.feature }

      def most
        window = @ground.shape
        best =
          features.filter_map do |layer, feature|
            # The box round a feature may meet the sheet where it does not itself.
            amount(feature, window)&.then { |amount| [amount, layer, feature] }
          end
        best.max_by { |amount, _, feature| [amount, -feature.id] }&.drop(1)
      end

      # [dimension, area or length], or nil where nothing is in the window.
      def amount(feature, window)
        shape = Geometry::Geos.read(feature.wkb)
        part = shape.intersection(window)
        return nil if part.empty?
        return 2, part.area if part.area.positive?
        part.length.positive? ? [1, part.length] : [0, 0.0]
      rescue ::Geos::GEOSException
        nil
      end
    end
  end
end
