# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # How a grid is drawn on the ground: each look is a file in looks/ and answers `nodes(mesh)`.
    module Looks
      ALL = {
        "lines" => "Lines",
        "crosses" => "Crosses",
        "ticks" => "Ticks",
        "dots" => "Dots",
        "squares" => "Squares"
      }.freeze

      # settings: a grid of the book document; gaps: spots of labels that lines keep clear of.
      def self.build(settings, gaps: []) =
        const_get(ALL.fetch(settings.fetch("look", "lines"))).new(settings, gaps: gaps)
    end
  end
end
