# frozen_string_literal: true

module TileLoom
  module View
    # Where the ground rises beside the lines of a layer that have heights as values: told by the nearest line of
    # another value on either side. (A contour has higher ground on the same side all along.)
    class Uphill
      # So far to the side on paper, nearby first, from so many places of a line.
      REACHES_MM, SHARES = [12, 60].freeze, [0.5, 0.25, 0.75, 0.1, 0.9].freeze

      # runs: [feature, list of flat page mm] of all lines in view; field: whose values they have.
      def initialize(runs, field)
        @runs = runs.to_h { |feature, list| [feature.id, list] }
        @values = runs.to_h { |feature, _| [feature.id, feature.attributes[field]] }
        @found = {}
        @parts =
          runs.flat_map do |feature, list|
            value = @values[feature.id]
            next [] unless value.is_a?(Numeric)
            list.flat_map { |run| Geometry::Runs.parts(run).map { |box, part| [box, part, value] } }
          end
      end

      # :left or :right of the line's course as the page shows it, or nil where the lines in view do not tell.
      def side(id) = @found.fetch(id) { @found[id] = look(id) }

      private

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
        REACHES_MM.each do |reach|
          found = nearest(x, y, dx, dy, reach, value)
          return found - value if found
        end
        nil
      end

      # The value of the nearest line that a ray meets.
      def nearest(x, y, dx, dy, reach, value)
        ray = Geometry::Box.around([x, y, x + dx * reach, y + dy * reach])
        found = nil
        @parts.each do |box, run, other|
          next if other == value || !box.intersects?(ray)
          index, last = 0, run.length - 2
          while index < last
            met = meets(run, index, x, y, dx, dy)
            reach, found = met, other if met && met < reach
            index += 2
          end
        end
        found
      end

      # How far along the ray a straight part of a line crosses it, or nil.
      def meets(run, index, x, y, dx, dy)
        from_x, from_y = run[index] - x, run[index + 1] - y
        to_x, to_y = run[index + 2] - x, run[index + 3] - y
        # To which side of the ray its ends lie.
        from, to = from_x * dy - from_y * dx, to_x * dy - to_y * dx
        return nil if (from > 0) == (to > 0)
        share = from / (from - to)
        along = (from_x + (to_x - from_x) * share) * dx + (from_y + (to_y - from_y) * share) * dy
        (along > 1e-6) ? along : nil
      end
    end
  end
end
