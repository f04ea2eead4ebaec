# frozen_string_literal: true

module App
  # Parts of a book as it was that can be taken into the book as it is. Each answers document (the book's with the part
  # put into it) and cells?: does it keep cells by itself (keep_cells)?
  module Taken
    # wanted: {"part" => one of the members, "layer", "index" or "cell", "id" => of the layer or the cell}. now: the
    # book's document. Refusal where the part was not there, or has places in another CRS.
    def self.of(wanted, moment, now)
      kind = {"layer" => LayerLook, "index" => WholeIndex, "cell" => OneCell}.fetch(wanted["part"], Member)
      part = kind.new(moment, wanted["id"] || wanted["part"])
      if part.on_ground? && moment.document["crs"] != now["crs"]
        raise TileLoom::Refusal.new("history.part_in_other_crs")
      end
      part
    end

    # A document with what an older one has of its own to draw with, where that is not there any more.
    def self.with_own(document, older) =
      document.merge(TileLoom::Document::Contents.own_with(document, older, [*Book::OWN, "profiles"]))
  end
end
