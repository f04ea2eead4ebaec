# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # References whose squares of 100 km have letters, each in a file of its own: `letters(east, north)`.
    module Squares
      SIDE_M = 100_000

      module_function

      # The lettering of a reference, or nil where it defines none.
      def of(crs)
        case crs.epsg
        when 32_601..32_660
          Mgrs.new(crs.epsg - 32_600)
        when 32_701..32_760
          Mgrs.new(crs.epsg - 32_700)
        when 25_828..25_838
          Mgrs.new(crs.epsg - 25_800)
        when 27_700
          British.new
        when 29_901, 29_902, 29_903
          Irish.new
        end
      end
    end
  end
end
