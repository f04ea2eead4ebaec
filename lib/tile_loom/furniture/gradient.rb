# frozen_string_literal: true

module TileLoom
  module Furniture
    # Colours that run over the area of an element: along a direction, or from its middle outwards.
    class Gradient < Values::Value
      define "gradient"
      part :kind, choice(linear: "linear", radial: "radial"), default: "linear"
      part :direction_deg,
        number(-360..360),
        default: 90,
        about: "In which direction it runs, clockwise from rightwards; 90 is downwards."
      part :stops,
        list(
          Values::Record.new(
            "gradient_stop",
            {
              at: Values::Part.new(:at, Values::Number.new(0..1), required: true),
              colour: Values::Part.new(:colour, Values::Types::COLOUR, required: true),
              opacity: Values::Part.new(:opacity, Values::Types::OPACITY, default: 1)
            }
          ) { |**parts| parts },
          least: 2,
          most: 20
        ),
        required: true,
        about: "Colours at shares of the way."

      # The Scene::Fill of a box in page mm: from edge to edge, corner to corner where it runs aslant.
      def fill(box)
        x, y = box.centre
        angle = direction_deg * Math::PI / 180
        across, down = Math.cos(angle), Math.sin(angle)
        half = ((box.width * across).abs + (box.height * down).abs) / 2
        gradient =
          Scene::Gradient.new(
            kind: kind.to_sym,
            from: (kind == "radial") ? [x, y] : [x - across * half, y - down * half],
            to: (kind == "radial") ? nil : [x + across * half, y + down * half],
            radius_mm: Math.hypot(box.width, box.height) / 2,
            stops: even
          )
        Scene::Fill.new(colour: stops.first[:colour], gradient: gradient)
      end

      private

      # [at, colour, opacity] rising, the outermost drawn out to both ends.
      def even
        list =
          stops
            .map { |stop| stop.values_at(:at, :colour, :opacity) }
            .sort_by
            .with_index { |stop, place| [stop[0], place] }
        list.unshift([0.0, *list.first.drop(1)]) if list.first[0].positive?
        list.push([1.0, *list.last.drop(1)]) if list.last[0] < 1
        list
      end
    end
  end
end
