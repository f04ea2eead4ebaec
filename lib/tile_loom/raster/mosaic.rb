# frozen_string_literal: true

module TileLoom
  module Raster
    # Several files of one kind as one raster: the same reference, bands and numbers, pixels of one size.
    class Mosaic
      # How far sizes of pixels may differ, as a share.
      ALIKE = 0.001

      def initialize(found)
        @found = found
      end

      # Refusal names the first that is not of the kind of the others.
      def check
        first = @found.first
        @found
          .drop(1)
          .each do |other|
            odd =
              if other.reference != first.reference
                "its CRS is another"
              elsif [other.bands, other.type, other.palette] != [first.bands, first.type, first.palette]
                "its bands are others"
              elsif other.transform.nil? || !same_size?(first, other)
                "its pixel size on the ground differs"
              end
            raise Refusal.new("raster.mosaic_differs", name: other.name, first: first.name, why: odd) if odd
          end
      end

      # Of gdalwarp: the pixels of the first one go on over the others, so that seams are unseen.
      def options
        across, down = step
        x0, y0 = @found.first.transform.values_at(0, 3)
        box = @found.map { |found| found.grid.box }.reduce { |all, other| all.union(other) }
        west = x0 + ((box.min_x - x0) / across).round * across
        east = x0 + ((box.max_x - x0) / across).round * across
        south = y0 + ((box.min_y - y0) / down).round * down
        north = y0 + ((box.max_y - y0) / down).round * down
        ["-te", *[west, south, east, north].map(&:to_s), "-tr", across.to_s, down.to_s, *(aligned? ? %w[-r near] : [])]
      end

      private

      def step = @found.first.grid.pixel

      def same_size?(first, other)
        [first, other].map { |found| found.transform.values_at(1, 2, 4, 5) }
          .transpose
          .all? { |mine, its| (mine - its).abs <= ALIKE * [first.transform[1].abs, first.transform[5].abs].max }
      end

      def aligned?
        x0, y0 = @found.first.transform.values_at(0, 3)
        across, down = step
        @found.all? do |found|
          [(found.transform[0] - x0) / across, (found.transform[3] - y0) / down].all? do |steps|
            (steps - steps.round).abs < 0.01
          end
        end
      end
    end
  end
end
