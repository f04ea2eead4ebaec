# frozen_string_literal: true

module App
  # A new layer of background tiles, below all others.
  class NewTiles
    # wanted: {"title", "tiles": see TileLoom::Raster::Tiles::Source}; changes: BookChanges of the book.
    def initialize(book, wanted, changes)
      @book, @wanted, @changes = book, wanted, changes
    end

    # Refusal for tiles that are not to be asked for.
    def layer
      title = @wanted["title"].strip
      raise TileLoom::Refusal.new("imports.no_layer_with_title", at: "/title") if title.empty?
      style = {"tiles" => @wanted["tiles"], "raster" => {"kind" => "picture"}}
      checked(style)
      made = nil
      @changes.record_import("Background tiles #{title}") do |before|
        key = TileLoom::Document::Starter.id_for(title, @book.layer_rows.pluck(:key))
        made = Layer.of_pixels(@book, key: key, original_reference: "EPSG:3857", original_name: "")
        entry = {"id" => key, "title" => title[0, 200], **style}
        before.merge("layers" => [entry, *before["layers"]])
      end
      made
    end

    private

    # By the schema of the book, then by the hosts that may be asked.
    def checked(style)
      entry = {"id" => "tiles", "title" => "Tiles", **style}
      settings = @book.document
      TileLoom::Document::Schema.demand(settings.merge("layers" => settings["layers"] + [entry]))
      source = TileLoom::Raster::Tiles::Source.new(style["tiles"], path: "/tiles")
      TileLoom::Crs::System.find(source.crs)
      TileLoom::Raster::Tiles::Hosts.of_environment.demand(source.address(source.levels.first, 0, 0))
    end
  end
end
