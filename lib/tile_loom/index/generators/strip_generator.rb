# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Frames that follow the lines of the study area.
      class StripGenerator < Generator
        def cells
          chains =
            Chain.of(
              features,
              gap: @index.ground(settings.fetch("gap", "0 m"), @crs),
              reverse: settings.fetch("reverse", false)
            )
          if chains.empty?
            raise Invalid.new("The study area holds no line to follow; choose a layer of lines.", path: "/index/area")
          end
          if chains.length > 1
            @notes << "The line is in #{chains.length} parts (branches, or gaps wider than are bridged); each is " \
              "followed on its own, the longest first."
          end
          strip =
            Strip.new(
              size: size,
              lead_mm: settings.fetch("lead_mm", 10),
              overlap_mm: overlap_mm.first,
              most_turn_deg: settings.fetch("most_turn_deg", 180),
              upward: settings.fetch("upward", "north")
            )
          [strip.cells(chains), nil]
        end
      end
    end
  end
end
