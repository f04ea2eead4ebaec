# frozen_string_literal: true

module TileLoom
  module Raster
    module Formats
      # Numbers in rows under a head of six lines.
      class AsciiGrid < Format
        kind "ascii_grid", "ASCII grid"
        reads ".asc", driver: "AAIGrid"
      end
    end
  end
end
