# frozen_string_literal: true

module TileLoom
  module Frames
    # The outline of a frame: its box, one with round corners, an ellipse in it, or a polygon of its own.
    class Shape < Values::Value
      ELLIPSE_STEPS = 180
      share = Values::Number.new(0..1)

      define
      part :kind,
        choice(rectangle: "rectangle", rounded: "rounded rectangle", ellipse: "ellipse", polygon: "polygon"),
        default: "rectangle"
      part :corner_mm, Values::Types::LENGTH_MM, default: 4, about: "Radius of round corners."
      part :points,
        list(Values::List.new(share, least: 2, most: 2), least: 3, most: 200),
        about: "Corners of a polygon, as shares of the box's width and height."

      def rectangle? = kind == "rectangle"

      # Its flat ring in a box in page mm.
      def ring(box)
        case kind
        when "rounded"
          box.rounded(corner_mm)
        when "ellipse"
          box.ellipse(ELLIPSE_STEPS)
        when "polygon"
          points.flat_map { |across, along| box.place(across, along) }
        else
          box.corners
        end
      end

      private

      def settle
        return unless kind == "polygon"
        raise Refusal.new("frame.polygon_without_corners", at: "#{path}/points") unless points
        ring = points.flatten
        shape = Geometry::Geos.read(Geometry::Wkb.polygon([ring + ring.first(2)]))
        unless shape.valid? && shape.area.positive?
          raise Refusal.new("frame.polygon_crosses_itself", at: "#{path}/points")
        end
      end
    end
  end
end
