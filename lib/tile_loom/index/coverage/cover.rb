# frozen_string_literal: true

module TileLoom
  module Index
    # What cells show and miss of a study area, by exact geometry.
    class Cover
      # Below a square millimetre on paper a piece is rounding.
      Piece = Struct.new(:geometry, :area, :box, :rings, keyword_init: true)
      # Rings of a piece are true to this share of its larger side.
      TRUE_TO = 1.0 / 400
      # A sheet that shows less area than this share of itself shows almost nothing.
      ALMOST_NOTHING = 0.02
      MOST_PIECES = 200

      # ground: the JoinedGround of the cells.
      def initialize(cells, area, ground = JoinedGround.new(cells))
        @cells, @area, @ground = cells, area, ground
      end

      # Pieces of the area on no cell, the largest first; least: square reference units below which one does
      # not count.
      def left_out(least)
        Geometry::Geos
          .parts(rest)
          .reject { |part| part.empty? || part.area < least }
          .sort_by { |part| -part.area }
          .first(MOST_PIECES)
          .map do |part|
            Piece.new(geometry: part, area: part.area, box: Geometry::Geos.envelope(part), rings: rings(part))
          end
      end

      # All of it, in square reference units.
      def left_out_area = rest.area

      # Ground that more than one cell shows, in square reference units, and as a share of what all show.
      def overlap
        total = @cells.sum { |cell| cell.ground.width * cell.ground.height }
        [total - union.area, union.area.zero? ? 0.0 : (total - union.area) / union.area]
      end

      # What no cell shows, of GEOS.
      def rest = @rest ||= @area.outside(union)

      # Cells that show almost nothing of the area.
      def almost_empty =
        @area.surface_area.zero? ? [] : @cells.select { |cell| @area.share_of(cell.ground) < ALMOST_NOTHING }

      private

      def rings(part)
        box = Geometry::Geos.envelope(part)
        Geometry::Wkb
          .each_run(Geometry::Geos.write(part.simplify([box.width, box.height].max * TRUE_TO)))
          .map { |_, run| run }
      end

      def union = @ground.union
    end
  end
end
