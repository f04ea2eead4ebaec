# frozen_string_literal: true

module TileLoom
  module Weave
    # What an index comes to, for the sentence that answers the cartographer: how many sheets, how much
    # ground each, what is left out.
    class Answer
      attr_reader :cells, :size, :rows, :columns

      def initialize(cells:, size:, area:, rows:, columns:)
        @cells, @size, @area, @rows, @columns = cells, size, area, rows, columns
      end

      def sheet_m = size.nominal_m

      # Area left out in square metres of the map plane; slivers below a square millimetre on paper are
      # rounding.
      def left_out_m2
        @left_out_m2 ||= begin
          rest = @area.left_out(cells.map(&:ground)).area * size.crs.metres_per_unit**2
          (rest < (size.scale / 1000.0)**2) ? 0.0 : rest
        end
      end
    end
  end
end
