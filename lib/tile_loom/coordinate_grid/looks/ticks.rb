# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # Short lines at the frame alone, inside it, outside it, or across it.
      class Ticks < Look
        kind "ticks", "ticks", rank: 3
        part :tick_mm, Values::Number.new(above: 0, most: 100), default: 2, about: "Length of ticks."
        part :ticks, Values::Choice.new(inside: "inside", outside: "outside", across: "across"), default: "inside"

        def nodes(mesh)
          length = @grid.tick_mm
          inside, outside =
            {"inside" => [length, 0.0], "outside" => [0.0, length], "across" => [length / 2, length / 2]}.fetch(
              @grid.ticks
            )
          strokes(*edge_ticks(mesh, inside: inside, outside: outside))
        end

        # mm that they reach beyond the frame.
        def outside_mm = {"inside" => 0.0, "outside" => 1.0, "across" => 0.5}.fetch(@grid.ticks) * @grid.tick_mm
      end
    end
  end
end
