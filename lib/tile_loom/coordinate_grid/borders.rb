# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # What bounds the map: each kind is a file in borders/ and answers `nodes` and `room_mm`, what it takes
    # beyond the frame on every side.
    module Borders
      ALL = {"plain" => "Plain", "ticked" => "Ticked", "double" => "Double", "banded" => "Banded"}.freeze

      # settings: "border" of a map frame; view: View::FrameView; mesh: of the grid whose interval it steps by,
      # or nil for even steps.
      def self.build(settings, view:, mesh: nil) =
        const_get(ALL.fetch(settings.fetch("kind", "plain"))).new(settings, view: view, mesh: mesh)
    end
  end
end
