# frozen_string_literal: true

module TileLoom
  module Ground
    # A point symbol of a given size on paper, drawn as outlines about the point.
    class Marker
      CIRCLE = (0...24).flat_map { |i| [Math.cos(i * Math::PI / 12) / 2, Math.sin(i * Math::PI / 12) / 2] }.freeze

      # Outlines in a square of side 1 about the origin, y down; rings of each shape.
      SHAPES = {
        "circle" => [CIRCLE],
        "square" => [[-0.45, -0.45, 0.45, -0.45, 0.45, 0.45, -0.45, 0.45]],
        "diamond" => [[0, -0.55, 0.55, 0, 0, 0.55, -0.55, 0]],
        "triangle" => [[0, -0.5, 0.55, 0.45, -0.55, 0.45]],
        "bar" => [[-0.6, -0.2, 0.6, -0.2, 0.6, 0.2, -0.6, 0.2]],
        "hut" => [[-0.5, 0.5, -0.5, -0.1, 0, -0.55, 0.5, -0.1, 0.5, 0.5]],
        "cross" => [[-0.15, -0.5, 0.15, -0.5, 0.15, -0.15, 0.5, -0.15, 0.5, 0.15, 0.15, 0.15, 0.15, 0.5, -0.15, 0.5, -0.15, 0.15, -0.5, 0.15, -0.5, -0.15, -0.15, -0.15]],
        "warning" => [[0, -0.5, 0.55, 0.45, -0.55, 0.45], [-0.06, -0.15, 0.06, -0.15, 0.06, 0.15, -0.06, 0.15], [-0.06, 0.22, 0.06, 0.22, 0.06, 0.34, -0.06, 0.34]]
      }.freeze

      attr_reader :shape, :size_mm, :fill, :stroke

      def initialize(settings)
        @shape = settings["shape"]
        @size_mm = settings["size_mm"].to_f
        @fill = Scene::Fill.new(colour: settings["colour"], opacity: settings.fetch("opacity", 1.0))
        @stroke = settings["outline"] && Symbol.stroke(settings["outline"])
        @rings = SHAPES.fetch(@shape).map { |ring| ring.map { |number| number * @size_mm } }
      end

      # The marker's rings about a point of the page.
      def at(x, y)
        @rings.map { |ring| ring.each_slice(2).flat_map { |dx, dy| [x + dx, y + dy] } }
      end
    end
  end
end
