# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Frames that follow the lines of the study area.
      class StripGenerator < Generator
        kind "strip", "Strip", rank: 2
        named_by "numbers"
        part :clearance_mm,
          Values::Number.new(0..5000),
          default: 10,
          about: "Strip: how far the line stays inside the frame's sides."
        part :maximum_rotation_deg,
          Values::Number.new(0..180),
          default: 180,
          about: "Strip: how far frames may be rotated either way."
        part :upward,
          Values::Choice.new(north: "north as far up as it can be", route: "read along the route, left to right"),
          default: "north",
          about:
            "Strip: frames turned one sense, so that north is up on as many as can be, or so that all are read along the route."
        part :gap_tolerance,
          Values::Types::GROUND_LENGTH,
          default: "0 m",
          about: "Strip: gaps of the line up to this length are bridged."
        part :reverse, Values::Flag.new, default: false, about: "Strip: followed the other way."

        def cells
          chains = Chain.of(features, gap: @index.units(@index.gap_tolerance, @crs), reverse: @index.reverse?)
          raise Refusal.new("index.no_line", at: "/index/area") if chains.empty?
          if chains.length > 1
            @notes << "The line is in #{chains.length} parts (branches, or gaps wider than are bridged); each is " \
              "followed on its own, the longest first."
          end
          strip =
            Strip.new(
              size: size,
              lead_mm: @index.clearance_mm,
              overlap_mm: overlap_mm.first,
              maximum_rotation_deg: @index.maximum_rotation_deg,
              upward: @index.upward
            )
          [strip.cells(chains), nil]
        end
      end
    end
  end
end
