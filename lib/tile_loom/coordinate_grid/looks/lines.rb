# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # Lines through the frame, left out round labels that stand on them.
      class Lines < Look
        kind "lines", "lines", rank: 1

        def nodes(mesh)
          minor, major =
            mesh
              .lines
              .partition { |line| !line.major?(every) }
              .map { |lines| lines.flat_map(&:pieces).flat_map { |piece| clear(piece) } }
          strokes(minor, major)
        end

        private

        def clear(piece) =
          @gaps.reduce([piece]) { |pieces, spot| pieces.flat_map { |part| SpotCut.outside(part, spot) } }
      end
    end
  end
end
