# frozen_string_literal: true

module TileLoom
  module Index
    # Looks for the place (and, if allowed, the turn) of a grid at which the fewest cells cover the area.
    # What it finds depends on area and frame alone, not on the clock: its work is bounded by counts.
    #
    # The area is drawn into a raster of small squares along the grid's axes, every square that it touches.
    # A table of sums then counts the cells of any shift quickly; the best few are counted exactly.
    class FewestSheets
      # Squares along a cell's side, from fine for few cells to coarse for many.
      STEPS = [32, 24, 16, 12, 8].freeze
      MOST_SQUARES = 260_000
      # How many of the best shifts are counted exactly.
      EXACT = 8
      # Turns that are tried beside the area's own, in degrees.
      TURNS = [0, 30, -30].freeze

      # bound: sheets that are needed at least, or nil where that is not known.
      Found =
        Struct.new(:cells, :grid, :shift, :plain, :bound, keyword_init: true) do
          # Sheets that were saved against the plain grid.
          def saved = plain - cells.length
        end

      # area, size, overlap_mm, keep: see Grid; turns: may the grid be turned? stop: asked now and then,
      # true ends the search with the best so far.
      def initialize(area:, size:, overlap_mm:, keep: "touching", turns: false, stop: -> { false })
        @area, @size, @overlap_mm, @keep, @turns, @stop = area, size, overlap_mm, keep, turns, stop
      end

      # A Found, never with more cells than the plain grid.
      def find
        plain = grid(0.0)
        best = [plain.cells, plain, [0.0, 0.0]]
        first = best[0].length
        bound = bounded? ? LowerBound.new(area: @area, extent: plain.extent, turns: @turns).cells : 0
        angles.each do |angle|
          break if best[0].length <= bound || @stop.call
          grid = grid(angle)
          shifts(grid).each do |shift|
            break if @stop.call
            next if grid.count(shift: shift) >= best[0].length
            best = [grid.cells(shift: shift), grid, shift]
          end
        end
        Found.new(cells: best[0], grid: best[1], shift: best[2], plain: first, bound: bound.positive? ? bound : nil)
      end

      private

      # Is there a number that no cover can do with less of? Where cells that show a little are left out, the rest may
      # be any number; where they are not of one size, one of them may show more than another.
      def bounded? = @keep == "touching" && @size.held == "projection"

      def grid(angle) = Grid.new(area: @area, size: @size, overlap_mm: @overlap_mm, keep: @keep, ccw_deg: angle)

      def angles = @turns ? [@area.best_ccw_deg, *TURNS].uniq : [0.0]

      # The most promising shifts by the raster, the best first.
      def shifts(grid)
        Pulse.expect(EXACT * grid.rows * grid.columns)
        raster = TouchedSquares.new(@area, grid, steps(grid))
        scores = raster.shifts.map { |shift| [raster.count(shift), shift] }
        scores.sort_by { |count, shift| [count, *shift] }.first(EXACT).map { |_, shift| raster.length(shift) }
      end

      def steps(grid)
        total = grid.rows * grid.columns
        STEPS.find { |steps| total * steps * steps <= MOST_SQUARES } || STEPS.last
      end
    end
  end
end
