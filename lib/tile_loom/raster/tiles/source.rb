# frozen_string_literal: true

module TileLoom
  module Raster
    module Tiles
      # Where background tiles come from: an address with places for level, column and row, who is to be named for them,
      # and how they lie. Without matrices they are those of WebMercatorQuad (OGC 17-083r4, annex D.1).
      class Source < Values::Value
        # Half the side of the square, in metres: half round the equator of WGS 84.
        HALF = 20_037_508.342_789_244
        TOKENS = /\{(z|x|y|-y|TileMatrix|TileCol|TileRow)\}/

        define "tile_source", about: "Where background tiles come from."
        part :url,
          text(least: 10, most: 2000, pattern: "^https?://[^\\s{}/]+/\\S*$"),
          required: true,
          about: "With {z}, {x} and {y} (or {-y}, from the bottom); or {TileMatrix}, {TileCol} and {TileRow}."
        part :attribution,
          text(least: 1, most: 500),
          required: true,
          about: "Who is to be named on every sheet that shows them."
        part :crs, text(least: 1, most: 20_000), default: "EPSG:3857"
        part :tile_px, whole(16..1024), default: 256
        part :least_zoom, whole(0..24), default: 0
        part :most_zoom, whole(0..24), default: 19
        part :origin, list(number(-1e9..1e9), least: 2, most: 2), about: "The upper left corner of the matrices."
        part :matrices, list(Matrix.type, least: 1, most: 40), about: "Levels of another set, the coarsest first."

        # Matrix list, the coarsest first.
        def levels =
          matrices ||
            (least_zoom..most_zoom).map do |zoom|
              Matrix.new(
                {
                  "name" => zoom.to_s,
                  "units_per_px" => 2 * HALF / (tile_px * 2**zoom),
                  "columns" => 2**zoom,
                  "rows" => 2**zoom
                }
              )
            end

        def corner = origin || [-HALF, HALF]

        # The address of a tile.
        def address(matrix, column, row)
          values = {
            "z" => matrix.name,
            "TileMatrix" => matrix.name,
            "x" => column,
            "TileCol" => column,
            "y" => row,
            "TileRow" => row,
            "-y" => matrix.rows - 1 - row
          }
          url.gsub(TOKENS) { values.fetch($1).to_s }
        end

        private

        def settle
          named = url.scan(TOKENS).flatten
          fits = [%w[z TileMatrix], %w[x TileCol], %w[y -y TileRow]].all? { |names| (names & named).any? }
          raise Refusal.new("raster.tile_address", url: url[0, 120], at: "#{path}/url") unless fits
          if least_zoom > most_zoom
            raise Refusal.new("raster.tile_zooms", from: least_zoom, to: most_zoom, at: "#{path}/most_zoom")
          end
        end
      end
    end
  end
end
