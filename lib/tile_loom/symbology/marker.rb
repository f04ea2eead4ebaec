# frozen_string_literal: true

module TileLoom
  module Symbology
    # A point symbol of a given size on paper: a drawing of the marker set in a colour of its own.
    class Marker
      attr_reader :size_mm

      # drawings: a MarkerSet; factor: by which sizes grow or shrink.
      def initialize(settings, drawings: MarkerSet.new, factor: 1.0, path: nil)
        @colour = settings["colour"]
        @opacity = settings.fetch("opacity", 1.0)
        @size_mm = settings["size_mm"] * factor.to_f
        @outline = settings["outline"] && Symbol.stroke(settings["outline"], factor)
        @drawing = drawings.drawing(settings["shape"], path: path && "#{path}/shape")
      end

      # Scene paths of the marker at flat points [x, y, …] of the page.
      def nodes(points) = @drawing.paths(points, size_mm, colour: @colour, opacity: @opacity, outline: @outline)
    end
  end
end
