# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # What bounds the map: each kind is a file in borders/ that declares itself and answers `nodes` and `room_mm`, what
    # it takes beyond the frame on every side.
    module Borders
      extend Values::Kinds

      # spec: a BorderSpec; view: View::FrameView; mesh: of the grid whose interval it steps by, or nil for even steps.
      def self.build(spec, view:, mesh: nil) = of(spec.kind).new(spec, view: view, mesh: mesh)
    end
  end
end
