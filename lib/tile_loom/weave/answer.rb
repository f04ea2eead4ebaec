# frozen_string_literal: true

module TileLoom
  module Weave
    # What an index comes to, for the sentence that answers the cartographer: how many sheets, how much
    # ground each, what is left out, and what else is to be told.
    class Answer
      attr_reader :cells, :size, :rows, :columns, :area, :notes, :renewal, :left_out

      # left_out: a LeftOut over the study area's features; notes: sentences; renewal: the Renewal that led to the cells, or nil.
      def initialize(cells:, size:, area:, left_out: nil, rows: nil, columns: nil, notes: [], renewal: nil)
        @cells, @size, @area, @left_out, @notes, @renewal = cells, size, area, left_out, notes, renewal
        @rows = rows || cells.map(&:row).uniq.length
        @columns = columns || cells.map(&:column).uniq.length
      end

      def sheet_m = size.nominal_m

      def cover = @cover ||= Cover.new(cells, area)

      # A square millimetre on paper, in square reference units: less is rounding.
      def least = (size.scale / 1000.0 / size.crs.metres_per_unit)**2

      # Area left out in square metres of the map plane.
      def left_out_m2
        @left_out_m2 ||= begin
          rest = cover.left_out_area
          (rest < least) ? 0.0 : rest * size.crs.metres_per_unit**2
        end
      end
    end
  end
end
