# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # TopoJSON, whose neighbours share their lines.
      class Topojson < Format
        kind "topojson", "TopoJSON", rank: 2
        reads ".topojson", drivers: %w[TopoJSON]
      end
    end
  end
end
