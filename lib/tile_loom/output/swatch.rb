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

      def to_svg = self.class.svg(nodes)

      # Nodes in its room as SVG.
      def self.svg(nodes) =
        Output::Svg.new(Scene::Drawing.new(width_mm: WIDTH_MM, height_mm: HEIGHT_MM, nodes: nodes), size: false).to_s

      private

      def nodes
        point = @kind.markers? ? [WIDTH_MM / 2, HEIGHT_MM / 2] : []
        rings =
          if @symbol.area? && (@kind.fills? || !@kind.strokes?)
            [Geometry::Box.new(0.6, 0.8, WIDTH_MM - 0.6, HEIGHT_MM - 0.8).corners]
          else
            []
          end
        lines = (rings.empty? && @kind.strokes?) ? [[0.4, HEIGHT_MM / 2, WIDTH_MM - 0.4, HEIGHT_MM / 2]] : []
        @symbol.nodes(points: point, lines: lines, rings: rings)
      end
    end
  end
end
