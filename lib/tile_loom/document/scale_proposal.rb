# frozen_string_literal: true

module TileLoom
  module Document
    # A standard scale at which an area makes a handy book, with its neighbours and what each would take.
    class ScaleProposal
      STANDARD = Index::StandardScales::ALL
      # So many sheets are a book that can be leafed through and carried.
      HANDY = 6..60
      # Of scales that give so many, the one nearest in proportion to this number.
      BEST = Math.sqrt(HANDY.begin * HANDY.end)
      # Grids of more places than this are not counted.
      MOST_PLACES = 5_000

      Scale = Struct.new(:scale, :count, keyword_init: true)

      # area: a Index::StudyArea; frame: Box of the main frame in page mm; crs: the book's Crs::System.
      def initialize(area:, frame:, crs:, overlap_mm: 5)
        @area, @frame, @crs, @overlap_mm = area, frame, crs, overlap_mm
      end

      # The scale that is proposed.
      def best =
        @best ||= counted.min_by { |entry| [HANDY.cover?(entry.count) ? 0 : 1, Math.log(entry.count / BEST).abs] }

      # Scale list: the proposed one between its neighbours; count nil where there would be too many.
      def list
        place = STANDARD.index(best.scale)
        [place - 1, place, place + 1].select { |index| index.between?(0, STANDARD.length - 1) }
          .map { |index| Scale.new(scale: STANDARD[index], count: count(STANDARD[index])) }
      end

      private

      # From the smallest scale up, until there are far too many.
      def counted
        STANDARD
          .reverse
          .each_with_object([]) do |scale, found|
            number = count(scale) or break found
            found << Scale.new(scale: scale, count: number)
            break found if number > HANDY.end * 4
          end
      end

      def count(scale)
        @counts ||= {}
        return @counts[scale] if @counts.key?(scale)
        size =
          Index::CellSize.new(frame_width_mm: @frame.width, frame_height_mm: @frame.height, scale: scale, crs: @crs)
        grid = Index::Grid.new(area: @area, size: size, overlap_mm: @overlap_mm)
        @counts[scale] = (places(grid) > MOST_PLACES) ? nil : grid.count
      end

      # By the extent alone, before any cell is made.
      def places(grid)
        [[grid.bounds.width, 0], [grid.bounds.height, 1]].map { |length, axis| (length / grid.pitch[axis]).ceil + 1 }
          .reduce(:*)
      end
    end
  end
end
