# frozen_string_literal: true

module TileLoom
  module Scene
    # Colours that run from a place of the page to another (kind :linear), or from a place outwards to a radius
    # (:radial), and stay as they are beyond. from, to: [x, y] in page mm; radius_mm; stops: [share of the way,
    # "#rrggbb", opacity] list, rising.
    Gradient =
      Struct.new(:kind, :from, :to, :radius_mm, :stops, keyword_init: true) do
        prepend Node

        # map: Geometry::Affine that turns the page.
        def turned(map) = with(from: map.point(*from), to: to && map.point(*to))

        def transparent? = stops.any? { |_, _, opacity| opacity < 1 }
      end
  end
end
