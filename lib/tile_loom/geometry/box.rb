# frozen_string_literal: true

module TileLoom
  module Geometry
    # An upright rectangle; the unit is that of the plane it lies in (page mm or ground units).
    Box =
      Struct.new(:min_x, :min_y, :max_x, :max_y) do
        # The Box of flat coordinates [x, y, …].
        def self.around(coordinates)
          x, y = coordinates.fetch(0), coordinates.fetch(1)
          new(*widen([x, y, x, y], coordinates))
        end

        # Four sides, moved out as far as flat coordinates reach; Box::NO_SIDES are those of nothing.
        def self.widen(sides, coordinates)
          min_x, min_y, max_x, max_y = sides
          index, size = 0, coordinates.length
          while index < size
            x, y = coordinates[index], coordinates[index + 1]
            min_x = x if x < min_x
            max_x = x if x > max_x
            min_y = y if y < min_y
            max_y = y if y > max_y
            index += 2
          end
          [min_x, min_y, max_x, max_y]
        end

        # left, top, width, height on a page, y down.
        def self.at(left, top, width, height) = new(left, top, left + width, top + height)

        def width = max_x - min_x

        def height = max_y - min_y

        def centre = [(min_x + max_x) / 2.0, (min_y + max_y) / 2.0]

        # With so much more on each side, across and up.
        def grow(margin, margin_y = margin) =
          self.class.new(min_x - margin, min_y - margin_y, max_x + margin, max_y + margin_y)

        # The place at shares of its width and height from the first corner.
        def place(across, along) = [min_x + across * width, min_y + along * height]

        # Places at all pairs of the shares.
        def lattice(shares) = shares.product(shares).map { |across, along| place(across, along) }

        # Its flat ring with corners rounded by a radius (at most half the shorter side), or each by its own: upper
        # left, upper right, lower right, lower left, with y down.
        def rounded(radius)
          upper_left, upper_right, lower_right, lower_left =
            (radius.is_a?(Array) ? radius : [radius] * 4).map { |given| [given, width / 2, height / 2].min }
          return corners unless [upper_left, upper_right, lower_right, lower_left].any?(&:positive?)
          [
            [max_x - upper_right, min_y + upper_right, -90, upper_right],
            [max_x - lower_right, max_y - lower_right, 0, lower_right],
            [min_x + lower_left, max_y - lower_left, 90, lower_left],
            [min_x + upper_left, min_y + upper_left, 180, upper_left]
          ].flat_map { |x, y, from, given| quarter(x, y, from, given) }
        end

        # The flat ring of the ellipse in it.
        def ellipse(steps)
          x, y = centre
          (0...steps).flat_map do |step|
            angle = 2 * Math::PI * step / steps
            [x + width / 2 * Math.cos(angle), y + height / 2 * Math.sin(angle)]
          end
        end

        def quarter(x, y, from, radius)
          return x, y unless radius.positive?
          (0..Box::QUARTER_STEPS).flat_map do |step|
            angle = (from + 90.0 * step / Box::QUARTER_STEPS) * Math::PI / 180
            [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
          end
        end
        private :quarter

        def corners = [min_x, min_y, max_x, min_y, max_x, max_y, min_x, max_y]

        def include?(x, y) = x.between?(min_x, max_x) && y.between?(min_y, max_y)

        # Have they a point in common? (Touching counts.)
        def intersects?(other)
          min_x <= other.max_x && max_x >= other.min_x && min_y <= other.max_y && max_y >= other.min_y
        end

        # The Box of both.
        def union(other)
          self.class.new(
            [min_x, other.min_x].min,
            [min_y, other.min_y].min,
            [max_x, other.max_x].max,
            [max_y, other.max_y].max
          )
        end
      end

    Box::NO_SIDES = [Float::INFINITY, Float::INFINITY, -Float::INFINITY, -Float::INFINITY].freeze
    # Chords that a round corner has.
    Box::QUARTER_STEPS = 8
  end
end
