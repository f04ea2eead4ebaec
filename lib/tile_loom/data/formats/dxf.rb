# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # Drawing exchange format.
      class Dxf < Format
        kind "dxf", "DXF", rank: 9
        reads ".dxf", drivers: %w[DXF]
      end
    end
  end
end
