# frozen_string_literal: true

module TileLoom
  module Geometry
    # Cuts a polyline by an upright box (Liang & Barsky 1984), keeping where it enters and leaves:
    # coordinate-grid labels stand at those places.
    module SegmentClip
      module_function

      # coordinates: flat; returns flat pieces inside the box.
      def polyline(coordinates, box)
        pieces = []
        piece = nil
        (0..coordinates.length - 4).step(2) do |index|
          x1, y1, x2, y2 = coordinates[index, 4]
          part = segment(x1, y1, x2, y2, box)
          if part.nil?
            pieces << piece if piece
            piece = nil
            next
          end
          piece ||= part[0, 2]
          piece.push(part[2], part[3])
          if part[2] != x2 || part[3] != y2
            pieces << piece
            piece = nil
          end
        end
        pieces << piece if piece
        pieces
      end

      # The part of a segment inside the box, or nil.
      def segment(x1, y1, x2, y2, box)
        dx = x2 - x1
        dy = y2 - y1
        enter = 0.0
        leave = 1.0
        [[-dx, x1 - box.min_x], [dx, box.max_x - x1], [-dy, y1 - box.min_y], [dy, box.max_y - y1]].each do |p, q|
          if p.zero?
            return nil if q.negative?
            next
          end
          ratio = q / p.to_f
          if p.negative?
            enter = ratio if ratio > enter
          elsif ratio < leave
            leave = ratio
          end
          return nil if enter > leave
        end
        [
          enter.zero? ? x1 : x1 + enter * dx,
          enter.zero? ? y1 : y1 + enter * dy,
          (leave >= 1) ? x2 : x1 + leave * dx,
          (leave >= 1) ? y2 : y1 + leave * dy
        ]
      end
    end
  end
end
