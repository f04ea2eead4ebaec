# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Labels outside the frame where lines cross its sides: level along top and bottom, turned along the
    # edge at left and right.
    class Labels
      # Lines that meet a side at less than about 20° are not labelled there.
      LEAST_STEEPNESS = 0.34
      GAP_MM = 1.0

      def initialize(mesh:, sides:, face:, size_pt:, colour:, distance_mm:)
        @mesh, @sides, @face, @size_pt, @colour, @distance_mm = mesh, sides, face, size_pt, colour, distance_mm
      end

      # Scene texts.
      def texts
        @sides.flat_map do |side|
          crossings = Crossing.all(@mesh.lines, frame).select { |crossing| crossing.side == side && crossing.steepness >= LEAST_STEEPNESS }
          thin_out(crossings).map { |crossing, string| text(crossing, string) }
        end
      end

      private

      def frame = @mesh.view.frame

      def level?(side) = %w[top bottom].include?(side)

      # In order along the side, each label is kept only if it clears the one before; the roundest
      # values are placed first.
      def thin_out(crossings)
        kept = []
        crossings.sort_by { |crossing| [-roundness(crossing.line), along(crossing)] }.each do |crossing|
          string = Caption.of(crossing.line, @mesh.crs, @mesh.interval(crossing.line.axis))
          half = @face.width_mm(string, @size_pt) / 2 + GAP_MM / 2
          from = along(crossing) - half
          to = along(crossing) + half
          kept << [crossing, string, from, to] if kept.none? { |_, _, low, high| from < high && to > low }
        end
        kept.map { |crossing, string| [crossing, string] }
      end

      # How many times ten (or sixty) divides the line's place in its family.
      def roundness(line)
        base = @mesh.crs.geographic? ? 6 : 10
        place = (line.value / @mesh.interval(line.axis)).to_i
        return 9 if place.zero?
        count = 0
        while (place % base).zero?
          place /= base
          count += 1
        end
        count
      end

      def along(crossing) = level?(crossing.side) ? crossing.x : crossing.y

      def text(crossing, string)
        width = @face.width_mm(string, @size_pt)
        height = @face.cap_height_mm(@size_pt)
        x, y, turn = case crossing.side
        when "top" then [crossing.x - width / 2, frame.min_y - @distance_mm, 0.0]
        when "bottom" then [crossing.x - width / 2, frame.max_y + @distance_mm + height, 0.0]
        when "left" then [frame.min_x - @distance_mm, crossing.y + width / 2, -90.0]
        else [frame.max_x + @distance_mm, crossing.y - width / 2, 90.0]
        end
        Scene::Text.new(x: x, y: y, string: string, face: @face, size_pt: @size_pt, colour: @colour, rotation_deg: turn)
      end
    end
  end
end
