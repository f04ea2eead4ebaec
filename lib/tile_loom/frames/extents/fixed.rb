# frozen_string_literal: true

module TileLoom
  module Frames
    module Extents
      # A place of its own, the same on all sheets, in units of the frame's reference.
      class Fixed < Extent
        kind "fixed", "a fixed place", rank: 4
        part :size, choice("held"), default: "held"
        part :scale, Values::Types::SCALE, required: true
        part :x, number(-1e9..1e9), required: true, about: "Of the middle: easting, in units of the frame's CRS."
        part :y, number(-1e9..1e9), required: true, about: "Northing."

        def focus(_sheet, _crs) = [x, y, x, y]
      end
    end
  end
end
