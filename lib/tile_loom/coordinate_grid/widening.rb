# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # A fixed interval that is too close for a frame's scale, as one that was carried over from a larger one, and the
    # next of the standard series that is not.
    class Widening
      # Lines nearer to each other than this smother the map (common practice).
      CLOSE_MM = 10.0

      # mesh: of the grid in a frame; grid: a Grid.
      def initialize(grid, mesh)
        @grid, @mesh = grid, mesh
      end

      # {"x" => "1 min", "y" => "1 min"}; nil where nothing is to be widened.
      def intervals
        return nil if @mesh.nil? || @mesh.trouble || @grid.interval.values.compact.empty?
        return nil if factors.values.all? { |factor| factor == 1 }
        factors.to_h { |axis, factor| [axis.to_s, Interval.typed(@mesh.interval(axis) * factor, @mesh.crs)] }
      end

      # Distance of the lines that are too close, in mm on paper.
      def pitch_mm = %i[x y].map { |axis| @mesh.pitch_mm(axis).to_f }.min

      private

      def factors = @factors ||= %i[x y].to_h { |axis| [axis, factor(axis)] }

      def factor(axis)
        pitch = @mesh.pitch_mm(axis).to_f
        known = Units::Series.multiples(@mesh.interval(axis), angle: @mesh.crs.geographic?)
        known.find { |number| pitch * number >= CLOSE_MM } || known.last
      end
    end
  end
end
