# frozen_string_literal: true

module TileLoom
  module View
    # What of the ground a frame shows. layers: Symbology::Layer list; names: with labels? exact: ids of layers that are
    # not thinned; ground: a GEOS geometry of what is seen of the view, or nil for all; taken: boxes in page mm where no
    # label of a feature may stand; ring: flat, of a frame that is no rectangle; hand: what was done to labels by hand;
    # tolerance_mm: of thinning, or nil for the usual one; key: what tells it from another.
    Shown =
      Struct.new(:layers, :names, :exact, :ground, :taken, :ring, :hand, :tolerance_mm, :key, keyword_init: true) do
        def initialize(
          layers:,
          names: true,
          exact: [],
          ground: nil,
          taken: [],
          ring: nil,
          hand: Symbology::Labels::HandSet::NONE,
          tolerance_mm: nil,
          key: []
        ) = super
      end
  end
end
