# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # ISO/IEC 15948, with a world file beside it.
      class Png < Format
        kind "png", "PNG"
        reads ".png", driver: "PNG"
      end
    end
  end
end
