# frozen_string_literal: true

module TileLoom
  module Output
    # A symbol as a small picture for lists: an area, a line or a mark, as the sheet draws them.
    class Swatch
      WIDTH_MM, HEIGHT_MM = 7.0, 5.0

      # kind: a key of Symbology::LayerKinds.
      def initialize(symbol, kind)
        @symbol, @kind = symbol, Symbology::LayerKinds.of(kind)
      end

      # What stands for each shape in its room.
      SHAPES = {
        point: {
          points: [WIDTH_MM / 2, HEIGHT_MM / 2]
        },
        line: {
          lines: [[0.4, HEIGHT_MM / 2, WIDTH_MM - 0.4, HEIGHT_MM / 2]]
        },
        area: {
          rings: [Geometry::Box.new(0.6, 0.8, WIDTH_MM - 0.6, HEIGHT_MM - 0.8).corners]
        }
      }.freeze

      # SVG of a symbol for shapes: keys of SHAPES.
      def self.of_shapes(symbol, *shapes)
        nodes = symbol.nodes(**SHAPES.values_at(*shapes).reduce({}, :merge))
        Output::Svg.new(Scene::Drawing.new(width_mm: WIDTH_MM, height_mm: HEIGHT_MM, nodes: nodes), size: false).to_s
      end

      def to_svg = self.class.of_shapes(@symbol, *shapes)

      private

      def shapes
        area = @symbol.area? && (@kind.fills? || !@kind.strokes?)
        [(:point if @kind.markers?), (:area if area), (:line if !area && @kind.strokes?)].compact
      end
    end
  end
end
