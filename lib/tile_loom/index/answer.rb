# frozen_string_literal: true

module TileLoom
  module Index
    # What an index comes to, for the sentence that answers the cartographer: how many sheets, how much
    # ground each, what is left out, and what else is to be told.
    class Answer
      attr_reader :cells, :size, :rows, :columns, :area, :notes, :renewal, :left_out

      # left_out: a LeftOut over the study area's features; notes: sentences; renewal: the Renewal that led to the
      # cells, or nil; fresh: the cells as the index generates them whatever there was before, or nil.
      def initialize(cells:, size:, area:, left_out: nil, rows: nil, columns: nil, notes: [], renewal: nil, fresh: nil)
        @cells, @size, @area, @left_out, @notes, @renewal = cells, size, area, left_out, notes, renewal
        @fresh = fresh
        @rows = rows || cells.map(&:row).uniq.length
        @columns = columns || cells.map(&:column).uniq.length
      end

      # Are the cells those that the index generates by itself?
      def plain? = !@fresh.nil? && HandDifference.new(@fresh, cells).to_h.empty?

      # [width, height] in metres on the ground of the sheet in the middle of the list; while there is none, frame ×
      # scale.
      def sheet_m =
        @sheet_m ||= cells.empty? ? size.nominal_m : Crs::GroundSize.new(size.crs, cells[cells.length / 2].ground).to_a

      # By which share the outermost sheets show more or less ground than that one, at most.
      def sheet_spread
        return 0.0 if cells.empty? || cells.map(&:scale).uniq.length > 1
        Cell
          .outermost(cells)
          .flat_map do |cell|
            Crs::GroundSize.new(size.crs, cell.ground).to_a.zip(sheet_m).map { |here, middle| (here / middle - 1).abs }
          end
          .max
      end

      def cover = @cover ||= Cover.new(cells, area, left_out ? left_out.ground : JoinedGround.new(cells))

      # A square millimetre on paper, in square reference units: less is rounding.
      def least = (size.scale / 1000.0 / size.crs.metres_per_unit)**2

      # Area left out in square metres on the ground.
      def left_out_m2 = @left_out_m2 ||= (cover.left_out_area < least) ? 0.0 : ground_m2(cover.rest)

      # Square metres on the ground, in the middle of the cells (of the area, where there are none), that a square unit
      # of the reference stands for.
      def plane_m2
        @plane_m2 ||=
          begin
            centre = (Cell.box(cells) || area.box).centre
            size.crs.metres_per_unit**2 / Crs::Factors.at(size.crs, *centre).areal_scale
          end
      end

      # Of a GEOS geometry in units of the reference.
      def ground_m2(geometry) = Crs::GeodesicArea.new(size.crs).of(geometry)
    end
  end
end
