# frozen_string_literal: true

module TileLoom
  module Scene
    # Nodes turned clockwise about a point of the page, as new nodes.
    class Turn
      # angle_deg: clockwise, as it looks on the page (y down).
      def initialize(angle_deg, x, y)
        @angle_deg = angle_deg
        @map = Geometry::Affine.turn(angle_deg, x, y)
      end

      def nodes(list) = list.map { |node| node(node) }

      private

      def node(node)
        case node
        when Path
          node.with(runs: node.runs.map { |run| @map.map(run) }, fill: fill(node.fill))
        when Thing
          node.with(runs: node.runs.map { |run| @map.map(run) })
        when Link
          node.with(ring: @map.map(node.ring))
        when Text, Image
          placed(node)
        when CurvedText
          node.with(letters: node.letters.map { |letter| letter.moved(@map, @angle_deg) })
        when Group
          node.with(children: nodes(node.children), clip: clip(node.clip))
        else
          node
        end
      end

      def fill(fill) = fill&.gradient ? fill.with(gradient: fill.gradient.turned(@map)) : fill

      def placed(node)
        x, y = @map.point(node.x, node.y)
        node.with(x: x, y: y, rotation_deg: node.rotation_deg + @angle_deg)
      end

      def clip(area)
        return nil unless area
        Outline.new(runs: (area.is_a?(Outline) ? area.runs : [area.corners]).map { |run| @map.map(run) })
      end
    end
  end
end
