# frozen_string_literal: true

module TileLoom
  module Raster
    module Tiles
      # A level of a tile matrix set (OGC 17-083r4): its name in addresses, reference units of a pixel, how many tiles
      # it has across and down.
      class Matrix < Values::Value
        define "tile_matrix", about: "A level of a tile matrix set (OGC 17-083r4)."
        part :name, text(least: 1, most: 200), required: true
        part :units_per_px, number(above: 0, most: 1e9), required: true
        part :columns, whole(1..50_000_000), required: true
        part :rows, whole(1..50_000_000), required: true
      end
    end
  end
end
