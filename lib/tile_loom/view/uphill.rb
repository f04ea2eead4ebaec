# frozen_string_literal: true

module TileLoom
  module View
    # Where the ground rises beside the lines of a layer that have heights as values: told by the nearest line of
    # another value on either side. (A contour has higher ground on the same side all along.)
    class Uphill
      # So far to the side on paper, at so many places of a line.
      REACH_MM, SHARES = 60, [0.5, 0.25, 0.75, 0.1, 0.9].freeze

      def initialize(features, view)
        @features, @view = features, view
        @found = {}
      end

      # :left or :right of the line's course as the page shows it, or nil. field: whose values the lines have.
      def side(feature, field)
        return nil unless field && feature.attributes[field].is_a?(Numeric)
        @found.fetch([feature.id, field]) { |key| @found[key] = look(feature, field) }
      end

      private

      def look(feature, field)
        line = Geometry::Geos.parts(Geometry::Geos.read(feature.wkb)).max_by(&:length)
        SHARES.each do |share|
          left, right = [1, -1].map { |way| beside(line, share, way, feature.attributes[field], field) }
          rises = (left || 0) - (right || 0)
          # Left of a line on the map is left on the page.
          return rises.positive? ? :left : :right unless rises.zero?
        end
        nil
      end

      # By how much the nearest line of another value is higher, or nil. way: 1 for the left, -1 for the right.
      def beside(line, share, way, value, field)
        at = line.length * share
        from = line.interpolate(at)
        ahead = line.interpolate([at + @view.units_per_mm * 0.2, line.length].min)
        behind = line.interpolate([at - @view.units_per_mm * 0.2, 0].max)
        dx, dy = ahead.x - behind.x, ahead.y - behind.y
        size = Math.hypot(dx, dy)
        return nil if size.zero?
        reach = REACH_MM * @view.units_per_mm * way
        ray =
          Geometry::Geos.read(
            Geometry::Wkb.line([from.x, from.y, from.x - dy / size * reach, from.y + dx / size * reach])
          )
        nearest(ray, from, value, field)
      end

      def nearest(ray, from, value, field)
        found =
          tree(field)
            .query(ray)
            .filter_map do |index|
              other, geometry = @lines[index]
              next if other == value || !geometry.intersects?(ray)
              [from.distance(geometry.intersection(ray)), other]
            end
        found.min_by(&:first)&.then { |_, other| other - value }
      end

      def tree(field)
        @tree ||=
          begin
            @lines =
              @features.filter_map do |feature|
                value = feature.attributes[field]
                [value, Geometry::Geos.read(feature.wkb)] if value.is_a?(Numeric)
              end
            ::Geos::STRtree
              .new(10)
              .tap { |tree| @lines.each_with_index { |(_, geometry), index| tree.insert(geometry, index) } }
          end
      end
    end
  end
end
