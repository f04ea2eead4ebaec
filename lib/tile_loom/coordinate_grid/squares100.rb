# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # How the letters of the 100 km squares look.
    class Squares100 < Values::Value
      define
      part :size_pt, Values::Types::SIZE_PT, default: 12
      part :colour, Values::Types::COLOUR, default: "#1f2a30"
    end
  end
end
