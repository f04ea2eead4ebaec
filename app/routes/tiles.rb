# frozen_string_literal: true

module App
  module Routes
    # Background tiles: what a service offers, and a layer of them.
    class Tiles < Base
      # That a service has to answer in.
      LOOK_S = 10

      # By an address of tiles itself, or of the capabilities of a service.
      post "/api/books/:book_id/tiles/look" do
        url = body_json["url"].to_s.strip
        if url.match?(TileLoom::Raster::Tiles::Source::TOKENS)
          raise TileLoom::Refusal.new("raster.no_capabilities", at: "/url")
        end
        found = TileCache.prompt(seconds: LOOK_S).get(url)
        if TileLoom::Raster::Tiles::Fetch::PASSING.include?(found.status)
          raise TileLoom::Refusal.new("raster.service_silent", host: URI.parse(url).host, at: "/url")
        end
        raise TileLoom::Refusal.new("raster.no_capabilities", at: "/url") unless found.tile?
        known = TileLoom::Raster::Tiles::Capabilities.new(found.bytes)
        json({"offers" => known.offers.map(&:to_h), "count" => known.count})
      end

      post "/api/books/:book_id/tiles" do
        NewTiles.new(book, body_json, changes).layer
        json(shown(book.reload))
      end
    end
  end
end
