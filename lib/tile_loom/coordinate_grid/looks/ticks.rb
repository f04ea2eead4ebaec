# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # Short lines at the frame alone, inside it, outside it, or across it.
      class Ticks < Look
        def nodes(mesh)
          length = @settings.fetch("tick_mm", 2.0).to_f
          inside, outside =
            {"inside" => [length, 0.0], "outside" => [0.0, length], "across" => [length / 2, length / 2]}.fetch(
              @settings.fetch("ticks", "inside")
            )
          strokes(*edge_ticks(mesh, inside: inside, outside: outside))
        end

        # mm that they reach beyond the frame.
        def outside_mm =
          {"inside" => 0.0, "outside" => 1.0, "across" => 0.5}.fetch(@settings.fetch("ticks", "inside")) *
            @settings.fetch("tick_mm", 2.0).to_f
      end
    end
  end
end
