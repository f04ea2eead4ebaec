# frozen_string_literal: true

module TileLoom
  module Index
    # Takes cells from one reference to another so that they keep their place on the ground: the centre
    # moves with the transform, the turn by the angle between the two grids, the size is what the frame
    # covers at the cell's scale there.
    class Carry
      # frame: the main frame's Box in mm; held: what the scale holds.
      def initialize(from:, to:, frame:, held:)
        @from, @to, @frame, @held = from, to, frame, held
        @transform = Crs::Transform.between(from, to)
      end

      # A Cell in the other reference; Refusal where it cannot be shown there.
      def cell(cell) = cell.with(ground: rectangle(cell))

      # Flat ring [x, y, …] in the other reference, with points along its sides, since they may bend.
      def ring(coordinates)
        corners = coordinates.each_slice(2).to_a
        dense =
          corners
            .each_cons(2)
            .flat_map do |(x1, y1), (x2, y2)|
              (0...STEPS).map { |i| [x1 + (x2 - x1) * i / STEPS.to_f, y1 + (y2 - y1) * i / STEPS.to_f] }
            end + [corners.last]
        @transform.forward(dense.flatten, strict: true).map { |number| number.round(6) }
      end

      STEPS = 8

      private

      # A micrometre and a millionth of a second of arc are below what any sheet can show.
      def rectangle(cell)
        ground = cell.ground
        x, y = @transform.point(ground.centre_x, ground.centre_y).map { |number| number.round(6) }
        width, height =
          CellSize.new(
            frame_width_mm: @frame.width,
            frame_height_mm: @frame.height,
            scale: cell.scale,
            crs: @to,
            held: @held
          ).at(x, y)
        Geometry::TurnedRectangle.turned(x, y, width, height, turn(ground).round(9))
      end

      # The direction of the lower edge through the centre, in the other reference.
      def turn(ground)
        corners = ground.corners
        dx, dy = (corners[2] - corners[0]) / 2, (corners[3] - corners[1]) / 2
        x, y = ground.centre_x, ground.centre_y
        ends = @transform.forward([x - dx, y - dy, x + dx, y + dy], strict: true)
        Math.atan2(ends[3] - ends[1], ends[2] - ends[0]) * 180 / Math::PI
      end
    end
  end
end
