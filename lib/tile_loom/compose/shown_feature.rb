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
      def attributes
        features = @area.features(@source, @ground.box)
        own = @cell.feature && features.find { |feature| feature.id == @cell.feature }
        return own.attributes if own
        window = @ground.shape
        best =
          features
            .filter_map { |feature| [amount(feature, window), feature] }
            .select { |amount, _| amount.last.positive? || amount.first.zero? }
        best.max_by { |amount, feature| [amount, -feature.id] }&.last&.attributes || {}
      end

      private

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
