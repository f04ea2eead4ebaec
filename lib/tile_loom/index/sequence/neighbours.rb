# frozen_string_literal: true

module TileLoom
  module Index
    # Which cells lie next to which, in eight directions as their sheets show them, from where the cells
    # really are: moved and turned ones too. The relation is mutual: who has another in the east is the other's
    # west.
    class Neighbours
      DIRECTIONS = %w[east north_east north north_west west south_west south south_east].freeze
      # Cells with a gap between them up to this share of their size are neighbours still.
      GAP = 0.15

      def initialize(cells)
        @cells = cells
      end

      # {direction → Cell} of a cell, without the directions in which there is none.
      def of(cell) = found.fetch(cell.number, {})

      # Of cells that lie over one another by the hundred, as sheets by feature may, so many are looked at.
      NEAREST = 48

      # Pairs of cells that touch, overlap or nearly touch: [one, other], each pair once.
      def pairs
        @pairs ||=
          begin
            corners = @cells.map { |cell| grown(cell.ground) }
            near(corners).flat_map do |index, others|
              others.filter_map { |other| [@cells[other], @cells[index]] if close?(other, index, corners) }
            end
          end
      end

      private

      def found
        @found ||=
          begin
            taken = Hash.new { |hash, key| hash[key] = {} }
            pairs
              .map { |one, other| [*towards(one.ground, other.ground), one, other] }
              .sort_by { |distance, _, one, other| [distance, one.number, other.number] }
              .each do |_, direction, one, other|
                opposite = (direction + 4) % 8
                next if taken[one.number].key?(DIRECTIONS[direction]) || taken[other.number].key?(DIRECTIONS[opposite])
                taken[one.number][DIRECTIONS[direction]] = other
                taken[other.number][DIRECTIONS[opposite]] = one
              end
            taken
          end
      end

      # Place of a cell in the list → places before it of cells whose boxes meet its own.
      def near(corners)
        shapes = corners.map { |ring| Geometry::Geos.box(Geometry::Box.around(ring)) }
        tree = Geometry::ShapeTree.new(shapes)
        shapes
          .each_with_index
          .with_object(Hash.new { |hash, key| hash[key] = {} }) do |(shape, index), found|
            nearest(index, tree.indexes(shape)).each do |other|
              found[[index, other].max][[index, other].min] = true unless other == index
            end
          end
          .transform_values { |others| others.keys.sort }
          .sort
      end

      def nearest(index, others)
        return others if others.length <= NEAREST
        here = @cells[index].ground
        others.min_by(NEAREST) do |other|
          (@cells[other].ground.centre_x - here.centre_x)**2 + (@cells[other].ground.centre_y - here.centre_y)**2
        end
      end

      # [how far, place in DIRECTIONS] from one rectangle to the other, counted in their mean size, in axes
      # that are turned as they are in the mean.
      def towards(one, other)
        turn = mean_turn(one, other)
        dx, dy = other.centre_x - one.centre_x, other.centre_y - one.centre_y
        across = (dx * Math.cos(turn) + dy * Math.sin(turn)) / ((one.width + other.width) / 2)
        up = (dy * Math.cos(turn) - dx * Math.sin(turn)) / ((one.height + other.height) / 2)
        [Math.hypot(across, up).round(9), (Math.atan2(up, across) / (Math::PI / 4)).round % 8]
      end

      # Half-way between the two turns, the shorter way round.
      def mean_turn(one, other)
        between = (other.ccw_deg - one.ccw_deg + 180) % 360 - 180
        (one.ccw_deg + between / 2.0) * Math::PI / 180
      end

      # Do they meet when each is a little larger? Two rectangles are apart when one of their four axes
      # parts them (the theorem of separating axes).
      def close?(one, other, corners)
        [one, other].map { |index| @cells[index].ground.ccw_deg }
          .uniq
          .none? { |turn| parted?(corners[one], corners[other], turn) }
      end

      def grown(rectangle)
        rectangle.sized(rectangle.width * (1 + GAP), rectangle.height * (1 + GAP)).corners
      end

      def parted?(first, second, turn)
        cos, sin = Math.cos(turn * Math::PI / 180), Math.sin(turn * Math::PI / 180)
        [[cos, sin], [-sin, cos]].any? do |x, y|
          low, high = reach(first, x, y)
          from, to = reach(second, x, y)
          low > to || from > high
        end
      end

      def reach(corners, x, y) = [0, 2, 4, 6].map { |index| corners[index] * x + corners[index + 1] * y }.minmax
    end
  end
end
