# frozen_string_literal: true

module TileLoom
  module Layout
    # Where an element lies: tied to edges of the live area by distances, or stretched between them.
    # Of left_mm, width_mm, right_mm two are given; of top_mm, height_mm, bottom_mm likewise.
    class Place
      def initialize(settings) = @settings = settings

      # The box in page mm within a live area; Invalid when nothing is left of it.
      def within(area, path: nil)
        left, width = span("left_mm", "width_mm", "right_mm", area.min_x, area.max_x)
        top, height = span("top_mm", "height_mm", "bottom_mm", area.min_y, area.max_y)
        unless width.positive? && height.positive?
          raise Invalid.new("There is no room on this page for this element: it would be #{Units::Number.plain(width, decimals: 1)} × #{Units::Number.plain(height, decimals: 1)} mm. Make the margins smaller or the page larger.", path: path)
        end
        Geometry::Box.at(left, top, width, height)
      end

      private

      def span(near, size, far, low, high)
        start, length, finish = @settings.values_at(near, size, far).map { |value| value&.to_f }
        if start && length then [low + start, length]
        elsif length then [high - (finish || 0.0) - length, length]
        else
          first = low + (start || 0.0)
          [first, high - (finish || 0.0) - first]
        end
      end
    end
  end
end
