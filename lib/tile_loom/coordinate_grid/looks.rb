# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # How a grid is drawn on the ground: each look is a file in looks/ that declares itself and answers `nodes(mesh)`.
    module Looks
      extend Values::Kinds

      # grid: a Grid; gaps: spots of labels that lines keep clear of.
      def self.build(grid, gaps: []) = of(grid.look).new(grid, gaps: gaps)
    end
  end
end
