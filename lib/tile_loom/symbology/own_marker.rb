# frozen_string_literal: true

module TileLoom
  module Symbology
    # A drawing for point markers that a book carries, as SVG.
    class OwnMarker < Values::Value
      define "ownMarker"
      part :id, Values::Types::ID, required: true
      part :title, text(least: 1, most: 200), required: true
      part :svg, text(most: 500_000), required: true
    end
  end
end
