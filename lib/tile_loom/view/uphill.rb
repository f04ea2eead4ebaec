# frozen_string_literal: true

module TileLoom
  module View
    # Where the ground rises beside the lines of a layer that have heights as values: told by the nearest line of
    # another value on either side. (A contour has higher ground on the same side all along.)
    class Uphill
      # So far to the side on paper, from so many places of a line.
      REACH_MM, SHARES = 60, [0.5, 0.25, 0.75, 0.1, 0.9].freeze
      SQUARE_MM = Labelling::Nearby::SQUARE_MM

      # runs: [feature, list of flat page mm] of all lines in view; field: whose values they have.
      def initialize(runs, field)
        @runs = runs.to_h { |feature, list| [feature.id, list] }
        @values = runs.to_h { |feature, _| [feature.id, feature.attributes[field]] }
        @squares = {}
        @found = {}
        runs.each { |feature, list| list.each { |run| enter(run, @values[feature.id]) } }
      end

      # :left or :right of the line's course as the page shows it, or nil where the lines in view do not tell.
      def side(id) = @found.fetch(id) { @found[id] = look(id) }

      private

      def enter(run, value)
        return unless value.is_a?(Numeric)
        index = 2
        while index < run.length
          x1, y1, x2, y2 = run[index - 2], run[index - 1], run[index], run[index + 1]
          piece = [x1, y1, x2, y2, value]
          each_square(x1, y1, x2, y2) { |key| (@squares[key] ||= []) << piece }
          index += 2
        end
      end

      # That a straight piece may lie in.
      def each_square(x1, y1, x2, y2, &block)
        x1, x2 = x2, x1 if x2 < x1
        y1, y2 = y2, y1 if y2 < y1
        Labelling::Nearby.each_square(x1, y1, x2, y2, &block)
      end

      def look(id)
        value = @values[id]
        run = (@runs[id] || []).max_by(&:length)
        return nil unless value.is_a?(Numeric) && run && run.length >= 4
        SHARES.each do |share|
          index = ((run.length / 2 - 2) * share).floor * 2
          dx, dy = run[index + 2] - run[index], run[index + 3] - run[index + 1]
          size = Math.hypot(dx, dy)
          next if size < 1e-9
          from = [(run[index] + run[index + 2]) / 2, (run[index + 1] + run[index + 3]) / 2]
          # On the page y points down: to the left of (dx, dy) lies (dy, -dx).
          left = beside(*from, dy / size, -dx / size, value)
          right = beside(*from, -dy / size, dx / size, value)
          rises = (left || 0) - (right || 0)
          return rises.positive? ? :left : :right unless rises.zero?
        end
        nil
      end

      # By how much the nearest line of another value in a direction is higher, or nil.
      def beside(x, y, dx, dy, value)
        distance = 0.0
        while distance < REACH_MM
          ahead = distance + SQUARE_MM / 2
          far_x, far_y = x + dx * ahead, y + dy * ahead
          best = nil
          each_square(x + dx * distance, y + dy * distance, far_x, far_y) do |key|
            @squares[key]&.each do |piece|
              next if piece[4] == value
              met = meets(piece, x, y, dx, dy) or next
              best = [met, piece[4]] if met <= ahead && (best.nil? || met < best[0])
            end
          end
          return best[1] - value if best
          distance = ahead
        end
        nil
      end

      # How far along the ray a piece of a line crosses it, or nil.
      def meets((x1, y1, x2, y2), x, y, dx, dy)
        ex, ey = x2 - x1, y2 - y1
        across = dx * ey - dy * ex
        return nil if across.abs < 1e-12
        along = ((x1 - x) * ey - (y1 - y) * ex) / across
        share = ((x1 - x) * dy - (y1 - y) * dx) / across
        (along > 1e-6 && share.between?(0.0, 1.0)) ? along : nil
      end
    end
  end
end
