# frozen_string_literal: true

module TileLoom
  module Symbology
    # A point symbol of a given size on paper: a drawing of the marker set in a colour of its own.
    class Marker < Values::Value
      define
      part :shape, Values::Types::ID, required: true, about: "A shipped drawing, or one of the book's own markers."
      part :size_mm, number(above: 0, most: 200), required: true
      part :colour, Values::Types::COLOUR, required: true
      part :opacity, Values::Types::OPACITY, default: 1
      part :outline, Scene::Stroke::TYPE

      # Scene paths of the marker at flat points [x, y, …] of the page.
      def nodes(points) = drawing.paths(points, size_mm, colour: colour, opacity: opacity, outline: outline)

      # With sizes that many times as large.
      def scaled(factor) = reckoned(size_mm: size_mm * factor, outline: outline&.scaled(factor))

      # The Artwork::Drawing of its shape; Refusal where there is none of that name.
      def drawing = (assets || Assets.shipped).markers.drawing(shape, path: "#{path}/shape")
    end
  end
end
