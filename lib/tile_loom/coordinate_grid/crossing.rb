# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Where a grid line crosses a side of the frame (page mm), and how steeply: 1 at a right angle.
    Crossing = Struct.new(:line, :side, :x, :y, :steepness, keyword_init: true) do
      def self.all(lines, frame)
        lines.flat_map do |line|
          line.pieces.flat_map { |piece| [at(line, piece[0, 2], piece[2, 2], frame), at(line, piece[-2, 2], piece[-4, 2], frame)].compact }
        end
      end

      def self.at(line, place, inward, frame)
        x, y = place
        side = side_of(x, y, frame) or return nil
        dx = (inward[0] - x).abs
        dy = (inward[1] - y).abs
        run = Math.hypot(dx, dy)
        across = %w[top bottom].include?(side) ? dy : dx
        new(line: line, side: side, x: x, y: y, steepness: run.zero? ? 0.0 : across / run)
      end

      def self.side_of(x, y, frame)
        near = 1e-6
        return "top" if (y - frame.min_y).abs < near
        return "bottom" if (y - frame.max_y).abs < near
        return "left" if (x - frame.min_x).abs < near
        return "right" if (x - frame.max_x).abs < near
        nil
      end
    end
  end
end
