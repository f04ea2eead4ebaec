# frozen_string_literal: true

module App
  # Finds the feature of a layer that was meant by a press on the map.
  class FeatureAt
    MOST_CANDIDATES = 500

    def initialize(layer) = @layer = layer

    # x, y: in the book's reference; reach: how near it must be. {"id", "box"} of the nearest, or nil; of
    # those that hold the place the last in order, which lies on top.
    def find(x, y, reach)
      box = TileLoom::Geometry::Box.new(x - reach, y - reach, x + reach, y + reach)
      point = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(x, y))
      near =
        FeatureSource
          .new([@layer])
          .features(@layer.key, box)
          .last(MOST_CANDIDATES)
          .filter_map do |feature|
            geometry = TileLoom::Geometry::Geos.read(feature.wkb)
            distance = geometry.distance(point)
            [distance, -feature.id, feature.id, geometry] if distance <= reach
          end
      _, _, id, geometry = near.min_by { |entry| entry.first(2) }
      id && {"id" => id, "box" => TileLoom::Geometry::Geos.envelope(geometry).to_a}
    end
  end
end
